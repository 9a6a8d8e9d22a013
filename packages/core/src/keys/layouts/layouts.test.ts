import { execFile } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { KEY_BY_X_KEYCODE } from '../keyTable.ts';
import { parseShortcut } from '../parseShortcut.ts';
import { formatShortcut } from '../shortcut.ts';
import { guessLayouts } from './guessLayout.ts';
import { type Layout, layoutDataSchema, readLayout } from './layout.ts';
import { LAYOUTS, TELLING_KEYS } from './layoutList.ts';
import { reachShortcut } from './reach.ts';
import { typeText } from './typing.ts';
import { hasKey, wouldDo } from './wouldDo.ts';

const run = promisify(execFile);
const dataOf = (id: string) =>
  layoutDataSchema.parse(JSON.parse(readFileSync(path.join(__dirname, 'xkb', `${id}.json`), 'utf8')));
const layoutOf = (id: string): Layout => readLayout(dataOf(id));

/** Every printable character of Latin-1 (ISO 8859-1). */
const LATIN_1 = [...range(0x20, 0x7e), ...range(0xa0, 0xff)].map((point) => String.fromCodePoint(point));

function range(from: number, to: number): number[] {
  return Array.from({ length: to - from + 1 }, (_, i) => from + i);
}

/** One press as `KeyQ`, `KeyQ shift`, `KeyQ altGr`… */
const told = (code: string, shift: boolean, altGr: boolean) =>
  [code, shift ? 'shift' : '', altGr ? 'altGr' : ''].filter(Boolean).join(' ');

/** The single presses that type a character, by xkbcli; without lock keys, and without the number pad. */
async function howToType(xkb: readonly [string, string], character: string): Promise<string[]> {
  const [layout, variant] = xkb;
  const point = `0x${(character.codePointAt(0) ?? 0).toString(16)}`;
  const asked = ['how-to-type', '--layout', layout, ...(variant ? ['--variant', variant] : []), point];
  const { stdout } = await run('xkbcli', asked);
  const lines = [...stdout.matchAll(/^(\d+)\s+\S+\s+1\s+.*?\s(\d+)\s+\[([^\]]*)\]/gm)];
  const presses = lines.flatMap(([, keycode, , modifiers = '']) => {
    const row = KEY_BY_X_KEYCODE.get(Number(keycode));
    const held = modifiers.trim().split(/\s+/).filter(Boolean);
    const known = held.every((name) => name === 'Shift' || name === 'Mod5');
    if (!row || !known || (row.kind !== 'writing' && row.code !== 'Space')) return [];
    return [told(row.code, held.includes('Shift'), held.includes('Mod5'))];
  });
  return [...new Set(presses)].toSorted();
}

// The outside reference is libxkbcommon's own tool on Debian's xkb-data.
test.each(LAYOUTS.map(({ id }) => id))('%s types every character of Latin-1 as xkbcli says', async (id) => {
  const data = dataOf(id);
  const layout = readLayout(data);
  const waiting = [...LATIN_1];
  const wrong: string[] = [];
  const worker = async () => {
    for (let character = waiting.shift(); character !== undefined; character = waiting.shift()) {
      const theirs = await howToType(data.xkb, character);
      const ours = (layout.ways.get(character) ?? [])
        .filter((way) => way.length === 1)
        .flatMap((way) => way.map(({ code, shift, altGr }) => told(code, shift, altGr)))
        .toSorted();
      if (ours.join() !== theirs.join()) wrong.push(`${character}: ${ours.join()} is not ${theirs.join()}`);
    }
  };
  await Promise.all([worker(), worker(), worker()]);
  expect(wrong).toEqual([]);
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
    const { keys, ways } = layoutOf(id);
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

test('the fewest and easiest presses come first', () => {
  const { ways } = layoutOf('de');
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

test.each([
  ['us', 'Ctrl+[', 'Ctrl+[', 'typed'],
  ['us', 'Ctrl+Shift+Z', 'Ctrl+Shift+Z', 'typed'],
  ['de', 'Ctrl+Z', 'Ctrl+Y', 'typed'],
  ['de', 'Ctrl+[', 'Ctrl+AltGr+8', 'with-altgr'],
  ['de', '[', 'AltGr+8', 'typed'],
  ['de', 'Ctrl+Ü', 'Ctrl+[', 'typed'],
  ['de', 'Ctrl++', 'Ctrl+]', 'typed'],
  ['fr', 'Ctrl+1', 'Ctrl+Shift+1', 'typed'],
  ['fr', 'Ctrl+A', 'Ctrl+Q', 'typed'],
  ['ru', 'Ctrl+Z', 'Ctrl+Z', 'by-position'],
  ['ru', 'Ctrl+Я', 'Ctrl+Z', 'typed'],
  ['gr', 'F5', 'F5', 'typed'],
  ['jp', 'Ctrl+ArrowLeft', 'Ctrl+ArrowLeft', 'typed'],
])('on %s, %s is the keys %s (%s)', (id, text, keys, how) => {
  const reached = reachShortcut(text, layoutOf(id));
  expect(reached.ok && [formatShortcut(reached.value.shortcut), reached.value.how]).toEqual([keys, how]);
});

test.each([
  ['de', 'Ctrl+AltGr+8', ['Ctrl+[ by place']],
  ['de', 'Alt+AltGr+-', ['Alt+\\ by place']],
  ['de', 'Ctrl+AltGr+7', []],
  ['de', 'AltGr+8', []],
  ['de', 'Ctrl+Y', []],
  ['us', 'Ctrl+IntlRo', ['Ctrl+\\ by character']],
  ['de', 'Ctrl+IntlYen', []],
  ['jp', 'Ctrl+IntlRo', []],
])('on %s, instead of %s these would do: %j', (id, text, expected) => {
  const parsed = parseShortcut(text);
  if (!parsed.ok) throw new Error(`“${text}” is no shortcut`);
  const found = wouldDo(parsed.value, layoutOf(id));
  expect(found.map(({ shortcut, goesBy }) => `${formatShortcut(shortcut)} by ${goesBy}`)).toEqual(expected);
});

test('keys of other countries are not on every keyboard', () => {
  expect(hasKey(layoutOf('jp'), 'IntlRo')).toBe(true);
  expect(hasKey(layoutOf('us'), 'IntlRo')).toBe(false);
  expect(hasKey(layoutOf('us'), 'F5')).toBe(true);
});

test('legends are what is printed on the keys', () => {
  const { legends } = layoutOf('de');
  expect(['KeyY', 'BracketLeft', 'Minus', 'Equal', 'Backquote'].map((code) => legends.get(code))).toEqual([
    'Z',
    'Ü',
    'ß',
    "'",
    '^',
  ]);
});

test('the list of layouts says what their data say', () => {
  for (const { id, name, plain } of LAYOUTS) {
    const data = dataOf(id);
    const characters = TELLING_KEYS.map((code) => (data.keys[code]?.[0] || ' ').replace(/^◌.+$/, '◌'));
    expect([data.id, data.name, characters.join('')]).toEqual([id, name, plain]);
  }
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
