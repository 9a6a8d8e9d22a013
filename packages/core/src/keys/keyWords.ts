import { KEY_TABLE } from './keyTable.ts';
import type { ModifierName } from './shortcut.ts';

/** A key as a word names it, with the Shift that the word implies. */
export interface NamedKey {
  readonly code: string;
  /** Whether the word means the key with Shift. */
  readonly shift: boolean;
}

/** What people write for a modifier, in lower case without spaces. */
export const MODIFIER_WORDS: ReadonlyMap<string, ModifierName> = new Map(
  Object.entries({
    ctrl: 'ctrl',
    control: 'ctrl',
    ctl: 'ctrl',
    strg: 'ctrl',
    shift: 'shift',
    alt: 'alt',
    option: 'alt',
    opt: 'alt',
    altgr: 'altGr',
    altgraph: 'altGr',
    meta: 'meta',
    cmd: 'meta',
    command: 'meta',
    win: 'meta',
    windows: 'meta',
    super: 'meta',
  } as const),
);

/** Symbols that stand for a modifier or a key. */
export const SYMBOLS: ReadonlyMap<string, string> = new Map([
  ['⌃', 'Ctrl'],
  ['⇧', 'Shift'],
  ['⌥', 'Alt'],
  ['⌘', 'Meta'],
  ['⏎', 'Enter'],
  ['↩', 'Enter'],
  ['⌅', 'NumpadEnter'],
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
]);

/** Words for what a pointer does, which is no shortcut. */
export const POINTER_WORDS: ReadonlySet<string> = new Set([
  'drag',
  'click',
  'doubleclick',
  'rightclick',
  'middleclick',
  'leftclick',
  'scroll',
  'wheel',
  'mouse',
  'mousewheel',
  'hover',
]);

/** Further words for keys, as people type them. */
const OTHER_WORDS: Readonly<Record<string, string>> = {
  esc: 'Escape',
  return: 'Enter',
  del: 'Delete',
  ins: 'Insert',
  pgup: 'PageUp',
  pgdn: 'PageDown',
  pagedn: 'PageDown',
  left: 'ArrowLeft',
  right: 'ArrowRight',
  up: 'ArrowUp',
  down: 'ArrowDown',
  minus: 'Minus',
  hyphen: 'Minus',
  equals: 'Equal',
  comma: 'Comma',
  period: 'Period',
  dot: 'Period',
  slash: 'Slash',
  backslash: 'Backslash',
  semicolon: 'Semicolon',
  apostrophe: 'Quote',
  quote: 'Quote',
  backtick: 'Backquote',
  grave: 'Backquote',
  leftbracket: 'BracketLeft',
  rightbracket: 'BracketRight',
  spacebar: 'Space',
  printscreen: 'PrintScreen',
  break: 'Pause',
  mute: 'AudioVolumeMute',
};

/** Characters that are written with Shift, by their words: "Ctrl+plus" means the key with the plus on it. */
const SHIFTED_WORDS: Readonly<Record<string, string>> = {
  plus: 'Equal',
  tilde: 'Backquote',
  colon: 'Semicolon',
};

/** Every key by what it may be called, in lower case without spaces. */
export const KEY_WORDS: ReadonlyMap<string, NamedKey> = wordIndex();

/** Every way in which people write a key, folded. */
function wordIndex(): ReadonlyMap<string, NamedKey> {
  const words = new Map<string, NamedKey>();
  const add = (word: string, code: string, shift: boolean) =>
    words.set(word.toLowerCase().replace(/\s+/g, ''), { code, shift });
  for (const row of KEY_TABLE) {
    if (row.shifted && row.shifted.toLowerCase() !== row.plain) add(row.shifted, row.code, true);
  }
  for (const [word, code] of Object.entries(OTHER_WORDS)) add(word, code, false);
  for (const [word, code] of Object.entries(SHIFTED_WORDS)) add(word, code, true);
  for (const row of KEY_TABLE)
    for (const word of [row.legend, row.code, row.name]) add(word, row.code, false);
  return words;
}
