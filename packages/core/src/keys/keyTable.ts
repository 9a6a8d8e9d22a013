/**
 * One row per key: every look-up and label derives from this table.
 *
 * `code` is the W3C `KeyboardEvent.code` (UI Events KeyboardEvent code Values). `name` is how the key is
 * written in our shortcut notation; `legend` is what a keycap shows. `plain` and `shifted` are the
 * characters of the United States layout, which the notation uses to name the writing-system keys.
 */
export type KeyKind = 'writing' | 'modifier' | 'function' | 'functional' | 'arrow' | 'numpad' | 'media';

export interface KeyRow {
  readonly code: string;
  readonly name: string;
  readonly legend: string;
  readonly kind: KeyKind;
  readonly plain?: string;
  readonly shifted?: string;
}

const writing = (code: string, plain: string, shifted: string): KeyRow => ({
  code,
  name: plain.toUpperCase(),
  legend: plain.toUpperCase(),
  kind: 'writing',
  plain,
  shifted,
});
const key = (kind: KeyKind, code: string, name: string = code, legend: string = name): KeyRow => ({
  code,
  name,
  legend,
  kind,
});

export const KEY_TABLE: readonly KeyRow[] = [
  writing('Backquote', '`', '~'),
  writing('Digit1', '1', '!'),
  writing('Digit2', '2', '@'),
  writing('Digit3', '3', '#'),
  writing('Digit4', '4', '$'),
  writing('Digit5', '5', '%'),
  writing('Digit6', '6', '^'),
  writing('Digit7', '7', '&'),
  writing('Digit8', '8', '*'),
  writing('Digit9', '9', '('),
  writing('Digit0', '0', ')'),
  writing('Minus', '-', '_'),
  writing('Equal', '=', '+'),
  writing('KeyQ', 'q', 'Q'),
  writing('KeyW', 'w', 'W'),
  writing('KeyE', 'e', 'E'),
  writing('KeyR', 'r', 'R'),
  writing('KeyT', 't', 'T'),
  writing('KeyY', 'y', 'Y'),
  writing('KeyU', 'u', 'U'),
  writing('KeyI', 'i', 'I'),
  writing('KeyO', 'o', 'O'),
  writing('KeyP', 'p', 'P'),
  writing('BracketLeft', '[', '{'),
  writing('BracketRight', ']', '}'),
  writing('Backslash', '\\', '|'),
  writing('KeyA', 'a', 'A'),
  writing('KeyS', 's', 'S'),
  writing('KeyD', 'd', 'D'),
  writing('KeyF', 'f', 'F'),
  writing('KeyG', 'g', 'G'),
  writing('KeyH', 'h', 'H'),
  writing('KeyJ', 'j', 'J'),
  writing('KeyK', 'k', 'K'),
  writing('KeyL', 'l', 'L'),
  writing('Semicolon', ';', ':'),
  writing('Quote', "'", '"'),
  writing('KeyZ', 'z', 'Z'),
  writing('KeyX', 'x', 'X'),
  writing('KeyC', 'c', 'C'),
  writing('KeyV', 'v', 'V'),
  writing('KeyB', 'b', 'B'),
  writing('KeyN', 'n', 'N'),
  writing('KeyM', 'm', 'M'),
  writing('Comma', ',', '<'),
  writing('Period', '.', '>'),
  writing('Slash', '/', '?'),
  key('writing', 'IntlBackslash', 'IntlBackslash', '<>'),
  key('writing', 'IntlRo', 'IntlRo', 'ろ'),
  key('writing', 'IntlYen', 'IntlYen', '¥'),
  key('modifier', 'ControlLeft', 'ControlLeft', 'Ctrl'),
  key('modifier', 'ShiftLeft', 'ShiftLeft', 'Shift'),
  key('modifier', 'AltLeft', 'AltLeft', 'Alt'),
  key('modifier', 'MetaLeft', 'MetaLeft', 'Meta'),
  key('modifier', 'ControlRight', 'ControlRight', 'Right Ctrl'),
  key('modifier', 'ShiftRight', 'ShiftRight', 'Right Shift'),
  key('modifier', 'AltRight', 'AltRight', 'Right Alt'),
  key('modifier', 'MetaRight', 'MetaRight', 'Right Meta'),
  { ...key('functional', 'Space'), plain: ' ', shifted: ' ' },
  key('functional', 'Enter'),
  key('functional', 'Tab'),
  key('functional', 'Backspace'),
  key('functional', 'CapsLock', 'CapsLock', 'Caps'),
  key('functional', 'ContextMenu', 'ContextMenu', 'Menu'),
  key('functional', 'Escape', 'Escape', 'Esc'),
  key('functional', 'Insert', 'Insert', 'Ins'),
  key('functional', 'Delete', 'Delete', 'Del'),
  key('functional', 'Home'),
  key('functional', 'End'),
  key('functional', 'PageUp', 'PageUp', 'PgUp'),
  key('functional', 'PageDown', 'PageDown', 'PgDn'),
  key('functional', 'PrintScreen', 'PrintScreen', 'PrtSc'),
  key('functional', 'ScrollLock', 'ScrollLock', 'ScrLk'),
  key('functional', 'Pause'),
  key('functional', 'NumLock', 'NumLock', 'NumLk'),
  key('arrow', 'ArrowUp', 'ArrowUp', '↑'),
  key('arrow', 'ArrowDown', 'ArrowDown', '↓'),
  key('arrow', 'ArrowLeft', 'ArrowLeft', '←'),
  key('arrow', 'ArrowRight', 'ArrowRight', '→'),
  ...Array.from({ length: 24 }, (_, i) => key('function', `F${i + 1}`)),
  ...Array.from({ length: 10 }, (_, i) => key('numpad', `Numpad${i}`, `Numpad${i}`, `Num ${i}`)),
  key('numpad', 'NumpadAdd', 'NumpadAdd', 'Num +'),
  key('numpad', 'NumpadSubtract', 'NumpadSubtract', 'Num −'),
  key('numpad', 'NumpadMultiply', 'NumpadMultiply', 'Num ×'),
  key('numpad', 'NumpadDivide', 'NumpadDivide', 'Num ÷'),
  key('numpad', 'NumpadDecimal', 'NumpadDecimal', 'Num .'),
  key('numpad', 'NumpadEnter', 'NumpadEnter', 'Num Enter'),
  key('numpad', 'NumpadEqual', 'NumpadEqual', 'Num ='),
  key('media', 'AudioVolumeMute', 'AudioVolumeMute', 'Mute'),
  key('media', 'AudioVolumeDown', 'AudioVolumeDown', 'Vol −'),
  key('media', 'AudioVolumeUp', 'AudioVolumeUp', 'Vol +'),
  key('media', 'MediaPlayPause', 'MediaPlayPause', 'Play'),
  key('media', 'MediaStop', 'MediaStop', 'Stop'),
  key('media', 'MediaTrackNext', 'MediaTrackNext', 'Next'),
  key('media', 'MediaTrackPrevious', 'MediaTrackPrevious', 'Prev'),
];

/** The row of each key by its code. A code given twice fails when the module loads. */
export const KEY_BY_CODE: ReadonlyMap<string, KeyRow> = indexRows(KEY_TABLE);

function indexRows(rows: readonly KeyRow[]): ReadonlyMap<string, KeyRow> {
  const byCode = new Map<string, KeyRow>();
  for (const row of rows) {
    if (!row.code || !row.name || !row.legend) throw new Error(`key table: row ${row.code} is incomplete`);
    if (byCode.has(row.code)) throw new Error(`key table: ${row.code} stands twice`);
    byCode.set(row.code, row);
  }
  return byCode;
}
