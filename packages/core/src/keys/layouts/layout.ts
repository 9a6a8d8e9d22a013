import { z } from 'zod';
import { capitalOf } from '../character.ts';
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
  /** By character, dead keys by the mark they make: every single press of a writing key, easiest first. */
  readonly presses: ReadonlyMap<string, readonly Press[]>;
  /** Whether Latin letters are written on its keys without a modifier. */
  readonly hasLatin: boolean;
  /** What the writing keys are labelled with. */
  readonly legends: Legends;
}

/** What a dead key is called, and counts as in a shortcut: its mark by itself, where Unicode has one. */
const MARKS: Readonly<Record<string, string>> = {
  '\u0300': '`',
  '\u0301': '´',
  '\u0302': '^',
  '\u0303': '~',
  '\u0304': '¯',
  '\u0306': '˘',
  '\u0307': '˙',
  '\u0308': '¨',
  '\u030a': '˚',
  '\u030b': '˝',
  '\u030c': 'ˇ',
  '\u0327': '¸',
  '\u0328': '˛',
  '\u0342': '῀',
};

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
  const presses = pressesOf(keys);
  const hasLatin = Array.from('abcdefghijklmnopqrstuvwxyz').every((letter) =>
    isPlain(presses.get(letter)?.[0]),
  );
  return { id, name, keys, ways, presses, hasLatin, legends: legendsOf(keys) };
}

const isPlain = (press: Press | undefined) => press !== undefined && !press.shift && !press.altGr;

/** Single presses of writing keys by what they type, easiest first. */
function pressesOf(keys: LayoutData['keys']): Layout['presses'] {
  const presses = new Map<string, Press[]>();
  for (const [code, levels] of Object.entries(keys)) {
    if (KEY_BY_CODE.get(code)?.kind !== 'writing') continue;
    levels.forEach((typed, level) => {
      const character = keyCharacter(typed);
      if (character === '') return;
      const press = { code, shift: level % 2 === 1, altGr: level >= 2 };
      presses.set(character, [...(presses.get(character) ?? []), press]);
    });
  }
  for (const list of presses.values()) list.sort((a, b) => compareWays([a], [b]));
  return presses;
}

/** What a key counts as that types this: itself, or a dead key's mark. */
export function keyCharacter(typed: string): string {
  const mark = deadMark(typed);
  return mark === null ? typed : (MARKS[mark] ?? typed);
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

/**
 * Labels as they are printed: letters as the capitals they type with Shift, a dead key as its mark. Where two keys would
 * have the same although they type different letters (σ and ς), the one whose capital it is has it.
 */
function legendsOf(keys: LayoutData['keys']): Legends {
  const writing = Object.entries(keys).filter(([code]) => KEY_BY_CODE.get(code)?.kind === 'writing');
  const printed = writing.flatMap(([code, [typed = '', shifted = '']]) => {
    const plain = keyCharacter(typed);
    if (plain.trim() === '') return [];
    const isCapital = /^\p{Ll}$/u.test(plain) && /^\p{Lu}$/u.test(shifted);
    return [{ code, plain, label: isCapital ? shifted : capitalOf(plain) }];
  });
  const isTaken = ({ plain, label }: (typeof printed)[number]) =>
    printed.some(
      (other) => other.label === label && other.plain !== plain && capitalOf(other.plain) === label,
    );
  return new Map(
    printed.map((key) => [
      key.code,
      capitalOf(key.plain) !== key.label && isTaken(key) ? key.plain : key.label,
    ]),
  );
}
