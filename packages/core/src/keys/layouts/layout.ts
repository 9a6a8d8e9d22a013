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

/** A keyboard layout made ready. */
export interface Layout {
  readonly id: string;
  readonly name: string;
  readonly keys: LayoutData['keys'];
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

/** Makes a layout ready: what its keys mean, and what they are labelled with. */
export function readLayout({ id, name, keys }: LayoutData): Layout {
  const presses = pressesOf(keys);
  const hasLatin = Array.from('abcdefghijklmnopqrstuvwxyz').every((letter) =>
    isPlain(presses.get(letter)?.[0]),
  );
  return { id, name, keys, presses, hasLatin, legends: legendsOf(keys) };
}

const isPlain = (press: Press | undefined) => press !== undefined && !press.shift && !press.altGr;

/** Single presses of writing keys by what they type, easiest first; of two alike, the one that is no dead key. */
function pressesOf(keys: LayoutData['keys']): Layout['presses'] {
  const found = new Map<string, { readonly press: Press; readonly isDead: boolean }[]>();
  for (const [code, levels] of Object.entries(keys)) {
    if (KEY_BY_CODE.get(code)?.kind !== 'writing') continue;
    levels.forEach((typed, level) => {
      const character = keyCharacter(typed);
      if (character === '') return;
      const press = { code, shift: level % 2 === 1, altGr: level >= 2 };
      const isDead = deadMark(typed) !== null;
      found.set(character, [...(found.get(character) ?? []), { press, isDead }]);
    });
  }
  return new Map(
    [...found].map(([character, list]) => {
      const sorted = list.toSorted(
        (a, b) =>
          pressEffort(a.press) - pressEffort(b.press) ||
          Number(a.isDead) - Number(b.isDead) ||
          comparePresses(a.press, b.press),
      );
      return [character, sorted.map(({ press }) => press)];
    }),
  );
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

/** The place of each key in a layout's list. */
const PLACES = new Map(KEY_TABLE.map(({ code }, i) => [code, i]));

/** Fewer and easier modifiers first, then the key's place in the key table. */
export function comparePresses(a: Press, b: Press): number {
  return pressEffort(a) - pressEffort(b) || (PLACES.get(a.code) ?? 0) - (PLACES.get(b.code) ?? 0);
}

/** How much is held with a key: AltGr counts as two. */
export function pressEffort({ shift, altGr }: Press): number {
  return (shift ? 1 : 0) + (altGr ? 2 : 0);
}

/**
 * Labels as they are printed: letters as the capitals they type with Shift, a dead key as its mark. Where two keys would
 * have the same although they type something else, the letter whose capital it is has it (Σ of σ and ς), and the
 * character itself before the dead key of its mark.
 */
function legendsOf(keys: LayoutData['keys']): Legends {
  const printed = Object.entries(keys).flatMap(([code, [typed = '', shifted = '']]) => {
    const plain = keyCharacter(typed);
    if (plain.trim() === '' || KEY_BY_CODE.get(code)?.kind !== 'writing') return [];
    const isCapital = /^\p{Ll}$/u.test(plain) && /^\p{Lu}$/u.test(shifted);
    return [{ code, typed, plain, label: isCapital ? shifted : capitalOf(plain) }];
  });
  const isOthers = (key: (typeof printed)[number]) =>
    printed.some(
      (other) =>
        other.label === key.label &&
        other.typed !== key.typed &&
        // The other one has the better claim to it.
        other.typed === other.plain &&
        capitalOf(other.plain) === other.label &&
        !(key.typed === key.plain && capitalOf(key.plain) === key.label),
    );
  return new Map(printed.map((key) => [key.code, isOthers(key) ? key.typed : key.label]));
}
