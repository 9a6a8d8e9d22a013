import { KEY_BY_CODE } from '../keyTable.ts';
import { modifierOf } from '../shortcut.ts';
import { deadMark, type Layout } from './layout.ts';

/** Values of modifiers (UI Events KeyboardEvent key Values, section 3.2). */
const MODIFIER_VALUES = {
  ctrl: 'Control',
  shift: 'Shift',
  alt: 'Alt',
  altGr: 'AltGraph',
  meta: 'Meta',
} as const;

/**
 * The W3C `KeyboardEvent.key` value that a key gives on a layout (UI Events KeyboardEvent key Values). A level that types
 * nothing gives what the key types without it.
 */
export function keyValue(
  code: string,
  { shift, altGr }: { readonly shift: boolean; readonly altGr: boolean },
  layout: Layout,
): string {
  const row = KEY_BY_CODE.get(code);
  if (!row) return 'Unidentified';
  const modifier = modifierOf(code);
  if (modifier) return MODIFIER_VALUES[modifier];
  const levels = layout.keys[code];
  if (levels) {
    const typed = levels[(shift ? 1 : 0) + (altGr ? 2 : 0)] || levels[0] || 'Unidentified';
    return deadMark(typed) ? 'Dead' : typed;
  }
  if (row.kind === 'numpad') return numpadValue(code);
  return row.code;
}

/** What the number pad types with its lock on. */
function numpadValue(code: string): string {
  const tail = code.slice('Numpad'.length);
  const characters: Readonly<Record<string, string>> = {
    Add: '+',
    Subtract: '-',
    Multiply: '*',
    Divide: '/',
    Decimal: '.',
    Equal: '=',
  };
  return characters[tail] ?? tail;
}
