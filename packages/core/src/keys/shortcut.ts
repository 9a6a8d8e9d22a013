import { capitalOf, hasCapital, isDigit, plainCharacter, UNITED_STATES } from './character.ts';
import { KEY_BY_CODE, KEY_TABLE } from './keyTable.ts';

/**
 * The key of a shortcut, by what it means: a character of the keyboard's layout (letters in lower case), a key that is
 * the same everywhere, or a place whatever is printed on it. Codes are W3C `KeyboardEvent.code`.
 */
export type ShortcutKey =
  | { readonly kind: 'character'; readonly character: string }
  | { readonly kind: 'named'; readonly code: string }
  | { readonly kind: 'place'; readonly code: string };

/** Modifiers held together with at most one key. With no key at least one modifier is on. */
export interface Shortcut {
  readonly ctrl: boolean;
  readonly shift: boolean;
  readonly alt: boolean;
  /** The right Alt key, which reaches the third level of many keyboards. */
  readonly altGr: boolean;
  /** The Windows, Command or Super key. */
  readonly meta: boolean;
  /** Null for modifiers alone. */
  readonly key: ShortcutKey | null;
}

/** The modifiers, as our notation names them. */
export type ModifierName = 'ctrl' | 'shift' | 'alt' | 'altGr' | 'meta';

/** The modifiers in the order in which they go down, with their word in the notation and the key sent for it. */
export const MODIFIERS: readonly {
  readonly name: ModifierName;
  /** In our notation. */
  readonly word: string;
  /** The key that is pressed for it: the left one. */
  readonly code: string;
}[] = [
  { name: 'ctrl', word: 'Ctrl', code: 'ControlLeft' },
  { name: 'shift', word: 'Shift', code: 'ShiftLeft' },
  { name: 'alt', word: 'Alt', code: 'AltLeft' },
  { name: 'altGr', word: 'AltGr', code: 'AltRight' },
  { name: 'meta', word: 'Meta', code: 'MetaLeft' },
];

/** No modifier at all. */
export const BARE = { ctrl: false, shift: false, alt: false, altGr: false, meta: false } as const;

/** Every modifier key, left before right, with the modifier it is. */
export const MODIFIER_KEYS: ReadonlyMap<string, ModifierName> = new Map([
  ['ControlLeft', 'ctrl'],
  ['ControlRight', 'ctrl'],
  ['ShiftLeft', 'shift'],
  ['ShiftRight', 'shift'],
  ['AltLeft', 'alt'],
  ['AltRight', 'altGr'],
  ['MetaLeft', 'meta'],
  ['MetaRight', 'meta'],
]);

/** The modifier a key code stands for (left or right), or null. */
export function modifierOf(code: string): ModifierName | null {
  return MODIFIER_KEYS.get(code) ?? null;
}

/** The key codes of a shortcut's modifiers in the order in which they go down: Ctrl, Shift, Alt, AltGr, Meta. */
export function modifierCodes(shortcut: Readonly<Record<ModifierName, boolean>>): readonly string[] {
  return MODIFIERS.filter(({ name }) => shortcut[name]).map(({ code }) => code);
}

/** What a key is called by, given by its code: a character of the United States layout, a named key, or a place. */
export function keyByCode(code: string): ShortcutKey {
  const row = KEY_BY_CODE.get(code);
  if (row?.kind !== 'writing') return { kind: 'named', code };
  return row.plain === undefined ? { kind: 'place', code } : { kind: 'character', character: row.plain };
}

/** The place a key has on a United States keyboard, or null for a character that is not on it. */
export function unitedStatesCode(key: ShortcutKey): string | null {
  return key.kind === 'character' ? (UNITED_STATES.get(key.character)?.code ?? null) : key.code;
}

/**
 * A shortcut in its canonical form, by which it is compared: letters in lower case; signs of the United States layout
 * without Shift, so that `Shift+/` is `?`; a key that is only a modifier is that modifier.
 */
export function canonical(shortcut: Shortcut): Shortcut {
  const { key } = shortcut;
  if (key === null) return shortcut;
  if (key.kind !== 'character') return anyPlace(shortcut, key);
  const character = plainCharacter(key.character);
  if (!shortcut.shift || hasCapital(character) || isDigit(character))
    return { ...shortcut, key: { kind: 'character', character } };
  const known = UNITED_STATES.get(character);
  const shifted = known && KEY_BY_CODE.get(known.code)?.shifted;
  if (shifted === undefined) return { ...shortcut, key: { kind: 'character', character } };
  return { ...shortcut, shift: false, key: { kind: 'character', character: shifted } };
}

/**
 * Only keys that write are ever given by their place. The keys that are pressed for modifiers are those; the others of
 * each pair are keys like any other.
 */
function anyPlace(shortcut: Shortcut, { code }: Exclude<ShortcutKey, { kind: 'character' }>): Shortcut {
  const found = MODIFIERS.find((modifier) => modifier.code === code);
  if (found) return { ...shortcut, [found.name]: true, key: null };
  const writes = KEY_BY_CODE.get(code)?.kind === 'writing';
  return { ...shortcut, key: { kind: writes ? 'place' : 'named', code } };
}

/** A key in our notation: `Z`, `?`, `F5`, `{KeyZ}`. */
export function formatKey(key: ShortcutKey): string {
  switch (key.kind) {
    case 'character':
      return capitalOf(key.character);
    case 'named':
      return KEY_BY_CODE.get(key.code)?.name ?? key.code;
    case 'place':
      return `{${key.code}}`;
  }
}

/** Writes a shortcut in canonical notation, for instance `Ctrl+Shift+Z`. */
export function formatShortcut(shortcut: Shortcut): string {
  const whole = canonical(shortcut);
  const words = MODIFIERS.filter(({ name }) => whole[name]).map(({ word }) => word);
  return [...words, ...(whole.key ? [formatKey(whole.key)] : [])].join('+');
}

/** Whether two shortcuts mean the same. */
export function sameShortcut(a: Shortcut, b: Shortcut): boolean {
  return formatShortcut(a) === formatShortcut(b);
}

/** The place of each key in the key table. */
const PLACES = new Map(KEY_TABLE.map(({ code }, i) => [code, i]));

/** Orders shortcuts: fewer modifiers first, then by the key's place in the key table, then as they are written. */
export function compareShortcuts(a: Shortcut, b: Shortcut): number {
  const weight = (shortcut: Shortcut) =>
    MODIFIERS.reduce((sum, { name }, i) => sum + (shortcut[name] ? 32 + 2 ** i : 0), 0);
  const place = ({ key }: Shortcut) =>
    key === null ? -1 : (PLACES.get(unitedStatesCode(key) ?? '') ?? KEY_TABLE.length);
  const [first, second] = [canonical(a), canonical(b)];
  const [x, y] = [formatShortcut(first), formatShortcut(second)];
  return weight(first) - weight(second) || place(first) - place(second) || (x < y ? -1 : x > y ? 1 : 0);
}
