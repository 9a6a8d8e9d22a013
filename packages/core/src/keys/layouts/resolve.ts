import { ok, type Result, refuse } from '../../result.ts';
import { hasCapital, isDigit, UNITED_STATES } from '../character.ts';
import { canonical, modifierCodes, type Shortcut } from '../shortcut.ts';
import type { Layout, Press } from './layout.ts';

/** What a program goes by when it reads a key: what it means on the layout, or where it is. */
export type KeysBy = 'character' | 'place';

/**
 * How a shortcut's key was found.
 *
 * - `same`: it has a key of its own on every keyboard, or there is none.
 * - `place`: it is the key at a place, or the program reads places: there the United States keyboard has the character.
 * - `digit`: a digit is its key, whatever that types without Shift.
 * - `plain`, `shift`: the key that types it without or with Shift.
 * - `latin-place`: the layout has no Latin letters; its keys are those of the United States keyboard.
 * - `altgr`: only AltGr reaches it, which many programs do not take as part of a shortcut.
 */
export type ResolvedWay = 'same' | 'place' | 'digit' | 'plain' | 'shift' | 'latin-place' | 'altgr';

/** Keys to press for a shortcut. */
export interface KeysToPress {
  /** W3C `KeyboardEvent.code`, in the order in which they go down. */
  readonly codes: readonly string[];
  readonly way: ResolvedWay;
}

/** The keys of a shortcut on a keyboard, with further keys that would do. */
export interface Resolved extends KeysToPress {
  /** Other keys for the same character, easiest first. */
  readonly alternatives: readonly KeysToPress[];
}

/** A shortcut that cannot be typed: no key of the keyboard has its character, or a program that reads places means none. */
export interface NoKey {
  readonly character: string;
  readonly keysBy: KeysBy;
}

/**
 * Finds the keys that make a program read a shortcut: for the keyboard of the computer that receives them. A character
 * is its key without Shift, else with Shift, and only as the last way with AltGr; a dead key counts as its mark. On a
 * layout without Latin letters, Latin letters and signs are where the United States keyboard has them.
 */
export function resolveShortcut(shortcut: Shortcut, layout: Layout, keysBy: KeysBy): Result<Resolved, NoKey> {
  const whole = canonical(shortcut);
  const { key } = whole;
  if (key === null) return ok({ codes: modifierCodes(whole), way: 'same', alternatives: [] });
  if (key.kind !== 'character') {
    const way = key.kind === 'named' ? 'same' : 'place';
    return ok({ codes: [...modifierCodes(whole), key.code], way, alternatives: [] });
  }
  const [first, ...alternatives] = waysOf(key.character, whole.shift, layout, keysBy).map(
    ({ press, way }) => ({
      codes: pressed(whole, press),
      way,
    }),
  );
  return first ? ok({ ...first, alternatives }) : refuse({ character: key.character, keysBy });
}

/** The keys of a press with a shortcut's modifiers, in order. */
function pressed(shortcut: Shortcut, { code, shift, altGr }: Press): readonly string[] {
  const held = { ...shortcut, shift: shortcut.shift || shift, altGr: shortcut.altGr || altGr };
  return [...modifierCodes(held), code];
}

/** A press that makes a program read a character. */
interface CharacterWay {
  readonly press: Press;
  readonly way: ResolvedWay;
}

/** Every way to make a program read a character, the best first. */
function waysOf(
  character: string,
  shifted: boolean,
  layout: Layout,
  keysBy: KeysBy,
): readonly CharacterWay[] {
  const place = UNITED_STATES.get(character);
  if (keysBy === 'place') return place ? [{ press: { ...place, altGr: false }, way: 'place' }] : [];
  if (isDigit(character)) return [{ press: digitPress(character, layout), way: 'digit' }];
  // Not where it types a sign: that key is read as another letter there (Hebrew's / is where Q is).
  if (place && !layout.hasLatin) return [{ press: { ...place, altGr: false }, way: 'latin-place' }];
  const small = typedWays(character, layout);
  const capitals = hasCapital(character) ? typedWays(character.toUpperCase(), layout) : [];
  // A letter may be on two keys, of which only one has its capital: that one, where Shift is held.
  const isWhole = ({ press }: CharacterWay) =>
    capitals.some((way) => way.press.shift && way.press.code === press.code);
  const rank = (way: CharacterWay) => (way.press.altGr ? 2 : 0) + (shifted && !isWhole(way) ? 1 : 0);
  return [...small.toSorted((a, b) => rank(a) - rank(b)), ...capitals]
    .toSorted((a, b) => Number(a.press.altGr) - Number(b.press.altGr))
    .filter(({ press }, i, all) => all.findIndex((other) => other.press.code === press.code) === i);
}

/** The presses that type it. */
function typedWays(character: string, layout: Layout): readonly CharacterWay[] {
  return (layout.presses.get(character) ?? []).map((press) => ({ press, way: wayOf(press) }));
}

const wayOf = ({ shift, altGr }: Press): ResolvedWay => (altGr ? 'altgr' : shift ? 'shift' : 'plain');

/** The digit's key: the one that types it, with Shift or without, else the one that has its name. */
function digitPress(digit: string, layout: Layout): Press {
  const own = layout.presses.get(digit)?.find(({ altGr }) => !altGr);
  return { code: own?.code ?? `Digit${digit}`, shift: false, altGr: false };
}
