/**
 * One row per key: every look-up and label derives from this table.
 *
 * `code` is the W3C `KeyboardEvent.code` (UI Events KeyboardEvent code Values). `usage` is the USB HID usage page
 * and id (HID Usage Tables), `linux` the kernel's input code and its name (input-event-codes.h). `name` is how the
 * key is written in our shortcut notation; `legend` is what a keycap shows where no keyboard layout says otherwise.
 * `plain` and `shifted` are the characters of the United States layout, which the notation uses to name the
 * writing-system keys. Checked in keyTable.test.ts against Debian's usb.ids, the kernel's header, xkb-data and
 * Chromium.
 */
export type KeyKind =
  | 'writing'
  | 'modifier'
  | 'functional'
  | 'arrow'
  | 'function'
  | 'numpad'
  | 'language'
  | 'editing'
  | 'media'
  | 'browser'
  | 'launch'
  | 'power';

/** Systems whose keyboards have other words for the same keys. */
export type Platform = 'windows' | 'mac' | 'linux';

/** Everything known of one physical key; whatever is asked about keys is looked up here. */
export interface KeyRow {
  /** UI Events KeyboardEvent `code`. */
  readonly code: string;
  /** Null for a key that no usage stands for. */
  readonly usage: { readonly page: number; readonly id: number } | null;
  /** Null for a key the kernel has no code for. */
  readonly linux: { readonly code: number; readonly name: string } | null;
  readonly kind: KeyKind;
  /** As people say it. */
  readonly name: string;
  /** As keyboards of the United States print it. */
  readonly legend: string;
  /** What each platform calls it. */
  readonly names: Readonly<Record<Platform, string>>;
  /** What it types without and with Shift there. */
  readonly plain?: string;
  readonly shifted?: string;
}

/** What a row says beyond its codes; the rest follows from them. */
interface Given extends Partial<Pick<KeyRow, 'name' | 'legend' | 'plain' | 'shifted'>> {
  readonly names?: Partial<KeyRow['names']>;
}

/** Usage pages (HID Usage Tables 1.5, section 3). */
const DESKTOP = 0x01;
const KEYBOARD = 0x07;
const CONSUMER = 0x0c;
const NONE = null;

/** X keycodes are the kernel's input codes and 8 (xkb-data's keycodes/evdev). */
const X_OFFSET = 8;

/** A row in one line, so that the table can be read as one. */
function row(
  code: string,
  usage: readonly [page: number, id: number] | null,
  linux: readonly [code: number, name: string] | null,
  kind: KeyKind,
  { name = code, legend = name, names = {}, ...characters }: Given = {},
): KeyRow {
  const own = { windows: legend, mac: legend, linux: legend, ...names };
  return {
    code,
    usage: usage && { page: usage[0], id: usage[1] },
    linux: linux && { code: linux[0], name: linux[1] },
    kind,
    name,
    legend,
    names: own,
    ...characters,
  };
}

/**
 * Every key there is: the code of UI Events, the usage of HID, the number of Linux (`input-event-codes.h`), and what
 * a United States keyboard prints. Tests compare each column with its source.
 */
