import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { plainCharacter } from '../character.ts';
import { KEY_TABLE } from '../keyTable.ts';
import { parseShortcut } from '../parseShortcut.ts';
import { BARE, formatShortcut, type Shortcut } from '../shortcut.ts';
import { byPlace, hasKey } from './instead.ts';
import { keyCharacter, type Layout, layoutDataSchema, readLayout } from './layout.ts';
import { LAYOUT_IDS } from './layoutList.ts';
import { meaningOf, shortcutOf } from './meaning.ts';
import { type KeysBy, resolveShortcut } from './resolve.ts';

const layouts = new Map(
  LAYOUT_IDS.map((id) => {
    const text = readFileSync(path.join(__dirname, 'xkb', `${id}.json`), 'utf8');
    return [id, readLayout(layoutDataSchema.parse(JSON.parse(text)))] as const;
  }),
);
const layoutOf = (id: string): Layout => {
  const layout = layouts.get(id);
  if (!layout) throw new Error(`no layout ${id}`);
  return layout;
};
const parsed = (text: string): Shortcut => {
  const shortcut = parseShortcut(text);
  if (!shortcut.ok) throw new Error(`${text} is no shortcut`);
  return shortcut.value;
};
const short = (codes: readonly string[]) =>
  codes
    .map((code) =>
      code
        .replace(/^(Key|Digit)/, '')
        .replace(/^(Control|Shift)Left$/, '$1')
        .replace('AltRight', 'AltGr'),
    )
    .join('+');

// By the layouts of xkb-data: German has Z where the United States keyboard has Y, French has A where that has Q, and
// digits with Shift; Hebrew and Russian have no Latin letters.
test.each<readonly [string, string, KeysBy, string]>([
  ['us', 'Ctrl+Z', 'character', 'Control+Z plain'],
  ['de', 'Ctrl+Z', 'character', 'Control+Y plain'],
  ['de', 'Ctrl+Z', 'place', 'Control+Z place'],
  ['de', 'Ctrl+{KeyZ}', 'character', 'Control+Z place'],
  ['fr', 'Ctrl+Z', 'character', 'Control+W plain'],
  ['fr', 'Ctrl+A', 'character', 'Control+Q plain'],
  ['fr', 'Ctrl+1', 'character', 'Control+1 digit'],
  ['fr', 'Ctrl+Shift+1', 'character', 'Control+Shift+1 digit'],
  ['cz', 'Ctrl+0', 'character', 'Control+0 digit'],
  ['de', 'Ctrl+?', 'character', 'Control+Shift+Minus shift'],
  ['de', '/', 'character', 'Shift+7 shift'],
  ['de', 'Ctrl++', 'character', 'Control+BracketRight plain'],
  ['us', 'Ctrl++', 'character', 'Control+Shift+Equal shift'],
  ['de', 'Ctrl+[', 'character', 'Control+AltGr+8 altgr'],
  ['de', 'Ctrl+´', 'character', 'Control+Equal plain'],
  ['de', 'Ctrl+^', 'character', 'Control+Backquote plain'],
  ['de', 'Ctrl+Shift+Ü', 'character', 'Control+Shift+BracketLeft plain'],
  ['il', 'Ctrl+Z', 'character', 'Control+Z latin-place'],
  ['il', '/', 'character', 'Slash latin-place'],
  ['il', 'Ctrl+ש', 'character', 'Control+A plain'],
  ['ru', 'Ctrl+[', 'character', 'Control+BracketLeft latin-place'],
  ['gr', 'F5', 'character', 'F5 same'],
  ['us', 'Ctrl+Ü', 'character', 'cannot be typed'],
  ['us', 'Ü', 'place', 'cannot be typed'],
  ['us', 'Shift', 'place', 'Shift same'],
  ['jp', '{IntlYen}', 'character', 'IntlYen place'],
])('on %s, %s for a program by %s is %s', (id, text, keysBy, keys) => {
  const resolved = resolveShortcut(parsed(text), layoutOf(id), keysBy);
  expect(resolved.ok ? `${short(resolved.value.codes)} ${resolved.value.way}` : 'cannot be typed').toBe(keys);
});

test('the other keys that have the same character are told too', () => {
  const resolved = resolveShortcut(parsed('Ctrl+\\'), layoutOf('gb'), 'character');
  expect(resolved.ok && resolved.value).toEqual({
    codes: ['ControlLeft', 'IntlBackslash'],
    way: 'plain',
    alternatives: [{ codes: ['ControlLeft', 'AltRight', 'Minus'], way: 'altgr' }],
  });
});

