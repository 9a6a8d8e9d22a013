import { foldName } from '../../devices/index.ts';
import { parseSteps, type TypedAt } from '../../keys/index.ts';
import type { Command } from '../../setup/index.ts';
import { familyOf } from '../propose.ts';
import type { ListLine } from './listLine.ts';
import { alternatives } from './plainLines.ts';

/** What a column of a list holds. */
export const COLUMN_ROLES = ['name', 'shortcut', 'family', 'intent', 'risky', 'note', 'nothing'] as const;
/** One of them. */
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** The columns that our own lists have, in this order; their heads are these words. */
export const OWN_COLUMNS = ['name', 'shortcut', 'family', 'intent', 'risky', 'note'] as const;

/** Words at the head of a column, as lists have them. Common practice, no source. */
const HEADS: Readonly<Record<Exclude<ColumnRole, 'nothing'>, readonly string[]>> = {
  name: [
    'name',
    'command',
    'commands',
    'action',
    'function',
    'operation',
    'befehl',
    'aktion',
    'commande',
    'acción',
  ],
  shortcut: [
    'shortcut',
    'shortcuts',
    'keyboard shortcut',
    'keys',
    'key',
    'hotkey',
    'keystroke',
    'key binding',
    'windows',
    'windows / linux',
    'linux',
    'macos',
    'tastenkürzel',
    'tasten',
    'tastenkombination',
    'raccourci',
    'atajo',
  ],
  family: ['family', 'category', 'group', 'section', 'menu', 'kategorie', 'gruppe', 'catégorie'],
  intent: ['intent', 'idea', 'meaning'],
  risky: ['risky', 'dangerous'],
  note: ['note', 'notes', 'comment', 'comments', 'remark', 'description', 'bemerkung', 'beschreibung'],
};

/** A list's columns: what each holds, and whether its first line is their heads. */
export interface Columns {
  readonly roles: readonly ColumnRole[];
  readonly headed: boolean;
}

/** How much of a list is looked at to find its columns. */
const LOOKED_AT = 200;

/**
 * Finds what the columns of a list hold: by their heads, else by what stands in them. Of several with keys the first
 * counts; a list without any has no such column.
 */
export function findColumns(lines: readonly ListLine[], at: TypedAt): Columns {
  const [first] = lines;
  const count = Math.max(0, ...lines.slice(0, LOOKED_AT).map(({ cells }) => cells.length));
  if (!first || count === 0) return { roles: [], headed: false };
  const heads = first.given ? [] : first.cells.map(roleOfHead);
  const named = heads.filter((role) => role !== null).length;
  const headed =
    named >= 2 || (named === 1 && lines.length > 1 && !first.cells.some((cell) => areKeys(cell, at)));
  if (headed) {
    const roles = Array.from({ length: count }, (_, i) => heads[i] ?? 'nothing');
    return { roles: completed(onlyOnce(roles), lines.slice(1), at), headed };
  }
  const own = first.given ? [...OWN_COLUMNS] : Array.from({ length: count }, () => 'nothing' as const);
  return { roles: first.given ? own : completed(own, lines, at), headed };
}

/** The role a head names; null for none. */
function roleOfHead(head: string): ColumnRole | null {
  const word = foldName(head.replace(/[:*]/g, '').trim());
  const found = (Object.keys(HEADS) as (keyof typeof HEADS)[]).find((role) =>
    HEADS[role].some((each) => foldName(each) === word),
  );
  return found ?? null;
}

/** A role that a column before it has already is left out. */
function onlyOnce(roles: readonly ColumnRole[]): readonly ColumnRole[] {
  return roles.map((role, i) => (roles.indexOf(role) < i ? 'nothing' : role));
}

/** Name and keys by what stands in the columns, where no head said it. */
function completed(
  roles: readonly ColumnRole[],
  lines: readonly ListLine[],
  at: TypedAt,
): readonly ColumnRole[] {
  const looked = lines.slice(0, LOOKED_AT);
  const next = [...roles];
  const free = () => next.flatMap((role, i) => (role === 'nothing' ? [i] : []));
  const cellsOf = (i: number) => looked.map(({ cells }) => cells[i] ?? '').filter((cell) => cell !== '');
  const share = (i: number) => {
    const cells = cellsOf(i);
    return cells.length === 0 ? 0 : cells.filter((cell) => areKeys(cell, at)).length / cells.length;
  };
  const best = (measure: (i: number) => number, least: number) => {
    const ranked = free()
      .map((i) => ({ i, worth: measure(i) }))
      .toSorted((a, b) => b.worth - a.worth || a.i - b.i);
    return ranked[0] && ranked[0].worth >= least ? ranked[0].i : null;
  };
  if (!next.includes('shortcut')) {
    const found = best(share, 0.5);
    if (found !== null) next[found] = 'shortcut';
  }
  if (!next.includes('family')) {
    const known = (i: number) => {
      const cells = cellsOf(i);
      return cells.length === 0 ? 0 : cells.filter((cell) => familyOf(cell) !== null).length / cells.length;
    };
    // A category stands in many lines; what stands in one is a name that has such a word in it.
    const found = best((i) => (new Set(cellsOf(i)).size * 2 <= cellsOf(i).length ? known(i) : 0), 0.6);
    if (found !== null) next[found] = 'family';
  }
  if (!next.includes('name')) {
    // Different texts that are no keys: what a category says stands in many lines.
    const found = best((i) => new Set(cellsOf(i)).size * (1 - share(i)) + 1e-6, 0);
    if (found !== null) next[found] = 'name';
  }
  return next;
}

function areKeys(cell: string, at: TypedAt): boolean {
  return parseSteps(alternatives(cell)[0] ?? '', at).ok;
}

/** A command as a line of our own lists. */
export function cellsOfCommand({
  name,
  shortcut,
  family,
  intent,
  risky,
  note,
}: Omit<Command, 'id'>): string[] {
  return [name, shortcut, family, intent ?? '', risky ? 'yes' : '', note ?? ''];
}