export const KEY_TABLE: readonly KeyRow[] = [
  row('Backquote', [KEYBOARD, 0x35], [41, 'KEY_GRAVE'], 'writing', {
    legend: '`',
    name: '`',
    plain: '`',
    shifted: '~',
  }),
  // The writing keys: their codes are places, named after what a United States keyboard has there (UI Events
  // KeyboardEvent code Values, section 3.1.1).
  row('Digit1', [KEYBOARD, 0x1e], [2, 'KEY_1'], 'writing', {
    legend: '1',
    name: '1',
    plain: '1',
    shifted: '!',
  }),
  row('Digit2', [KEYBOARD, 0x1f], [3, 'KEY_2'], 'writing', {
    legend: '2',
    name: '2',
    plain: '2',
    shifted: '@',
  }),
  row('Digit3', [KEYBOARD, 0x20], [4, 'KEY_3'], 'writing', {
    legend: '3',
    name: '3',
    plain: '3',
    shifted: '#',
  }),
  row('Digit4', [KEYBOARD, 0x21], [5, 'KEY_4'], 'writing', {
    legend: '4',
    name: '4',
    plain: '4',
    shifted: '$',
  }),
  row('Digit5', [KEYBOARD, 0x22], [6, 'KEY_5'], 'writing', {
    legend: '5',
    name: '5',
    plain: '5',
    shifted: '%',
  }),
  row('Digit6', [KEYBOARD, 0x23], [7, 'KEY_6'], 'writing', {
    legend: '6',
    name: '6',
    plain: '6',
    shifted: '^',
  }),
  row('Digit7', [KEYBOARD, 0x24], [8, 'KEY_7'], 'writing', {
    legend: '7',
    name: '7',
    plain: '7',
    shifted: '&',
  }),
  row('Digit8', [KEYBOARD, 0x25], [9, 'KEY_8'], 'writing', {
    legend: '8',
    name: '8',
    plain: '8',
    shifted: '*',
  }),
  row('Digit9', [KEYBOARD, 0x26], [10, 'KEY_9'], 'writing', {
    legend: '9',
    name: '9',
    plain: '9',
    shifted: '(',
  }),
  row('Digit0', [KEYBOARD, 0x27], [11, 'KEY_0'], 'writing', {
    legend: '0',
    name: '0',
    plain: '0',
    shifted: ')',
  }),
  row('Minus', [KEYBOARD, 0x2d], [12, 'KEY_MINUS'], 'writing', {
    legend: '-',
    name: '-',
    plain: '-',
    shifted: '_',
  }),
  row('Equal', [KEYBOARD, 0x2e], [13, 'KEY_EQUAL'], 'writing', {
    legend: '=',
    name: '=',
    plain: '=',
    shifted: '+',
  }),
  // Letters by rows, as they are drawn and as Linux numbers them.
  row('KeyQ', [KEYBOARD, 0x14], [16, 'KEY_Q'], 'writing', {
    legend: 'Q',
    name: 'Q',
    plain: 'q',
    shifted: 'Q',
  }),
  row('KeyW', [KEYBOARD, 0x1a], [17, 'KEY_W'], 'writing', {
    legend: 'W',
    name: 'W',
    plain: 'w',
    shifted: 'W',
  }),
  row('KeyE', [KEYBOARD, 0x08], [18, 'KEY_E'], 'writing', {
    legend: 'E',
    name: 'E',
    plain: 'e',
    shifted: 'E',
  }),
  row('KeyR', [KEYBOARD, 0x15], [19, 'KEY_R'], 'writing', {
    legend: 'R',
    name: 'R',
    plain: 'r',
    shifted: 'R',
  }),
  row('KeyT', [KEYBOARD, 0x17], [20, 'KEY_T'], 'writing', {
    legend: 'T',
    name: 'T',
    plain: 't',
    shifted: 'T',
  }),
  row('KeyY', [KEYBOARD, 0x1c], [21, 'KEY_Y'], 'writing', {
    legend: 'Y',
    name: 'Y',
    plain: 'y',
    shifted: 'Y',
  }),
  row('KeyU', [KEYBOARD, 0x18], [22, 'KEY_U'], 'writing', {
    legend: 'U',
    name: 'U',
    plain: 'u',
    shifted: 'U',
  }),
  row('KeyI', [KEYBOARD, 0x0c], [23, 'KEY_I'], 'writing', {
    legend: 'I',
    name: 'I',
    plain: 'i',
    shifted: 'I',
  }),
  row('KeyO', [KEYBOARD, 0x12], [24, 'KEY_O'], 'writing', {
    legend: 'O',
    name: 'O',
    plain: 'o',
    shifted: 'O',
  }),
  row('KeyP', [KEYBOARD, 0x13], [25, 'KEY_P'], 'writing', {
    legend: 'P',
    name: 'P',
    plain: 'p',
    shifted: 'P',
  }),
  // Where layouts differ most: a German keyboard has Ü, +, # here, none of which the code tells.
  row('BracketLeft', [KEYBOARD, 0x2f], [26, 'KEY_LEFTBRACE'], 'writing', {
    legend: '[',
    name: '[',
    plain: '[',
    shifted: '{',
  }),
  row('BracketRight', [KEYBOARD, 0x30], [27, 'KEY_RIGHTBRACE'], 'writing', {
    legend: ']',
    name: ']',
    plain: ']',
    shifted: '}',
  }),
  row('Backslash', [KEYBOARD, 0x31], [43, 'KEY_BACKSLASH'], 'writing', {
    legend: '\\',
    name: '\\',
    plain: '\\',
    shifted: '|',
  }),
  // The middle row; its two bars are where the fingers rest.
  row('KeyA', [KEYBOARD, 0x04], [30, 'KEY_A'], 'writing', {
    legend: 'A',
    name: 'A',
    plain: 'a',
    shifted: 'A',
  }),
  row('KeyS', [KEYBOARD, 0x16], [31, 'KEY_S'], 'writing', {
    legend: 'S',
    name: 'S',
    plain: 's',
    shifted: 'S',
  }),
  row('KeyD', [KEYBOARD, 0x07], [32, 'KEY_D'], 'writing', {
    legend: 'D',
    name: 'D',
    plain: 'd',
    shifted: 'D',
  }),
  row('KeyF', [KEYBOARD, 0x09], [33, 'KEY_F'], 'writing', {
    legend: 'F',
    name: 'F',
    plain: 'f',
    shifted: 'F',
  }),
  row('KeyG', [KEYBOARD, 0x0a], [34, 'KEY_G'], 'writing', {
    legend: 'G',
    name: 'G',
    plain: 'g',
    shifted: 'G',
  }),
  row('KeyH', [KEYBOARD, 0x0b], [35, 'KEY_H'], 'writing', {
    legend: 'H',
    name: 'H',
    plain: 'h',
    shifted: 'H',
  }),
  row('KeyJ', [KEYBOARD, 0x0d], [36, 'KEY_J'], 'writing', {
    legend: 'J',
    name: 'J',
    plain: 'j',
    shifted: 'J',
  }),
  row('KeyK', [KEYBOARD, 0x0e], [37, 'KEY_K'], 'writing', {
    legend: 'K',
    name: 'K',
    plain: 'k',
    shifted: 'K',
  }),
  row('KeyL', [KEYBOARD, 0x0f], [38, 'KEY_L'], 'writing', {
    legend: 'L',
    name: 'L',
    plain: 'l',
    shifted: 'L',
  }),
  row('Semicolon', [KEYBOARD, 0x33], [39, 'KEY_SEMICOLON'], 'writing', {
    legend: ';',
    name: ';',
    plain: ';',
    shifted: ':',
  }),
  row('Quote', [KEYBOARD, 0x34], [40, 'KEY_APOSTROPHE'], 'writing', {
    legend: "'",
    name: "'",
    plain: "'",
    shifted: '"',
  }),
  // The lower row; between Shift and Z, keyboards outside of the United States have one key more (`IntlBackslash`).
  row('KeyZ', [KEYBOARD, 0x1d], [44, 'KEY_Z'], 'writing', {
    legend: 'Z',
    name: 'Z',
    plain: 'z',
    shifted: 'Z',
  }),
  row('KeyX', [KEYBOARD, 0x1b], [45, 'KEY_X'], 'writing', {
    legend: 'X',
    name: 'X',
    plain: 'x',
    shifted: 'X',
  }),
  row('KeyC', [KEYBOARD, 0x06], [46, 'KEY_C'], 'writing', {
    legend: 'C',
    name: 'C',
    plain: 'c',
    shifted: 'C',
  }),
  row('KeyV', [KEYBOARD, 0x19], [47, 'KEY_V'], 'writing', {
    legend: 'V',
    name: 'V',
    plain: 'v',
    shifted: 'V',
  }),
  row('KeyB', [KEYBOARD, 0x05], [48, 'KEY_B'], 'writing', {
    legend: 'B',
    name: 'B',
    plain: 'b',
    shifted: 'B',
  }),
  row('KeyN', [KEYBOARD, 0x11], [49, 'KEY_N'], 'writing', {
    legend: 'N',
    name: 'N',
    plain: 'n',
    shifted: 'N',
  }),
  row('KeyM', [KEYBOARD, 0x10], [50, 'KEY_M'], 'writing', {
    legend: 'M',
    name: 'M',
    plain: 'm',
    shifted: 'M',
  }),
  row('Comma', [KEYBOARD, 0x36], [51, 'KEY_COMMA'], 'writing', {
    legend: ',',
    name: ',',
    plain: ',',
    shifted: '<',
  }),
  row('Period', [KEYBOARD, 0x37], [52, 'KEY_DOT'], 'writing', {
    legend: '.',
    name: '.',
    plain: '.',
    shifted: '>',
  }),
  row('Slash', [KEYBOARD, 0x38], [53, 'KEY_SLASH'], 'writing', {
    legend: '/',
    name: '/',
    plain: '/',
    shifted: '?',
  }),
  row('IntlBackslash', [KEYBOARD, 0x64], [86, 'KEY_102ND'], 'writing', { legend: '<>' }),
  row('IntlRo', [KEYBOARD, 0x87], [89, 'KEY_RO'], 'writing', { legend: 'Ro' }),
  row('IntlYen', [KEYBOARD, 0x89], [124, 'KEY_YEN'], 'writing', { legend: '¥' }),
  row('ControlLeft', [KEYBOARD, 0xe0], [29, 'KEY_LEFTCTRL'], 'modifier', {
    legend: 'Ctrl',
    names: { mac: 'Control' },
  }),
  row('ShiftLeft', [KEYBOARD, 0xe1], [42, 'KEY_LEFTSHIFT'], 'modifier', { legend: 'Shift' }),
  row('AltLeft', [KEYBOARD, 0xe2], [56, 'KEY_LEFTALT'], 'modifier', {
    legend: 'Alt',
    names: { mac: 'Option' },
  }),
  row('MetaLeft', [KEYBOARD, 0xe3], [125, 'KEY_LEFTMETA'], 'modifier', {
    legend: 'Meta',
    names: { windows: 'Win', mac: 'Command', linux: 'Super' },
  }),
  row('ControlRight', [KEYBOARD, 0xe4], [97, 'KEY_RIGHTCTRL'], 'modifier', {
    legend: 'Right Ctrl',
    names: { mac: 'Right Control' },
  }),
  row('ShiftRight', [KEYBOARD, 0xe5], [54, 'KEY_RIGHTSHIFT'], 'modifier', { legend: 'Right Shift' }),
  row('AltRight', [KEYBOARD, 0xe6], [100, 'KEY_RIGHTALT'], 'modifier', {
    legend: 'Right Alt',
    names: { mac: 'Right Option' },
  }),
  row('MetaRight', [KEYBOARD, 0xe7], [126, 'KEY_RIGHTMETA'], 'modifier', {
    legend: 'Right Meta',
    names: { windows: 'Right Win', mac: 'Right Command', linux: 'Right Super' },
  }),
  row('Space', [KEYBOARD, 0x2c], [57, 'KEY_SPACE'], 'functional', { plain: ' ', shifted: ' ' }),
  row('Enter', [KEYBOARD, 0x28], [28, 'KEY_ENTER'], 'functional', { names: { mac: 'Return' } }),
  row('Tab', [KEYBOARD, 0x2b], [15, 'KEY_TAB'], 'functional'),
  row('Backspace', [KEYBOARD, 0x2a], [14, 'KEY_BACKSPACE'], 'functional', { names: { mac: 'Delete' } }),
  row('CapsLock', [KEYBOARD, 0x39], [58, 'KEY_CAPSLOCK'], 'functional', { legend: 'Caps' }),
  row('ContextMenu', [KEYBOARD, 0x65], [127, 'KEY_COMPOSE'], 'functional', { legend: 'Menu' }),
  row('Escape', [KEYBOARD, 0x29], [1, 'KEY_ESC'], 'functional', { legend: 'Esc' }),
  row('Insert', [KEYBOARD, 0x49], [110, 'KEY_INSERT'], 'functional', { legend: 'Ins' }),
  row('Delete', [KEYBOARD, 0x4c], [111, 'KEY_DELETE'], 'functional', {
    legend: 'Del',
    names: { mac: 'Forward Delete' },
  }),
  row('Home', [KEYBOARD, 0x4a], [102, 'KEY_HOME'], 'functional'),
  row('End', [KEYBOARD, 0x4d], [107, 'KEY_END'], 'functional'),
  row('PageUp', [KEYBOARD, 0x4b], [104, 'KEY_PAGEUP'], 'functional', { legend: 'PgUp' }),
  row('PageDown', [KEYBOARD, 0x4e], [109, 'KEY_PAGEDOWN'], 'functional', { legend: 'PgDn' }),
  row('Help', [KEYBOARD, 0x75], [138, 'KEY_HELP'], 'functional'),
  row('PrintScreen', [KEYBOARD, 0x46], [99, 'KEY_SYSRQ'], 'functional', { legend: 'PrtSc' }),
  row('ScrollLock', [KEYBOARD, 0x47], [70, 'KEY_SCROLLLOCK'], 'functional', { legend: 'ScrLk' }),
  row('Pause', [KEYBOARD, 0x48], [119, 'KEY_PAUSE'], 'functional'),
  row('NumLock', [KEYBOARD, 0x53], [69, 'KEY_NUMLOCK'], 'functional', {
    legend: 'NumLk',
    names: { mac: 'Clear' },
  }),
  row('ArrowUp', [KEYBOARD, 0x52], [103, 'KEY_UP'], 'arrow', { legend: '↑' }),
  row('ArrowDown', [KEYBOARD, 0x51], [108, 'KEY_DOWN'], 'arrow', { legend: '↓' }),
  row('ArrowLeft', [KEYBOARD, 0x50], [105, 'KEY_LEFT'], 'arrow', { legend: '←' }),
  row('ArrowRight', [KEYBOARD, 0x4f], [106, 'KEY_RIGHT'], 'arrow', { legend: '→' }),
  row('F1', [KEYBOARD, 0x3a], [59, 'KEY_F1'], 'function'),
  row('F2', [KEYBOARD, 0x3b], [60, 'KEY_F2'], 'function'),
  row('F3', [KEYBOARD, 0x3c], [61, 'KEY_F3'], 'function'),
  row('F4', [KEYBOARD, 0x3d], [62, 'KEY_F4'], 'function'),
  row('F5', [KEYBOARD, 0x3e], [63, 'KEY_F5'], 'function'),
  row('F6', [KEYBOARD, 0x3f], [64, 'KEY_F6'], 'function'),
  row('F7', [KEYBOARD, 0x40], [65, 'KEY_F7'], 'function'),
  row('F8', [KEYBOARD, 0x41], [66, 'KEY_F8'], 'function'),
  row('F9', [KEYBOARD, 0x42], [67, 'KEY_F9'], 'function'),
  row('F10', [KEYBOARD, 0x43], [68, 'KEY_F10'], 'function'),
  row('F11', [KEYBOARD, 0x44], [87, 'KEY_F11'], 'function'),
  row('F12', [KEYBOARD, 0x45], [88, 'KEY_F12'], 'function'),
  row('F13', [KEYBOARD, 0x68], [183, 'KEY_F13'], 'function'),
  row('F14', [KEYBOARD, 0x69], [184, 'KEY_F14'], 'function'),
  row('F15', [KEYBOARD, 0x6a], [185, 'KEY_F15'], 'function'),
  row('F16', [KEYBOARD, 0x6b], [186, 'KEY_F16'], 'function'),
  row('F17', [KEYBOARD, 0x6c], [187, 'KEY_F17'], 'function'),
  row('F18', [KEYBOARD, 0x6d], [188, 'KEY_F18'], 'function'),
  row('F19', [KEYBOARD, 0x6e], [189, 'KEY_F19'], 'function'),
  row('F20', [KEYBOARD, 0x6f], [190, 'KEY_F20'], 'function'),
  row('F21', [KEYBOARD, 0x70], [191, 'KEY_F21'], 'function'),
  row('F22', [KEYBOARD, 0x71], [192, 'KEY_F22'], 'function'),
  row('F23', [KEYBOARD, 0x72], [193, 'KEY_F23'], 'function'),
  row('F24', [KEYBOARD, 0x73], [194, 'KEY_F24'], 'function'),
  row('Numpad0', [KEYBOARD, 0x62], [82, 'KEY_KP0'], 'numpad', { legend: 'Num 0' }),
  row('Numpad1', [KEYBOARD, 0x59], [79, 'KEY_KP1'], 'numpad', { legend: 'Num 1' }),
  row('Numpad2', [KEYBOARD, 0x5a], [80, 'KEY_KP2'], 'numpad', { legend: 'Num 2' }),
  row('Numpad3', [KEYBOARD, 0x5b], [81, 'KEY_KP3'], 'numpad', { legend: 'Num 3' }),
  row('Numpad4', [KEYBOARD, 0x5c], [75, 'KEY_KP4'], 'numpad', { legend: 'Num 4' }),
  row('Numpad5', [KEYBOARD, 0x5d], [76, 'KEY_KP5'], 'numpad', { legend: 'Num 5' }),
  row('Numpad6', [KEYBOARD, 0x5e], [77, 'KEY_KP6'], 'numpad', { legend: 'Num 6' }),
  row('Numpad7', [KEYBOARD, 0x5f], [71, 'KEY_KP7'], 'numpad', { legend: 'Num 7' }),
  row('Numpad8', [KEYBOARD, 0x60], [72, 'KEY_KP8'], 'numpad', { legend: 'Num 8' }),
  row('Numpad9', [KEYBOARD, 0x61], [73, 'KEY_KP9'], 'numpad', { legend: 'Num 9' }),
  row('NumpadAdd', [KEYBOARD, 0x57], [78, 'KEY_KPPLUS'], 'numpad', { legend: 'Num +' }),
  row('NumpadSubtract', [KEYBOARD, 0x56], [74, 'KEY_KPMINUS'], 'numpad', { legend: 'Num −' }),
  row('NumpadMultiply', [KEYBOARD, 0x55], [55, 'KEY_KPASTERISK'], 'numpad', { legend: 'Num ×' }),
  row('NumpadDivide', [KEYBOARD, 0x54], [98, 'KEY_KPSLASH'], 'numpad', { legend: 'Num ÷' }),
  row('NumpadDecimal', [KEYBOARD, 0x63], [83, 'KEY_KPDOT'], 'numpad', { legend: 'Num .' }),
  row('NumpadEnter', [KEYBOARD, 0x58], [96, 'KEY_KPENTER'], 'numpad', { legend: 'Num Enter' }),
  row('NumpadEqual', [KEYBOARD, 0x67], [117, 'KEY_KPEQUAL'], 'numpad', { legend: 'Num =' }),
  row('NumpadComma', [KEYBOARD, 0x85], [121, 'KEY_KPCOMMA'], 'numpad', { legend: 'Num ,' }),
  row('NumpadParenLeft', [KEYBOARD, 0xb6], [179, 'KEY_KPLEFTPAREN'], 'numpad', { legend: 'Num (' }),
  row('NumpadParenRight', [KEYBOARD, 0xb7], [180, 'KEY_KPRIGHTPAREN'], 'numpad', { legend: 'Num )' }),
  row('NumpadBackspace', [KEYBOARD, 0xbb], NONE, 'numpad', { legend: 'Num Bksp' }),
  row('NumpadHash', [KEYBOARD, 0xcc], NONE, 'numpad', { legend: 'Num #' }),
  row('NumpadMemoryStore', [KEYBOARD, 0xd0], NONE, 'numpad', { legend: 'Num MS' }),
  row('NumpadMemoryRecall', [KEYBOARD, 0xd1], NONE, 'numpad', { legend: 'Num MR' }),
  row('NumpadMemoryClear', [KEYBOARD, 0xd2], NONE, 'numpad', { legend: 'Num MC' }),
  row('NumpadMemoryAdd', [KEYBOARD, 0xd3], NONE, 'numpad', { legend: 'Num M+' }),
  row('NumpadMemorySubtract', [KEYBOARD, 0xd4], NONE, 'numpad', { legend: 'Num M−' }),
  row('NumpadClear', [KEYBOARD, 0xd8], NONE, 'numpad', { legend: 'Num C' }),
  row('NumpadClearEntry', [KEYBOARD, 0xd9], NONE, 'numpad', { legend: 'Num CE' }),
  row('NumpadStar', NONE, NONE, 'numpad', { legend: 'Num star' }),
  row('KanaMode', [KEYBOARD, 0x88], [93, 'KEY_KATAKANAHIRAGANA'], 'language', { legend: 'Kana' }),
  row('Convert', [KEYBOARD, 0x8a], [92, 'KEY_HENKAN'], 'language', { legend: 'Henkan' }),
  row('NonConvert', [KEYBOARD, 0x8b], [94, 'KEY_MUHENKAN'], 'language', { legend: 'Muhenkan' }),
  row('Lang1', [KEYBOARD, 0x90], [122, 'KEY_HANGEUL'], 'language', { legend: 'Han/Eng' }),
  row('Lang2', [KEYBOARD, 0x91], [123, 'KEY_HANJA'], 'language', { legend: 'Hanja' }),
  row('Lang3', [KEYBOARD, 0x92], [90, 'KEY_KATAKANA'], 'language', { legend: 'Katakana' }),
  row('Lang4', [KEYBOARD, 0x93], [91, 'KEY_HIRAGANA'], 'language', { legend: 'Hiragana' }),
  row('Lang5', [KEYBOARD, 0x94], [85, 'KEY_ZENKAKUHANKAKU'], 'language', { legend: 'Zenkaku' }),
  row('Again', [KEYBOARD, 0x79], [129, 'KEY_AGAIN'], 'editing'),
  row('Undo', [KEYBOARD, 0x7a], [131, 'KEY_UNDO'], 'editing', { legend: 'Undo key' }),
  row('Cut', [KEYBOARD, 0x7b], [137, 'KEY_CUT'], 'editing', { legend: 'Cut key' }),
  row('Copy', [KEYBOARD, 0x7c], [133, 'KEY_COPY'], 'editing', { legend: 'Copy key' }),
  row('Paste', [KEYBOARD, 0x7d], [135, 'KEY_PASTE'], 'editing', { legend: 'Paste key' }),
  row('Find', [KEYBOARD, 0x7e], [136, 'KEY_FIND'], 'editing', { legend: 'Find key' }),
  row('Open', [KEYBOARD, 0x74], [134, 'KEY_OPEN'], 'editing', { legend: 'Open key' }),
  row('Props', [KEYBOARD, 0xa3], [130, 'KEY_PROPS'], 'editing'),
  row('Select', [KEYBOARD, 0x77], [132, 'KEY_FRONT'], 'editing', { legend: 'Select key' }),
  row('Abort', [KEYBOARD, 0x9b], NONE, 'editing', { legend: 'Abort key' }),
  row('AudioVolumeMute', [CONSUMER, 0xe2], [113, 'KEY_MUTE'], 'media', { legend: 'Mute' }),
  row('AudioVolumeDown', [CONSUMER, 0xea], [114, 'KEY_VOLUMEDOWN'], 'media', { legend: 'Vol −' }),
  row('AudioVolumeUp', [CONSUMER, 0xe9], [115, 'KEY_VOLUMEUP'], 'media', { legend: 'Vol +' }),
  row('MediaPlayPause', [CONSUMER, 0xcd], [164, 'KEY_PLAYPAUSE'], 'media', { legend: 'Play' }),
  row('MediaStop', [CONSUMER, 0xb7], [166, 'KEY_STOPCD'], 'media', { legend: 'Stop' }),
  row('MediaTrackNext', [CONSUMER, 0xb5], [163, 'KEY_NEXTSONG'], 'media', { legend: 'Next' }),
  row('MediaTrackPrevious', [CONSUMER, 0xb6], [165, 'KEY_PREVIOUSSONG'], 'media', { legend: 'Prev' }),
  row('MediaPlay', [CONSUMER, 0xb0], [207, 'KEY_PLAY'], 'media', { legend: 'Play only' }),
  row('MediaPause', [CONSUMER, 0xb1], [201, 'KEY_PAUSECD'], 'media', { legend: 'Pause only' }),
  row('MediaRecord', [CONSUMER, 0xb2], [167, 'KEY_RECORD'], 'media', { legend: 'Record' }),
  row('MediaFastForward', [CONSUMER, 0xb3], [208, 'KEY_FASTFORWARD'], 'media', { legend: 'Fast forward' }),
  row('MediaRewind', [CONSUMER, 0xb4], [168, 'KEY_REWIND'], 'media', { legend: 'Rewind' }),
  row('BrightnessUp', [CONSUMER, 0x6f], [225, 'KEY_BRIGHTNESSUP'], 'media', { legend: 'Bright +' }),
  row('BrightnessDown', [CONSUMER, 0x70], [224, 'KEY_BRIGHTNESSDOWN'], 'media', { legend: 'Bright −' }),
  row('MediaSelect', [CONSUMER, 0x183], [171, 'KEY_CONFIG'], 'media', { legend: 'Media' }),
  row('Eject', [CONSUMER, 0xb8], [161, 'KEY_EJECTCD'], 'media'),
  row('BrowserSearch', [CONSUMER, 0x221], [217, 'KEY_SEARCH'], 'browser', { legend: 'Web search' }),
  row('BrowserHome', [CONSUMER, 0x223], [172, 'KEY_HOMEPAGE'], 'browser', { legend: 'Web home' }),
  row('BrowserBack', [CONSUMER, 0x224], [158, 'KEY_BACK'], 'browser', { legend: 'Web back' }),
  row('BrowserForward', [CONSUMER, 0x225], [159, 'KEY_FORWARD'], 'browser', { legend: 'Web forward' }),
  row('BrowserStop', [CONSUMER, 0x226], [128, 'KEY_STOP'], 'browser', { legend: 'Web stop' }),
  row('BrowserRefresh', [CONSUMER, 0x227], [173, 'KEY_REFRESH'], 'browser', { legend: 'Web refresh' }),
  row('BrowserFavorites', [CONSUMER, 0x22a], [156, 'KEY_BOOKMARKS'], 'browser', { legend: 'Web favorites' }),
  row('LaunchMail', [CONSUMER, 0x18a], [155, 'KEY_MAIL'], 'launch', { legend: 'Mail' }),
  row('LaunchApp1', [CONSUMER, 0x194], [144, 'KEY_FILE'], 'launch', { legend: 'Files' }),
  row('LaunchApp2', [CONSUMER, 0x192], [140, 'KEY_CALC'], 'launch', { legend: 'Calculator' }),
  row('Power', [KEYBOARD, 0x66], [116, 'KEY_POWER'], 'power'),
  row('Sleep', [DESKTOP, 0x82], [142, 'KEY_SLEEP'], 'power'),
  row('WakeUp', [DESKTOP, 0x83], [143, 'KEY_WAKEUP'], 'power', { legend: 'Wake up' }),
  // Codes of keyboards of the past (UI Events KeyboardEvent code Values, section 3.6).
  row('Hiragana', NONE, NONE, 'language', { legend: 'Hiragana key' }),
  row('Katakana', NONE, NONE, 'language', { legend: 'Katakana key' }),
  row('Hyper', NONE, NONE, 'modifier'),
  row('Super', NONE, NONE, 'modifier', { name: 'OldSuper', legend: 'Old Super' }),
  row('Turbo', NONE, NONE, 'modifier'),
  row('Resume', NONE, NONE, 'power'),
  row('Suspend', NONE, NONE, 'power'),
  row('Fn', NONE, [464, 'KEY_FN'], 'modifier'),
  row('FnLock', NONE, NONE, 'modifier', { legend: 'Fn lock' }),
];

