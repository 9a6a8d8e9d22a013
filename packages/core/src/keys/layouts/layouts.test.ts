import { execFile } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { KEY_BY_X_KEYCODE } from '../keyTable.ts';
import { parseShortcut } from '../parseShortcut.ts';
import { guessLayouts } from './guessLayout.ts';
import { type Layout, layoutDataSchema, readLayout } from './layout.ts';
import { LAYOUT_IDS, LAYOUTS, TELLING_KEYS } from './layoutList.ts';
import { ON_MAC } from './onMac.ts';
import { resolveShortcut } from './resolve.ts';
import { typeText } from './typing.ts';
import { US_LAYOUT } from './usLayout.ts';
import { waysOf } from './ways.ts';

const run = promisify(execFile);
const dataOf = (id: string) =>
  layoutDataSchema.parse(JSON.parse(readFileSync(path.join(__dirname, 'xkb', `${id}.json`), 'utf8')));
const layoutOf = (id: string): Layout => readLayout(dataOf(id));

/**
 * The names that the X protocol gives the printable characters of Latin-1 (ISO 8859-1), besides letters and digits,
 * which are called by themselves: X Window System Protocol, appendix A. Newer names stand after a slash.
 */
const NAMES: Readonly<Record<number, string>> = {
  32: 'space exclam quotedbl numbersign dollar percent ampersand apostrophe parenleft parenright asterisk plus comma minus period slash',
  58: 'colon semicolon less/leftcaret equal greater/rightcaret question at',
  91: 'bracketleft backslash bracketright asciicircum underscore grave',
  123: 'braceleft bar braceright asciitilde',
  160: 'nobreakspace exclamdown cent sterling currency yen brokenbar section diaeresis copyright ordfeminine guillemotleft/guillemetleft notsign hyphen registered macron',
  176: 'degree plusminus twosuperior threesuperior acute mu paragraph periodcentered cedilla onesuperior masculine/ordmasculine guillemotright/guillemetright onequarter onehalf threequarters questiondown',
  192: 'Agrave Aacute Acircumflex Atilde Adiaeresis Aring AE Ccedilla Egrave Eacute Ecircumflex Ediaeresis Igrave Iacute Icircumflex Idiaeresis',
  208: 'ETH Ntilde Ograve Oacute Ocircumflex Otilde Odiaeresis multiply Oslash/Ooblique Ugrave Uacute Ucircumflex Udiaeresis Yacute THORN ssharp',
  224: 'agrave aacute acircumflex atilde adiaeresis aring ae ccedilla egrave eacute ecircumflex ediaeresis igrave iacute icircumflex idiaeresis',
  240: 'eth ntilde ograve oacute ocircumflex otilde odiaeresis division oslash/ooblique ugrave uacute ucircumflex udiaeresis yacute thorn ydiaeresis',
};

/** Characters of Latin-1 by keysym name. */
const LATIN_1 = new Map([
  ...Array.from({ length: 0x7f - 0x21 }, (_, i) => String.fromCodePoint(0x21 + i))
    .filter((character) => /[0-9A-Za-z]/.test(character))
    .map((character) => [character, character] as const),
  ...Object.entries(NAMES).flatMap(([first, names]) =>
    names
      .split(' ')
      .flatMap((each, i) =>
        each.split('/').map((name) => [name, String.fromCodePoint(Number(first) + i)] as const),
      ),
  ),
]);

/** One press as `KeyQ`, `KeyQ shift`, `KeyQ altGr`… */
const told = (code: string, shift: boolean, altGr: boolean) =>
  [code, shift ? 'shift' : '', altGr ? 'altGr' : ''].filter(Boolean).join(' ');

/** A symbol that is called by its code point in Latin-1. */
function byCodePoint(symbol: string): string | undefined {
  const point = /^U00([0-9A-F]{2})$/.exec(symbol)?.[1];
  return point === undefined ? undefined : String.fromCodePoint(Number.parseInt(point, 16));
}

/** What is held for each of a key's levels: XKB protocol, the four-level types. */
const LEVELS = [
  [false, false],
  [true, false],
  [false, true],
  [true, true],
] as const satisfies readonly (readonly [shift: boolean, altGr: boolean])[];

/** The levels that the right Alt key reaches, by what it is (XKB protocol, ISO 9995). */
const RIGHT_ALT: Readonly<Record<string, readonly number[]>> = {
  ISO_Level3_Shift: [2, 3],
  ISO_Level5_Shift: [4, 5],
};

