import { KEY_TABLE, type Platform } from './keyTable.ts';
import { keyByCode, MODIFIERS, type ModifierName, type ShortcutKey } from './shortcut.ts';

/** A word without case, spaces and accents: as words are looked up. */
export function folded(word: string): string {
  const bare = word.toLowerCase().replace(/\s+/g, '');
  if (Array.from(bare).length < 2) return bare;
  return bare.normalize('NFD').replace(/\p{M}/gu, '').replace(/−/g, '-');
}

/** What people write for a modifier. */
const MODIFIER_NAMES: Readonly<Record<ModifierName, readonly string[]>> = {
  ctrl: ['ctrl', 'control', 'ctl', 'primary'],
  shift: ['shift'],
  alt: ['alt', 'option', 'opt'],
  altGr: ['alt gr', 'alt graph', 'right alt', 'right option', 'alt_r', 'iso_level3_shift'],
  meta: ['meta', 'cmd', 'command', 'win', 'windows', 'super', 'os'],
};

/** Modifiers by their words, folded; with "key", "left" and X11's ending for the left one. */
export const MODIFIER_WORDS: ReadonlyMap<string, ModifierName> = new Map(
  MODIFIERS.flatMap(({ name, code }) =>
    [...MODIFIER_NAMES[name], code].flatMap((word) => {
      const left = name === 'altGr' ? [] : [`left${word}`, `${word}_l`];
      return [word, `${word} key`, ...left].map((each) => [folded(each), name] as const);
    }),
  ),
);

/** The right one of a pair: a modifier before a key, and by itself a key of its own. */
export const RIGHT_WORDS: ReadonlyMap<string, { readonly modifier: ModifierName; readonly code: string }> =
  new Map(
    (
      [
        ['ctrl', 'ControlRight'],
        ['shift', 'ShiftRight'],
        ['meta', 'MetaRight'],
      ] as const
    ).flatMap(([modifier, code]) =>
      MODIFIER_NAMES[modifier]
        .flatMap((word) => [`right ${word}`, `${word}_r`])
        .concat(code)
        .map((word) => [folded(word), { modifier, code }] as const),
    ),
  );

/** Symbols that stand for a modifier or a key (common practice, no source). */
export const SYMBOLS: ReadonlyMap<string, string> = new Map([
  ['⌃', 'Ctrl'],
  ['⇧', 'Shift'],
  ['⌥', 'Alt'],
  ['⌘', 'Meta'],
  ['❖', 'Meta'],
  ['⏎', 'Enter'],
  ['↩', 'Enter'],
  ['↵', 'Enter'],
  ['⮐', 'Enter'],
  ['⌅', 'NumpadEnter'],
  ['⌤', 'NumpadEnter'],
  ['⌫', 'Backspace'],
  ['⌦', 'Delete'],
  ['⎋', 'Escape'],
  ['⇥', 'Tab'],
  ['␣', 'Space'],
  ['⇪', 'CapsLock'],
  ['⇞', 'PageUp'],
  ['⇟', 'PageDown'],
  ['↖', 'Home'],
  ['↘', 'End'],
  ['⇱', 'Home'],
  ['⇲', 'End'],
  ['⌧', 'NumLock'],
]);

/** Further words for keys, as people and X11 write them. */
const OTHER_WORDS: Readonly<Record<string, readonly string[]>> = {
  Escape: ['esc'],
  Enter: ['return', 'carriage return'],
  Backspace: ['bksp', 'bs', 'back space', 'bkspc'],
  Delete: ['del', 'forward delete', 'fwd delete'],
  Insert: ['ins'],
  PageUp: ['pg up', 'page_up', 'prior'],
  PageDown: ['pg dn', 'pg down', 'page dn', 'page_down', 'next page', 'pgdwn'],
  ArrowLeft: ['left', 'left arrow', 'cursor left', 'arrow left'],
  ArrowRight: ['right', 'right arrow', 'cursor right', 'arrow right'],
  ArrowUp: ['up', 'up arrow', 'cursor up', 'arrow up'],
  ArrowDown: ['down', 'down arrow', 'cursor down', 'arrow down'],
  Space: ['spacebar', 'space bar'],
  PrintScreen: ['print screen', 'print scrn', 'print', 'prt scr', 'prt scn', 'sys rq', 'print screen/sys rq'],
  Pause: ['break', 'pause/break', 'pause break'],
  CapsLock: ['caps lock'],
  NumLock: ['num lock'],
  ScrollLock: ['scroll lock', 'scr lk'],
  ContextMenu: ['context menu', 'application', 'app', 'apps', 'menu key'],
  AudioVolumeMute: ['mute', 'XF86AudioMute', 'volume mute'],
  AudioVolumeUp: ['volume up', 'XF86AudioRaiseVolume'],
  AudioVolumeDown: ['volume down', 'XF86AudioLowerVolume'],
  MediaPlayPause: ['play/pause', 'play pause', 'XF86AudioPlay', 'media play'],
  MediaTrackNext: ['next track', 'XF86AudioNext'],
  MediaTrackPrevious: ['previous track', 'prev track', 'XF86AudioPrev'],
  MediaStop: ['media stop', 'XF86AudioStop'],
};