/** The row of each key by its code. A row that stands twice or is incomplete fails when the module loads. */
export const KEY_BY_CODE: ReadonlyMap<string, KeyRow> = indexRows((found) => found.code);

/**
 * Further usages of keys that have another one: the key of other countries beside Enter, which is where a United States
 * keyboard has the backslash, and what older keyboards sent for stop, mute and volume.
 */
const OTHER_USAGES: readonly (readonly [id: number, code: string])[] = [
  [0x32, 'Backslash'],
  [0x78, 'BrowserStop'],
  [0x7f, 'AudioVolumeMute'],
  [0x80, 'AudioVolumeUp'],
  [0x81, 'AudioVolumeDown'],
];

/** The row of each key by its HID usage, `page << 16 | id`. */
export const KEY_BY_USAGE: ReadonlyMap<number, KeyRow> = new Map([
  ...indexRows(({ usage }) => usage && (usage.page << 16) | usage.id),
  ...OTHER_USAGES.flatMap(([id, code]) => {
    const known = KEY_BY_CODE.get(code);
    return known ? [[(KEYBOARD << 16) | id, known] as const] : [];
  }),
]);

/** The row of each key by the X keycode that its key has. */
export const KEY_BY_X_KEYCODE: ReadonlyMap<number, KeyRow> = indexRows(
  ({ linux }) => linux && linux.code + X_OFFSET,
);

/** An index by one column; what has no value there is not in it. */
function indexRows<Key>(keyOf: (row: KeyRow) => Key | null): ReadonlyMap<Key, KeyRow> {
  const rows = new Map<Key, KeyRow>();
  for (const each of KEY_TABLE) {
    if (!each.code || !each.name || !each.legend)
      throw new Error(`key table: row ${each.code} is incomplete`);
    const key = keyOf(each);
    if (key === null) continue;
    if (rows.has(key)) throw new Error(`key table: ${each.code} and another row share ${key}`);
    rows.set(key, each);
  }
  return rows;
}
