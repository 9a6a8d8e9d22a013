import { hasCapital, isDigit, isKeyCharacter, plainCharacter } from '../character.ts';
import { KEY_BY_CODE } from '../keyTable.ts';
import { parseShortcut } from '../parseShortcut.ts';
import {
  BARE,
  canonical,
  formatShortcut,
  keyByCode,
  type ModifierName,
  modifierOf,
  type Shortcut,
  type ShortcutKey,
} from '../shortcut.ts';
import { keyCharacter, type Layout } from './layout.ts';
import type { KeysBy } from './resolve.ts';

/** A key that was pressed with modifiers, as a browser or a desk tells of it. */
export interface KeyPressed {
  /** W3C `KeyboardEvent.code`. */
  readonly code: string;
  /** W3C `KeyboardEvent.key`; null where nobody tells what it types. */
  readonly value: string | null;
  readonly held: Readonly<Record<ModifierName, boolean>>;
}

/**
 * What a press means to a program: the shortcut that {@link resolveShortcut} makes it of again. Read by character, it is
 * what the key types on the layout; Shift that only reaches a sign and AltGr that reaches a character belong to that
 * character. Read by place, it is what a United States keyboard has there.
 *
 * `value` counts for more than the layout, which may be another one than the keyboard really has; not with Alt or
 * AltGr, with which some systems tell something else.
 */
export function meaningOf({ code, value, held }: KeyPressed, layout: Layout, keysBy: KeysBy): Shortcut {
  const key = keyByCode(code);
  if (KEY_BY_CODE.get(code)?.kind !== 'writing' || keysBy === 'place') return canonical({ ...held, key });
  const place: Shortcut = { ...held, key: { kind: 'place', code } };
  const meant = digitOf(code, held, layout) ?? latinOf(key, layout) ?? typedBy(code, value, held, layout);
  if (meant === null) return place;
  const shortcut = canonical({ ...held, ...meant });
  const read = parseShortcut(formatShortcut(shortcut));
  // Some signs are the name of a key (→ is an arrow key): the place says what was pressed.
  return read.ok && formatShortcut(read.value) === formatShortcut(shortcut) ? shortcut : place;
}

/** A key, and the modifiers that only reach it. */
type Meant = Partial<Record<ModifierName, false>> & { readonly key: ShortcutKey };

const character = (typed: string): ShortcutKey => ({ kind: 'character', character: plainCharacter(typed) });

/** A digit's key is the digit, whatever it types without Shift; with AltGr it is what that reaches. */
function digitOf(code: string, { altGr }: KeyPressed['held'], layout: Layout): Meant | null {
  if (!code.startsWith('Digit') || altGr) return null;
  const levels = layout.keys[code]?.slice(0, 2) ?? [];
  const digit = levels.find(isDigit) ?? code.slice('Digit'.length);
  const isElsewhere = levels[0] !== digit && levels[1] !== digit && layout.presses.has(digit);
  return isElsewhere ? null : { key: character(digit) };
}

/** On a layout without Latin letters, keys are read as a United States keyboard has them. */
function latinOf(key: ShortcutKey, { hasLatin }: Layout): Meant | null {
  return hasLatin ? null : { key };
}

/** What it types on the level that the modifiers reach. */
function typedBy(code: string, value: string | null, held: KeyPressed['held'], layout: Layout): Meant | null {
  const [plain = '', shifted = '', third = '', fourth = ''] = (layout.keys[code] ?? []).map(keyCharacter);
  if (held.altGr) {
    const reached = held.shift ? fourth : third;
    // AltGr that reaches nothing is a modifier, of the key at that place.
    if (!isKeyCharacter(reached) || reached === plain) return null;
    const key = character(reached);
    // Shift is a modifier of a letter; where it reaches another character it belongs to that.
    return isPair(third, fourth) ? { altGr: false, key } : { altGr: false, shift: false, key };
  }
  const told = value !== null && isTold(value, held) ? value : null;
  const base = told !== null && hasCapital(plainCharacter(told)) ? told : plain;
  const isLetter = hasCapital(plainCharacter(base));
  if (!held.shift || isLetter) {
    const typed = held.shift ? base : (told ?? base);
    return isKeyCharacter(typed) ? { key: character(typed) } : null;
  }
  const sign = told ?? shifted;
  if (isKeyCharacter(sign)) return { shift: false, key: character(sign) };
  return isKeyCharacter(plain) ? { key: character(plain) } : null;
}

/** Whether two levels of a key are a letter and its capital. */
function isPair(lower: string, upper: string): boolean {
  return hasCapital(lower) && lower !== upper && plainCharacter(upper) === lower;
}

/** Whether a browser's `key` is what the layout types there. */
function isTold(value: string, { alt, altGr }: KeyPressed['held']): boolean {
  return isKeyCharacter(value) && !alt && !altGr;
}

/** Keys that go down together, as the shortcut they mean. */
export function shortcutOf(codes: readonly string[], layout: Layout, keysBy: KeysBy): Shortcut {
  const held: Record<ModifierName, boolean> = { ...BARE };
  let key: string | null = null;
  for (const code of codes) {
    const modifier = modifierOf(code);
    if (modifier) held[modifier] = true;
    else key = code;
  }
  return key === null ? { ...held, key: null } : meaningOf({ code: key, value: null, held }, layout, keysBy);
}
