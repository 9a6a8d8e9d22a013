import Papa from 'papaparse';
import { freeId, nameSchema } from '../devices/index.ts';
import { formatSteps, NOTATION, parseSteps, type ShortcutProblem, type TypedAt } from '../keys/index.ts';
import { ok, type Result, refuse } from '../result.ts';
import {
  type Command,
  changesOf,
  commandAt,
  commandIds,
  FAMILIES,
  LIMITS,
  newCommand,
  noteSchema,
  type Setup,
  type SingleEdit,
} from '../setup/index.ts';
import { OWN_COLUMNS } from './list/columns.ts';
import { commandsOf } from './list/planImport.ts';
import { isYes } from './list/readLine.ts';
import { familyOf, proposeFor } from './propose.ts';

/** What of a command is edited in a cell. */
export const SHEET_COLUMNS = OWN_COLUMNS;
/** One of them. */
export type SheetColumn = (typeof SHEET_COLUMNS)[number];

/** Why a text does not fit a cell. */
export type CellProblem =
  | { readonly code: 'name-missing' | 'name-too-long' | 'note-too-long' }
  | { readonly code: 'bad-shortcut'; readonly text: string; readonly problem: ShortcutProblem }
  | { readonly code: 'no-family'; readonly text: string }
  | { readonly code: 'too-many'; readonly limit: number };

/** A cell as text: as it is copied, sorted by, and read again. Keys are in our notation. */
export function cellText(command: Omit<Command, 'id'>, column: SheetColumn): string {
  switch (column) {
    case 'name':
    case 'shortcut':
    case 'family':
      return command[column];
    case 'intent':
    case 'note':
      return command[column] ?? '';
    case 'risky':
      return command.risky ? 'yes' : '';
  }
}

/** What a text sets in a cell: one field of the command. An empty one takes away what need not be there. */
export function readCell(
  column: SheetColumn,
  text: string,
  at: TypedAt = NOTATION,
): Result<Partial<Command>, CellProblem> {
  const bare = text.trim();
  switch (column) {
    case 'name': {
      const name = bare.replace(/\s+/g, ' ');
      if (name === '') return refuse({ code: 'name-missing' });
      return nameSchema.safeParse(name).success ? ok({ name }) : refuse({ code: 'name-too-long' });
    }
    case 'shortcut': {
      const steps = parseSteps(bare, at);
      if (!steps.ok) return refuse({ code: 'bad-shortcut', text: bare, problem: steps.problem });
      return ok({ shortcut: formatSteps(steps.value) });
    }
    case 'family': {
      const lower = bare.toLowerCase();
      const family = FAMILIES.find((each) => each === lower) ?? familyOf(bare);
      return family ? ok({ family }) : refuse({ code: 'no-family', text: bare });
    }
    case 'intent':
      return ok({ intent: bare === '' ? null : freeId(bare, new Set(), 'intent') });
    case 'risky':
      return ok({ risky: isYes(bare) });
    case 'note': {
      const note = noteSchema.safeParse(bare);
      if (bare === '') return ok({ note: null });
      return note.success ? ok({ note: note.data }) : refuse({ code: 'note-too-long' });
    }
  }
}

/** A block of cells as spreadsheets take it from the clipboard: tabs between cells, quotes round those with breaks. */
export function blockText(block: readonly (readonly string[])[]): string {
  return Papa.unparse(
    block.map((row) => [...row]),
    { delimiter: '\t', newline: '\n' },
  );
}

/** What a spreadsheet puts onto the clipboard, as cells; a line break at the end belongs to the last row. */
export function readBlock(text: string): readonly (readonly string[])[] {
  const bare = text.replace(/\r?\n$/, '');
  if (bare === '') return [];
  return Papa.parse<string[]>(bare, { delimiter: '\t' }).data;
}

/** A cell that stayed as it was, with where its text stood in what was pasted: row and column from 1. */
export interface LeftCell {
  readonly row: number;
  readonly column: number;
  readonly problem: CellProblem;
}

/** What a block of texts comes to, put into a sheet. */
export interface PastePlan {
  readonly edits: readonly SingleEdit[];
  /** Cells that get what was pasted, whether or not that differs. */
  readonly taken: number;
  readonly added: readonly string[];
  readonly left: readonly LeftCell[];
}