test.each([...layouts.keys()])('on %s a Latin letter never goes to a key that is read as another', (id) => {
  const layout = layoutOf(id);
  const meant = (code: string) => {
    const shortcut = meaningOf({ code, value: null, held: { ...BARE, ctrl: true } }, layout, 'character');
    return formatShortcut(shortcut);
  };
  for (const letter of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ') {
    const resolved = resolveShortcut(parsed(`Ctrl+${letter}`), layout, 'character');
    const code = resolved.ok ? (resolved.value.codes.at(-1) ?? '') : '';
    expect(meant(code)).toBe(`Ctrl+${letter}`);
  }
});

const modifiers = fc.record({
  ctrl: fc.boolean(),
  shift: fc.boolean(),
  alt: fc.boolean(),
  altGr: fc.boolean(),
  meta: fc.boolean(),
});
const writing = KEY_TABLE.filter(({ kind }) => kind === 'writing').map(({ code }) => code);

test.each([...layouts.keys()])(
  'what is pressed on %s and recorded is pressed again, or types the same',
  (id) => {
    const layout = layoutOf(id);
    const typedBy = (codes: readonly string[]) => {
      const level = (codes.includes('ShiftLeft') ? 1 : 0) + (codes.includes('AltRight') ? 2 : 0);
      // A shortcut's letter has no case.
      return plainCharacter(keyCharacter(layout.keys[codes.at(-1) ?? '']?.[level] ?? ''));
    };
    fc.assert(
      fc.property(fc.constantFrom(...writing), modifiers, (code, held) => {
        const meant = meaningOf({ code, value: null, held }, layout, 'character');
        const again = parsed(formatShortcut(meant));
        const resolved = resolveShortcut(again, layout, 'character');
        if (!resolved.ok) throw new Error(`${formatShortcut(meant)} cannot be typed`);
        const pressed = resolveShortcut({ ...held, key: { kind: 'place', code } }, layout, 'place');
        const own = pressed.ok ? pressed.value.codes : [];
        const { codes } = resolved.value;
        // A digit is its key, on whichever level the keyboard has it.
        if (resolved.value.way === 'digit') expect(codes.at(-1)).toBe(code);
        else if (codes.join() !== own.join()) expect(typedBy(codes)).toBe(typedBy(own));
      }),
      { numRuns: 200 },
    );
  },
);

test.each([
  ['de', 'Ctrl+[', 'Ctrl+{BracketLeft}'],
  ['de', 'Ctrl+?', 'Ctrl+Shift+{Slash}'],
  ['de', 'Ctrl+Ñ', null],
  ['de', 'F5', null],
])('on %s, by place instead of %s: %s', (id, text, place) => {
  const found = byPlace(parsed(text), layoutOf(id));
  expect(found && formatShortcut(found)).toBe(place);
});

test('keys of other countries are not on every keyboard', () => {
  expect(hasKey(layoutOf('jp'), 'IntlRo')).toBe(true);
  expect(hasKey(layoutOf('us'), 'IntlRo')).toBe(false);
  expect(hasKey(layoutOf('us'), 'F5')).toBe(true);
});

test.each([
  ['de', 'KeyY', 'z', 'character', 'Ctrl+Z'],
  ['de', 'KeyY', 'z', 'place', 'Ctrl+Y'],
  ['us', 'KeyY', 'z', 'character', 'Ctrl+Z'],
  ['il', 'KeyZ', 'ז', 'character', 'Ctrl+Z'],
  ['fr', 'Digit1', '&', 'character', 'Ctrl+1'],
  ['de', 'Equal', 'Dead', 'character', 'Ctrl+´'],
] as const)(
  '%s: Ctrl with %s, which the browser says is %s, is to a program by %s %s',
  (id, code, value, by, text) => {
    const held = { ...BARE, ctrl: true };
    expect(formatShortcut(meaningOf({ code, value, held }, layoutOf(id), by))).toBe(text);
  },
);

test('keys that went down together are the shortcut they mean', () => {
  expect(
    formatShortcut(shortcutOf(['ControlLeft', 'ShiftLeft', 'Digit7'], layoutOf('de'), 'character')),
  ).toBe('Ctrl+Shift+7');
  expect(formatShortcut(shortcutOf(['AltRight', 'KeyQ'], layoutOf('de'), 'character'))).toBe('@');
  // The arrow that AltGr types there is the name of a key: the place says which was pressed.
  expect(formatShortcut(shortcutOf(['AltRight', 'KeyI'], layoutOf('de'), 'character'))).toBe('AltGr+{KeyI}');
  expect(formatShortcut(shortcutOf(['ShiftLeft'], layoutOf('de'), 'character'))).toBe('Shift');
});
