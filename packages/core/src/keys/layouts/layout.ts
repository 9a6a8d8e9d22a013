import { z } from 'zod';
import type { Legends } from '../displayShortcut.ts';
import { KEY_BY_CODE, KEY_TABLE } from '../keyTable.ts';

/** Marks a dead key: a dotted circle, then the combining mark it puts on the next character. */
const DEAD_KEY = '\u25cc';

/** A layout as its data file has it (see the layouts script): by key, what it types on up to four levels. */
export const layoutDataSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  /** The layout and variant of xkb-data it comes from. */
  xkb: z.tuple([z.string(), z.string()]),
  /** By `KeyboardEvent.code`: plain, with Shift, with AltGr, with both; empty for nothing. */
  keys: z.record(z.string(), z.array(z.string().max(8)).max(4)),
});
/** A layout as its file has it. */
export type LayoutData = z.infer<typeof layoutDataSchema>;

/** One key pressed with what reaches its level. */
export interface Press {
  /** The key, by its place. */
  readonly code: string;
  readonly shift: boolean;
  readonly altGr: boolean;
}

/** Presses one after the other that type one character. */
export type Way = readonly Press[];

/** A keyboard layout made ready. */
export interface Layout {
  readonly id: string;
  readonly name: string;
  readonly keys: LayoutData['keys'];
  /** By character: every way to type it, fewest and easiest presses first. */
  readonly ways: ReadonlyMap<string, readonly Way[]>;
  /** What the writing keys are labelled with. */
  readonly legends: Legends;
}

/** What a dead key gives with the space bar, by its mark (X.Org's Compose for en_US.UTF-8). */
const SPACING: Readonly<Record<string, string>> = {
  '\u0300': '`',
  '\u0301': "'",
  '\u0302': '^',
  '\u0303': '~',
  '\u0304': '¯',
  '\u0306': '˘',
  '\u0307': '˙',
  '\u0308': '"',
  '\u030a': '°',
  '\u030b': '˝',
  '\u030c': 'ˇ',
  '\u0327': '¸',
  '\u0328': '˛',
};

/** Makes a layout ready: an index from characters to the ways to type them. */
export function readLayout({ id, name, keys }: LayoutData): Layout {
  const ways = new Map<string, Way[]>();
  const dead: { readonly mark: string; readonly press: Press }[] = [];
  for (const [code, levels] of Object.entries(keys)) {
    levels.forEach((character, level) => {
      const press = { code, shift: level % 2 === 1, altGr: level >= 2 };
      const mark = deadMark(character);
      if (mark) dead.push({ mark, press });
      else if (character !== '') addWay(ways, character, [press]);
    });
  }
  const direct = [...ways.keys()].map((character) => [character, best(ways.get(character) ?? [])] as const);
  for (const { mark, press } of dead) {
    for (const [base, way] of direct) {
      const composed = base === ' ' ? SPACING[mark] : composedOf(base, mark);
      if (composed && way) addWay(ways, composed, [press, ...way]);
    }
  }
  for (const list of ways.values()) list.sort(compareWays);
  return { id, name, keys, ways, legends: legendsOf(keys) };
}

/** The combining mark of a dead key, or null for a character. */
export function deadMark(character: string): string | null {
  return character.startsWith(DEAD_KEY) && character.length > 1 ? character.slice(1) : null;
}

/** By Unicode composition (NFC): a letter and its mark that are one character together. */
function composedOf(base: string, mark: string): string | null {
  const composed = (base + mark).normalize('NFC');
  return Array.from(composed).length === 1 ? composed : null;
}

/** There may be several; the best is taken for typing, all are known for reading. */
function addWay(ways: Map<string, Way[]>, character: string, way: Way): void {
  const known = ways.get(character);
  if (known) known.push(way);
  else ways.set(character, [way]);
}

/** The one that a shortcut is sent by. */
function best(ways: readonly Way[]): Way | undefined {
  return ways.toSorted(compareWays)[0];
}

/** The place of each key in a layout's list. */
const PLACES = new Map(KEY_TABLE.map(({ code }, i) => [code, i]));

/** Fewer presses first, then fewer and easier modifiers, then the key's place in the key table. */
function compareWays(a: Way, b: Way): number {
  const effort = (way: Way) =>
    way.reduce((sum, { shift, altGr }) => sum + (shift ? 1 : 0) + (altGr ? 2 : 0), 0);
  const place = (way: Way) => PLACES.get(way[0]?.code ?? '') ?? 0;
  return a.length - b.length || effort(a) - effort(b) || place(a) - place(b);
}

/** Labels as they are printed: letters as capitals, a dead key as its mark alone. */
function legendsOf(keys: LayoutData['keys']): Legends {
  const labels = Object.entries(keys).flatMap(([code, [plain = '']]): [string, string][] => {
    const mark = deadMark(plain);
    if (mark) return [[code, SPACING[mark] ?? plain]];
    if (plain.trim() === '') return [];
    const capital = plain.toUpperCase();
    return [[code, Array.from(capital).length === 1 ? capital : plain]];
  });
  return new Map(labels.filter(([code]) => KEY_BY_CODE.get(code)?.kind === 'writing'));
}

/** The easiest single press that types a character, or null where only a dead key does, or nothing. */
export function pressFor(layout: Layout, character: string): Press | null {
  const [way] = layout.ways.get(character) ?? [];
  return way?.length === 1 ? (way[0] ?? null) : null;
}