/** The single presses that type each character of Latin-1, by the keymap that xkbcli compiles; writing keys only. */
async function pressesByXkb([layout, variant]: readonly [string, string]) {
  const asked = ['compile-keymap', '--layout', layout, ...(variant ? ['--variant', variant] : [])];
  const { stdout } = await run('xkbcli', asked, { maxBuffer: 10_000_000 });
  const keycodes = new Map(
    [...stdout.matchAll(/^\s*<(\w+)>\s*=\s*(\d+);/gm)].map(([, name, keycode]) => [name, Number(keycode)]),
  );
  const presses = new Map<string, string[]>();
  const [, rightAlt = ''] = /^\s*key <RALT>[^=]*=[^=]*=\s*\[\s*(\w+)/m.exec(stdout) ?? [];
  const reached = RIGHT_ALT[rightAlt] ?? [];
  for (const [, name, body = ''] of stdout.matchAll(/^\s*key <(\w+)>\s*\{([^}]*)\};/gm)) {
    const row = KEY_BY_X_KEYCODE.get(keycodes.get(name) ?? 0);
    if (!row || (row.kind !== 'writing' && row.code !== 'Space')) continue;
    const symbols = /\[\s*([\w\s,]*?)\s*\]\s*$|symbols\[\w*1\]\s*=\s*\[\s*([\w\s,]*?)\s*\]/.exec(body);
    for (const [level, symbol] of (symbols?.[1] ?? symbols?.[2] ?? '').split(/\s*,\s*/).entries()) {
      const character = LATIN_1.get(symbol) ?? byCodePoint(symbol);
      const held = LEVELS[level < 2 ? level : 2 + reached.indexOf(level)];
      if (level >= 2 && !reached.includes(level)) continue;
      if (!character || !held) continue;
      presses.set(character, [...(presses.get(character) ?? []), told(row.code, held[0], held[1])]);
    }
  }
  return presses;
}

// The outside reference is libxkbcommon's own tool on Debian's xkb-data.
test.each(LAYOUT_IDS)('%s types every character of Latin-1 as xkbcli says', async (id) => {
  const data = dataOf(id);
  const layout = readLayout(data);
  const theirs = await pressesByXkb(data.xkb);
  expect(theirs.size).toBeGreaterThan(2);
  const wrong: string[] = [];
  for (const character of new Set(LATIN_1.values())) {
    const ours = (waysOf(layout).get(character) ?? [])
      .filter((way) => way.length === 1)
      .flatMap((way) => way.map(({ code, shift, altGr }) => told(code, shift, altGr)));
    const known = [...new Set(theirs.get(character))].toSorted();
    if (ours.toSorted().join() !== known.join())
      wrong.push(`${character}: ${ours.join()} is not ${known.join()}`);
  }
  expect(wrong).toEqual([]);
  // What a shortcut's character becomes types that character there: libxkbcommon, given the keys that are pressed.
  for (const character of [...LATIN_1.values()].filter((each) => each > '~' || !/[\dA-Z\s]/.test(each))) {
    const shortcut = parseShortcut(`Ctrl+${character}`);
    const resolved = shortcut.ok ? resolveShortcut(shortcut.value, layout, 'character') : null;
    if (!resolved?.ok) continue;
    const { codes, way } = resolved.value;
    if (way !== 'plain' && way !== 'shift' && way !== 'altgr') continue;
    const press = told(codes.at(-1) ?? '', codes.includes('ShiftLeft'), codes.includes('AltRight'));
    const typed = [character, character.toLowerCase(), character.toUpperCase()].flatMap(
      (each) => theirs.get(each) ?? [],
    );
    const isDead = layout.keys[codes.at(-1) ?? '']?.some((level) => level.startsWith('◌'));
    // ÿ has a capital that is not in Latin-1.
    const isWhole = character.toUpperCase() <= '\u00ff';
    if (!isDead && isWhole) expect([id, character, typed.includes(press)]).toEqual([id, character, true]);
  }
});

/** Dead-key sequences of X.Org's Compose file (libx11-data): by dead key's mark and base, the result. */
function composeTable(): ReadonlyMap<string, string> {
  const text = readFileSync('/usr/share/X11/locale/en_US.UTF-8/Compose', 'utf8');
  const pattern = /^<dead_(\w+)> <(\w+)>\s*:\s*"((?:\\.|[^"])+)"/gm;
  const names: Readonly<Record<string, string>> = { space: ' ' };
  return new Map(
    [...text.matchAll(pattern)].flatMap(([, dead = '', base = '', result = '']): [string, string][] => {
      const character = base.length === 1 ? base : names[base];
      return character ? [[`${dead} ${character}`, result.replace(/^\\/, '')]] : [];
    }),
  );
}

test('dead keys give what X.Org’s Compose file says, for letters and the space bar', () => {
  const table = composeTable();
  const marks: Readonly<Record<string, string>> = {
    '\u0300': 'grave',
    '\u0301': 'acute',
    '\u0302': 'circumflex',
    '\u0303': 'tilde',
    '\u0308': 'diaeresis',
    '\u030a': 'abovering',
    '\u030b': 'doubleacute',
    '\u030c': 'caron',
    '\u0327': 'cedilla',
    '\u0328': 'ogonek',
  };
  let checked = 0;
  for (const id of ['us-intl', 'de', 'fr', 'cz', 'hu', 'pl', 'pt']) {
    const layout = layoutOf(id);
    const { keys } = layout;
    const ways = waysOf(layout);
    const typed = (press: { code: string; shift: boolean; altGr: boolean } | undefined) =>
      press ? (keys[press.code]?.[(press.shift ? 1 : 0) + (press.altGr ? 2 : 0)] ?? '') : '';
    for (const [character, list] of ways) {
      for (const [first, second] of list.filter((way) => way.length === 2)) {
        const dead = marks[typed(first).slice(1)];
        const expected = dead && table.get(`${dead} ${typed(second)}`);
        if (expected === undefined || expected === '') continue;
        expect([id, dead, typed(second), character]).toEqual([id, dead, typed(second), expected]);
        checked += 1;
      }
    }
  }
  expect(checked).toBeGreaterThan(300);
});

