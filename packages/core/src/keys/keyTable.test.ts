import { readFileSync } from 'node:fs';
import { KEY_BY_CODE, KEY_BY_USAGE, KEY_BY_X_KEYCODE, KEY_TABLE, type KeyRow } from './keyTable.ts';

const rowOf = (code: string): KeyRow => KEY_BY_CODE.get(code) ?? raise(code);

function raise(what: string): never {
  throw new Error(`no ${what}`);
}

/** Names of usages by page and id, from Debian's usb.ids (the HUT sections of the USB ID repository). */
function usageNames(): ReadonlyMap<number, string> {
  const names = new Map<number, string>();
  let page: number | null = null;
  for (const line of readFileSync('/usr/share/misc/usb.ids', 'latin1').split('\n')) {
    const section = /^HUT ([0-9a-f]{2})/.exec(line);
    if (section) page = Number.parseInt(section[1] ?? '', 16);
    else if (/^\S/.test(line)) page = null;
    const usage = /^\t([0-9a-f]{3})\s+(.*)$/.exec(line);
    if (page !== null && usage) names.set((page << 16) | Number.parseInt(usage[1] ?? '', 16), usage[2] ?? '');
  }
  return names;
}

/** Words by which the usage tables name keys that we name otherwise. */
const OTHER_WORDS: Readonly<Record<string, RegExp>> = {
  Backquote: /^` and ~/,
  Equal: /= and \+/,
  Minus: /- and/,
  BracketLeft: /\[ and \{/,
  BracketRight: /\] and \}/,
  Backslash: /\\ and \|/,
  Semicolon: /; and :/,
  Quote: /Double Quotes/,
  Comma: /, and </,
  Period: /\. and >/,
  Slash: /\/ and \?/,
  IntlBackslash: /^\\ and \| .*Non-US/,
  IntlRo: /International ?1|Kanji1/,
  KanaMode: /International ?2|Kanji2/,
  IntlYen: /International ?3|Kanji3/,
  Convert: /International ?4|Kanji4/,
  NonConvert: /International ?5|Kanji5/,
  Enter: /Return/,
  Backspace: /Delete \(Backspace\)/i,
  ContextMenu: /Application/,
  Delete: /Delete Forward/,
  MetaLeft: /GUI Left/,
  MetaRight: /GUI Right/,
  AltRight: /^Alt R/,
  NumLock: /Num ?Lock/,
  Pause: /Pause/,
  Open: /Execute/,
  Props: /CrSel|Props/,
  AudioVolumeMute: /^Mute/,
  AudioVolumeUp: /^Volume Increment/,
  AudioVolumeDown: /^Volume Decrement/,
  MediaPlayPause: /^Play\/Pause/,
  MediaStop: /^Stop/,
  MediaPlay: /^Play$/,
  MediaPause: /^Pause$/,
  MediaRecord: /^Record/,
  MediaFastForward: /^Fast Forward/,
  MediaRewind: /^Rewind/,
  Abort: /^Cancel/,
  MediaTrackNext: /^Scan Next Track/,
  MediaTrackPrevious: /^Scan Previous Track/,
  MediaSelect: /^AL Consumer Control Config/,
  Eject: /^Eject/,
  LaunchMail: /^AL Email/,
  LaunchApp1: /^AL Local Machine/,
  LaunchApp2: /^AL Calculator/,
  BrowserSearch: /^AC Search/,
  BrowserHome: /^AC Home/,
  BrowserBack: /^AC Back/,
  BrowserForward: /^AC Forward/,
  BrowserStop: /^AC Stop/,
  BrowserRefresh: /^AC Refresh/,
  BrowserFavorites: /^AC Bookmarks/,
  Sleep: /Sleep/,
  WakeUp: /Wake/,
};

const squashed = (text: string) => text.toLowerCase().replace(/[^a-z0-9]/g, '');

/** What a key's usage is called, unless listed above: `KeyA` is `A`, `Digit1` is `1 and !`, `ArrowUp` is `UpArrow`. */
function fits({ code }: KeyRow, name: string): boolean {
  const other = OTHER_WORDS[code];
  if (other) return other.test(name);
  const letter = /^(?:Key|Digit)(.)$/.exec(code);
  if (letter) return name.startsWith(letter[1] ?? '');
  if (code.startsWith('Numpad')) return /^(Keypad|Memory|Clear)/i.test(name);
  const side = /^(?!Arrow)(\w+)(Left|Right)$/.exec(code);
  const words = side ? [`${side[1]}${side[2]}`] : [code, code.replace(/^Arrow(.*)$/, '$1Arrow')];
  return words.some((word) => squashed(name).includes(squashed(word)));
}

test('usages are what the HID usage tables call them (Debian usb.ids)', () => {
  const names = usageNames();
  const wrong = KEY_TABLE.flatMap((row) => {
    if (!row.usage) return [];
    const name = names.get((row.usage.page << 16) | row.usage.id);
    // The list of Debian's release lacks some; those are checked by the kernel's codes and by Chromium.
    return name === undefined || fits(row, name) ? [] : [`${row.code}: ${name}`];
  });
  expect(wrong).toEqual([]);
  const known = KEY_TABLE.filter(({ usage }) => usage && names.has((usage.page << 16) | usage.id));
  expect(known.length).toBeGreaterThan(150);
});

test.each([
  [0x32, 'Backslash', /Hash and Tilde, Non-US/],
  [0x78, 'BrowserStop', /Stop/],
  [0x7f, 'AudioVolumeMute', /Mute/],
  [0x80, 'AudioVolumeUp', /Volume Up/],
  [0x81, 'AudioVolumeDown', /Volume Down/],
])('usage 07/%i is a further one of %s', (id, code, name) => {
  const usage = (0x07 << 16) | id;
  expect(KEY_BY_USAGE.get(usage)?.code).toBe(code);
  expect(usageNames().get(usage)).toMatch(name);
});

test("input codes are the kernel's (linux-libc-dev, input-event-codes.h)", () => {
  const header = readFileSync('/usr/include/linux/input-event-codes.h', 'utf8');
  const codes = new Map(
    [...header.matchAll(/^#define (KEY_\w+)\s+(0x[0-9a-f]+|\d+)\b/gm)].map(([, name, value]) => [
      name,
      Number(value),
    ]),
  );
  const wrong = KEY_TABLE.filter(({ linux }) => linux && codes.get(linux.name) !== linux.code);
  expect(wrong.map(({ code }) => code)).toEqual([]);
});

// xkb-data names keys by their place: E for the digits' row, then D, C, B from the left; rules of keycodes/evdev.
const ROWS: Readonly<Record<string, string>> = {
  AE: 'Digit1 Digit2 Digit3 Digit4 Digit5 Digit6 Digit7 Digit8 Digit9 Digit0 Minus Equal',
  AD: 'KeyQ KeyW KeyE KeyR KeyT KeyY KeyU KeyI KeyO KeyP BracketLeft BracketRight',
  AC: 'KeyA KeyS KeyD KeyF KeyG KeyH KeyJ KeyK KeyL Semicolon Quote',
  AB: 'KeyZ KeyX KeyC KeyV KeyB KeyN KeyM Comma Period Slash',
};
const PLACES: Readonly<Record<string, string>> = {
  TLDE: 'Backquote',
  BKSL: 'Backslash',
  LSGT: 'IntlBackslash',
  ESC: 'Escape',
  SPCE: 'Space',
  RTRN: 'Enter',
  BKSP: 'Backspace',
  CAPS: 'CapsLock',
  LCTL: 'ControlLeft',
  RALT: 'AltRight',
  LWIN: 'MetaLeft',
  COMP: 'ContextMenu',
  PGUP: 'PageUp',
  INS: 'Insert',
  KP7: 'Numpad7',
  KPEN: 'NumpadEnter',
  KPDL: 'NumpadDecimal',
  FK11: 'F11',
  HENK: 'Convert',
  MUHE: 'NonConvert',
  HKTG: 'KanaMode',
  AB11: 'IntlRo',
  AE13: 'IntlYen',
  MUTE: 'AudioVolumeMute',
  'VOL-': 'AudioVolumeDown',
  'VOL+': 'AudioVolumeUp',
  HELP: 'Help',
  UNDO: 'Undo',
};

test("X keycodes are xkb-data's, by the key's place", () => {
  const evdev = readFileSync('/usr/share/X11/xkb/keycodes/evdev', 'utf8');
  const keycodes = new Map(
    [...evdev.matchAll(/<([\w+-]+)>\s*=\s*(\d+);/g)].map(([, name, code]) => [name, Number(code)]),
  );
  const expected = [
    ...Object.entries(PLACES),
    ...Object.entries(ROWS).flatMap(([row, codes]) =>
      codes.split(' ').map((code, i) => [`${row}${String(i + 1).padStart(2, '0')}`, code] as const),
    ),
  ];
  for (const [place, code] of expected) {
    const keycode = keycodes.get(place) ?? raise(place);
    expect([place, KEY_BY_X_KEYCODE.get(keycode)?.code]).toEqual([place, code]);
  }
});

// W3C UI Events KeyboardEvent code Values, section by section, from memory.
test('every key of the W3C list has a row', () => {
  const list = `Backquote Backslash BracketLeft BracketRight Comma Equal IntlBackslash IntlRo IntlYen Minus Period
    Quote Semicolon Slash AltLeft AltRight Backspace CapsLock ContextMenu ControlLeft ControlRight Enter MetaLeft
    MetaRight ShiftLeft ShiftRight Space Tab Convert KanaMode Lang1 Lang2 Lang3 Lang4 Lang5 NonConvert Delete End
    Help Home Insert PageDown PageUp ArrowDown ArrowLeft ArrowRight ArrowUp NumLock NumpadAdd NumpadBackspace
    NumpadClear NumpadClearEntry NumpadComma NumpadDecimal NumpadDivide NumpadEnter NumpadEqual NumpadHash
    NumpadMemoryAdd NumpadMemoryClear NumpadMemoryRecall NumpadMemoryStore NumpadMemorySubtract NumpadMultiply
    NumpadParenLeft NumpadParenRight NumpadStar NumpadSubtract Escape Fn FnLock PrintScreen ScrollLock Pause
    BrowserBack BrowserFavorites BrowserForward BrowserHome BrowserRefresh BrowserSearch BrowserStop Eject
    LaunchApp1 LaunchApp2 LaunchMail MediaPlayPause MediaSelect MediaStop MediaTrackNext MediaTrackPrevious Power
    Sleep AudioVolumeDown AudioVolumeMute AudioVolumeUp WakeUp Again Copy Cut Find Open Paste Props Select Undo`;
  const letters = Array.from({ length: 26 }, (_, i) => `Key${String.fromCharCode(65 + i)}`);
  const digits = Array.from({ length: 10 }, (_, i) => [`Digit${i}`, `Numpad${i}`]).flat();
  const functions = Array.from({ length: 24 }, (_, i) => `F${i + 1}`);
  for (const code of [...list.split(/\s+/), ...letters, ...digits, ...functions])
    expect(rowOf(code).code).toBe(code);
});

test('every look-up gives each row back, and platforms have their own names', () => {
  for (const row of KEY_TABLE) {
    if (row.usage) expect(KEY_BY_USAGE.get((row.usage.page << 16) | row.usage.id)).toBe(row);
    if (row.linux) expect(KEY_BY_X_KEYCODE.get(row.linux.code + 8)).toBe(row);
  }
  expect(rowOf('MetaLeft').names).toEqual({ windows: 'Win', mac: 'Command', linux: 'Super' });
  expect(rowOf('Enter').names.mac).toBe('Return');
});
