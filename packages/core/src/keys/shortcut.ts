import { KEY_BY_CODE, KEY_TABLE } from './keyTable.ts';

/** Modifiers held together with at most one key. With no key (`code` null) at least one modifier is on. */
export interface Shortcut {
  readonly ctrl: boolean;
  readonly shift: boolean;
  readonly alt: boolean;
  /** The right Alt key, which reaches the third level of many keyboards. */
  readonly altGr: boolean;
  /** The Windows, Command or Super key. */
  readonly meta: boolean;
  /** W3C `KeyboardEvent.code` of the key, or null for modifiers alone. */
  readonly code: string | null;
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

/** The key codes of a shortcut in the order in which they go down: Ctrl, Shift, Alt, AltGr, Meta, key. */
export function codesOf(shortcut: Shortcut): readonly string[] {
  const codes = MODIFIERS.filter(({ name }) => shortcut[name]).map(({ code }) => code);
  return shortcut.code === null ? codes : [...codes, shortcut.code];
}

/** Writes a shortcut in canonical notation, for instance `Ctrl+Shift+Z`. */
export function formatShortcut(shortcut: Shortcut): string {
  const words = MODIFIERS.filter(({ name }) => shortcut[name]).map(({ word }) => word);
  const row = shortcut.code === null ? undefined : KEY_BY_CODE.get(shortcut.code);
  return row ? [...words, row.name].join('+') : words.join('+');
}

/** Whether two shortcuts send the same keys. */
export function sameShortcut(a: Shortcut, b: Shortcut): boolean {
  return formatShortcut(a) === formatShortcut(b);
}

/** Orders shortcuts: fewer modifiers first, then by the key's place in the key table. */
export function compareShortcuts(a: Shortcut, b: Shortcut): number {
  const weight = (shortcut: Shortcut) =>
    MODIFIERS.reduce((sum, { name }, i) => sum + (shortcut[name] ? 32 + 2 ** i : 0), 0);
  const place = (shortcut: Shortcut) => KEY_TABLE.findIndex((row) => row.code === shortcut.code);
  return weight(a) - weight(b) || place(a) - place(b);
}