test('letters of two marks, and of a stroke, are typed by dead keys', () => {
  const best = (id: string, character: string) => waysOf(layoutOf(id)).get(character)?.[0]?.length;
  expect(best('gr', 'ΐ')).toBe(3);
  expect(best('fr-bepo', 'ø')).toBeLessThanOrEqual(3);
  expect(best('gr-polytonic', 'ᾶ')).toBeLessThanOrEqual(3);
});

test('the fewest and easiest presses come first', () => {
  const ways = waysOf(layoutOf('de'));
  expect(ways.get('@')?.[0]).toEqual([{ code: 'KeyQ', shift: false, altGr: true }]);
  expect(ways.get('é')?.[0]).toEqual([
    { code: 'Equal', shift: false, altGr: false },
    { code: 'KeyE', shift: false, altGr: false },
  ]);
  expect(ways.get('ü')?.[0]?.length).toBe(1);
});

test('text becomes presses; what cannot be typed is told with its place', () => {
  const presses = typeText(layoutOf('fr'), 'Où ?\n');
  expect(presses.ok && presses.value.map(({ code, shift }) => (shift ? `⇧${code}` : code))).toEqual([
    '⇧KeyO',
    'Quote',
    'Space',
    '⇧KeyM',
    'Enter',
  ]);
  expect(typeText(layoutOf('us'), 'a漢')).toEqual({ ok: false, problem: { character: '漢', at: 1 } });
});

test('legends are what is printed on the keys', () => {
  const labels = (id: string, ...codes: string[]) => codes.map((code) => layoutOf(id).legends.get(code));
  expect(labels('de', 'KeyY', 'BracketLeft', 'Minus', 'Equal', 'Backquote')).toEqual([
    'Z',
    'Ü',
    'ß',
    '´',
    '^',
  ]);
  expect(labels('tr', 'KeyI', 'Quote')).toEqual(['I', 'İ']);
  expect(labels('gr', 'KeyW', 'KeyS')).toEqual(['ς', 'Σ']);
  expect(labels('be', 'Backslash')).toEqual(['µ']);
});

test.each(LAYOUT_IDS)('no two keys of %s have one label and type different characters', (id) => {
  const { legends, keys } = layoutOf(id);
  const byLabel = new Map<string, Set<string>>();
  for (const [code, label] of legends) {
    const typed = byLabel.get(label) ?? new Set();
    byLabel.set(label, typed.add(keys[code]?.[0] ?? ''));
  }
  expect([...byLabel].filter(([, typed]) => typed.size > 1)).toEqual([]);
});

test('the United States layout of the key table is that of xkb-data', () => {
  const { keys, legends } = layoutOf('us');
  const { IntlBackslash: _extra, ...own } = keys;
  expect(US_LAYOUT.keys).toEqual(own);
  for (const [code, legend] of US_LAYOUT.legends) expect(legends.get(code)).toBe(legend);
});

test('the list of layouts says what their data say', () => {
  for (const { id, name, plain } of LAYOUTS) {
    const data = dataOf(id);
    const characters = TELLING_KEYS.map((code) => (data.keys[code]?.[0] || ' ').replace(/^◌.+$/, '◌'));
    expect([data.id, data.name, characters.join('')]).toEqual([id, name, plain]);
  }
});

test('every layout that ships is in the list once; those of a Mac stand for one of the others', () => {
  const files = readdirSync(path.join(__dirname, 'xkb')).filter((name) => name.endsWith('.json'));
  expect([...LAYOUT_IDS].toSorted()).toEqual(files.map((name) => name.replace('.json', '')).toSorted());
  expect(new Set(LAYOUT_IDS).size).toBe(LAYOUT_IDS.length);
  const ids = LAYOUTS.map(({ id }) => id);
  for (const id of Object.keys(ON_MAC)) expect(ids).toContain(id);
});

test('a layout is guessed from what the browser says a few keys type', () => {
  const heard = (pairs: Record<string, string>) => guessLayouts(new Map(Object.entries(pairs)))[0]?.id;
  expect(heard({ KeyQ: 'a', KeyA: 'q', Semicolon: 'm', BracketLeft: '^', Digit1: '&', Equal: '=' })).toBe(
    'fr',
  );
  expect(heard({ KeyY: 'z', BracketLeft: 'ü', Minus: 'ß' })).toBe('de');
  expect(heard({ KeyQ: "'", KeyW: ',', KeyS: 'o' })).toBe('us-dvorak');
  expect(heard({})).toBe('us');
});