/** Characters by their words: the character of the person's layout, wherever it is there. */
const CHARACTER_WORDS: Readonly<Record<string, readonly string[]>> = {
  '-': ['minus', 'hyphen', 'dash'],
  '+': ['plus'],
  '=': ['equal', 'equals', 'equal sign'],
  ',': ['comma'],
  '.': ['period', 'dot', 'full stop', 'point'],
  '/': ['slash', 'forward slash'],
  '\\': ['backslash', 'back slash'],
  ';': ['semicolon'],
  ':': ['colon'],
  "'": ['apostrophe', 'quote', 'single quote', 'quoteright'],
  '"': ['double quote', 'quotation mark', 'quotedbl'],
  '`': ['backquote', 'backtick', 'back tick', 'grave', 'quoteleft'],
  '~': ['tilde', 'asciitilde'],
  '^': ['caret', 'circumflex', 'asciicircum'],
  '[': ['left bracket', 'bracket left', 'open bracket', 'left square bracket', 'opening bracket'],
  ']': ['right bracket', 'bracket right', 'close bracket', 'right square bracket', 'closing bracket'],
  '{': ['left brace', 'brace left', 'open brace', 'left curly bracket'],
  '}': ['right brace', 'brace right', 'close brace', 'right curly bracket'],
  '(': ['left parenthesis', 'paren left', 'open parenthesis'],
  ')': ['right parenthesis', 'paren right', 'close parenthesis'],
  '<': ['less than', 'less'],
  '>': ['greater than', 'greater'],
  '|': ['pipe', 'bar', 'vertical bar'],
  '?': ['question mark', 'question'],
  '!': ['exclamation mark', 'exclam', 'exclamation point'],
  '@': ['at sign', 'at'],
  '#': ['hash', 'number sign', 'hash sign', 'pound sign'],
  $: ['dollar', 'dollar sign'],
  '%': ['percent', 'percent sign'],
  '&': ['ampersand'],
  '*': ['asterisk', 'star'],
  _: ['underscore'],
};

/** What is written before a key of the number block, and what after it. */
const BLOCK_WORDS = [
  'num',
  'numpad',
  'keypad',
  'kp',
  'numeric keypad',
  'number pad',
  'numkey',
  'ziffernblock',
];
const BLOCK_KEYS: Readonly<Record<string, readonly string[]>> = {
  NumpadAdd: ['+', 'plus', 'add'],
  NumpadSubtract: ['-', 'minus', 'subtract'],
  NumpadMultiply: ['*', '×', 'multiply', 'asterisk'],
  NumpadDivide: ['/', '÷', 'divide', 'slash'],
  NumpadDecimal: ['.', 'decimal', 'del', 'delete', 'dot', 'period'],
  NumpadComma: [',', 'separator', 'comma'],
  NumpadEqual: ['=', 'equal', 'equals'],
  NumpadEnter: ['enter', '⏎', '↵', '↩', 'return'],
  Numpad0: ['0', 'insert', 'ins'],
  Numpad1: ['1', 'end'],
  Numpad2: ['2', 'down'],
  Numpad3: ['3', 'next', 'page down', 'pg dn'],
  Numpad4: ['4', 'left'],
  Numpad5: ['5', 'begin'],
  Numpad6: ['6', 'right'],
  Numpad7: ['7', 'home'],
  Numpad8: ['8', 'up'],
  Numpad9: ['9', 'prior', 'page up', 'pg up'],
};

/** Every key by what it may be called, folded. Codes and names of the table win over other words. */
export const KEY_WORDS: ReadonlyMap<string, ShortcutKey> = wordIndex();

/** What a platform's own keyboards print, where that means another key elsewhere: Delete is Backspace on one of them. */
export const PLATFORM_WORDS: Readonly<Record<Platform, ReadonlyMap<string, ShortcutKey>>> = {
  windows: printedOn('windows'),
  mac: printedOn('mac'),
  linux: printedOn('linux'),
};

function printedOn(platform: Platform): ReadonlyMap<string, ShortcutKey> {
  const rows = KEY_TABLE.filter(({ kind }) => kind !== 'writing' && kind !== 'modifier');
  return new Map(rows.map(({ names, code }) => [folded(names[platform]), keyByCode(code)]));
}

/** Every way in which people write a key, folded. */
function wordIndex(): ReadonlyMap<string, ShortcutKey> {
  const words = new Map<string, ShortcutKey>();
  const add = (word: string, key: ShortcutKey) => words.set(folded(word), key);
  for (const [code, others] of Object.entries(OTHER_WORDS))
    for (const word of others) {
      add(word, keyByCode(code));
      add(`${word} key`, keyByCode(code));
    }
  for (const [code, others] of Object.entries(BLOCK_KEYS))
    for (const word of others) for (const block of BLOCK_WORDS) add(`${block} ${word}`, keyByCode(code));
  for (const { kind, code, legend, name, names } of KEY_TABLE) {
    const key: ShortcutKey = kind === 'writing' ? { kind: 'place', code } : { kind: 'named', code };
    // On a writing key its character is printed, and that is read as the character.
    const said =
      kind === 'writing' ? [code] : [names.windows, names.linux, legend, `${name} key`, name, code];
    for (const word of said) add(word, key);
  }
  for (const [character, said] of Object.entries(CHARACTER_WORDS))
    for (const word of said) add(word, { kind: 'character', character });
  return words;
}

/** The places of writing keys by their codes and, where no layout says what is on them, their own labels; folded. */
export const PLACES: ReadonlyMap<string, string> = new Map(
  KEY_TABLE.filter(({ kind }) => kind === 'writing').flatMap(({ code, legend }) =>
    [legend, code].map((word) => [folded(word), code] as const),
  ),
);
