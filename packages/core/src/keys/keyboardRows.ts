/** One key of a drawn keyboard: its code and how many key widths it is wide. */
export interface DrawnKey {
  readonly code: string;
  /** In widths of a plain key. */
  readonly width: number;
}

/** A row of a drawn keyboard: keys of width 1 unless said otherwise. */
const row = (...keys: readonly (string | readonly [code: string, width: number])[]): readonly DrawnKey[] =>
  keys.map((key) => (typeof key === 'string' ? { code: key, width: 1 } : { code: key[0], width: key[1] }));
/** Codes of the digits in the order in which they stand. */
const digits = Array.from({ length: 10 }, (_, i) => `Digit${(i + 1) % 10}`);
const letters = (text: string) => Array.from(text, (letter) => `Key${letter}`);

/** The main block of a keyboard of the international kind (ISO/IEC 9995-2), row by row, 15 key widths wide. */
export const MAIN_ROWS: readonly (readonly DrawnKey[])[] = [
  row('Backquote', ...digits, 'Minus', 'Equal', ['Backspace', 2]),
  row(['Tab', 1.5], ...letters('QWERTYUIOP'), 'BracketLeft', 'BracketRight', ['Enter', 1.5]),
  row(['CapsLock', 1.75], ...letters('ASDFGHJKL'), 'Semicolon', 'Quote', 'Backslash', ['ContextMenu', 1.25]),
  row(['ShiftLeft', 1.25], 'IntlBackslash', ...letters('ZXCVBNM'), 'Comma', 'Period', 'Slash', [
    'ShiftRight',
    2.75,
  ]),
  row(
    ['ControlLeft', 1.25],
    ['MetaLeft', 1.25],
    ['AltLeft', 1.25],
    ['Space', 6.25],
    ['AltRight', 1.25],
    ['MetaRight', 1.25],
    ['ControlRight', 2.5],
  ),
];

/** The row above it: Escape and F1 to F12. */
export const FUNCTION_ROW: readonly DrawnKey[] = row(
  ['Escape', 1.5],
  ...Array.from({ length: 12 }, (_, i) => [`F${i + 1}`, 1.125] as const),
);

/** The keys between the main block and the number pad. */
export const SIDE_ROWS: readonly (readonly DrawnKey[])[] = [
  row('Insert', 'Home', 'PageUp'),
  row('Delete', 'End', 'PageDown'),
  row('PrintScreen', 'ScrollLock', 'Pause'),
  row('ArrowUp'),
  row('ArrowLeft', 'ArrowDown', 'ArrowRight'),
];

/** The number pad. */
export const NUMBER_ROWS: readonly (readonly DrawnKey[])[] = [
  row('NumLock', 'NumpadDivide', 'NumpadMultiply', 'NumpadSubtract'),
  row('Numpad7', 'Numpad8', 'Numpad9', 'NumpadAdd'),
  row('Numpad4', 'Numpad5', 'Numpad6', 'NumpadEqual'),
  row('Numpad1', 'Numpad2', 'Numpad3', 'NumpadEnter'),
  row(['Numpad0', 2], 'NumpadDecimal', 'NumpadComma'),
];