/** Where a block goes: its first cell, and the commands in the order in which they are shown. */
export interface PasteAt {
  readonly program: string | null;
  readonly order: readonly string[];
  readonly row: number;
  readonly column: SheetColumn;
  readonly at?: TypedAt;
}

/**
 * Puts a block of texts into a sheet from a cell on. Rows below the last command become commands where they have a name
 * and keys; what does not fit is left, cell by cell, and told.
 */
export function planPaste(
  setup: Setup,
  block: readonly (readonly string[])[],
  { program, order, row, column, at = NOTATION }: PasteAt,
): PastePlan {
  const owner = program === null ? null : { id: program };
  const commands = new Map(commandsOf(setup, program).map((command) => [command.id, command]));
  const first = SHEET_COLUMNS.indexOf(column);
  const taken = new Set(commandIds(setup));
  const plan = {
    edits: [] as SingleEdit[],
    taken: 0,
    added: [] as string[],
    left: [] as LeftCell[],
  };
  let after = commandsOf(setup, program).at(-1)?.id ?? null;
  for (const [i, texts] of block.entries()) {
    const id = order[row + i];
    const command = id === undefined ? null : (commands.get(id) ?? null);
    let fields: Partial<Command> = {};
    let count = 0;
    const problems: LeftCell[] = [];
    for (const [j, text] of texts.entries()) {
      const into = SHEET_COLUMNS[first + j];
      if (!into) continue;
      const read = readCell(into, text, at);
      if (read.ok) {
        fields = { ...fields, ...read.value };
        count += 1;
      } else problems.push({ row: i + 1, column: j + 1, problem: read.problem });
    }
    if (command) {
      plan.edits.push(...changesOf(commandAt(owner, command), command, { ...command, ...fields }));
      plan.taken += count;
      plan.left.push(...problems);
      continue;
    }
    const { name, shortcut } = fields;
    if (name === undefined || shortcut === undefined) {
      const missing: CellProblem =
        name === undefined
          ? { code: 'name-missing' }
          : { code: 'bad-shortcut', text: '', problem: { code: 'shortcut-empty' } };
      plan.left.push(...(problems.length > 0 ? problems : [{ row: i + 1, column: 1, problem: missing }]));
      continue;
    }
    if (commands.size + plan.added.length >= LIMITS.commands) {
      plan.left.push({ row: i + 1, column: 1, problem: { code: 'too-many', limit: LIMITS.commands } });
      continue;
    }
    const made = freeId(program === null ? name : `${program}-${name}`, taken, 'command');
    taken.add(made);
    const item = newCommand({
      family: proposeFor(name).family ?? 'edit',
      ...fields,
      id: made,
      name,
      shortcut,
    });
    plan.edits.push({ kind: 'add', at: commandAt(owner, item), item, after });
    after = made;
    plan.added.push(made);
    plan.taken += count;
    plan.left.push(...problems);
  }
  return plan;
}

/** The edits that give several commands what a first one has in some columns. */
export function fillDown(
  setup: Setup,
  program: string | null,
  ids: readonly string[],
  columns: readonly SheetColumn[],
): readonly SingleEdit[] {
  const owner = program === null ? null : { id: program };
  const commands = commandsOf(setup, program);
  const first = commands.find(({ id }) => id === ids[0]);
  // A name for all of them would be none.
  const filled = columns.filter((column) => column !== 'name');
  if (!first || filled.length === 0) return [];
  const fields = Object.fromEntries(filled.map((column) => [column, first[column]]));
  return ids.slice(1).flatMap((id) => {
    const command = commands.find((each) => each.id === id);
    return command ? changesOf(commandAt(owner, command), command, { ...command, ...fields }) : [];
  });
}

/** Commands of a list that share their keys with another of it, by id: the names of the others. */
export function doubledIn(commands: readonly Command[]): ReadonlyMap<string, readonly string[]> {
  const byKeys = new Map<string, Command[]>();
  for (const command of commands) {
    const same = byKeys.get(command.shortcut);
    if (same) same.push(command);
    else byKeys.set(command.shortcut, [command]);
  }
  const others = (command: Command) =>
    (byKeys.get(command.shortcut) ?? []).filter((other) => other !== command).map(({ name }) => name);
  return new Map(
    commands.map((command) => [command.id, others(command)] as const).filter(([, names]) => names.length > 0),
  );
}
