import { KEY_BY_CODE } from './keyTable.ts';
import { modifierOf } from './shortcut.ts';

/** Values of modifiers (UI Events KeyboardEvent key Values, section 3.2). */
const MODIFIER_VALUES = {
  ctrl: 'Control',
  shift: 'Shift',
  alt: 'Alt',
  altGr: 'AltGraph',
  meta: 'Meta',
} as const;

/**
 * The W3C `KeyboardEvent.key` value that a key gives on the United States layout
 * (UI Events KeyboardEvent key Values).
 */
export function keyValue(code: string, shift: boolean): string {
  const row = KEY_BY_CODE.get(code);
  if (!row) return 'Unidentified';
  const modifier = modifierOf(code);
  if (modifier) return MODIFIER_VALUES[modifier];
  if (row.plain !== undefined) return (shift ? row.shifted : row.plain) ?? row.plain;
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
