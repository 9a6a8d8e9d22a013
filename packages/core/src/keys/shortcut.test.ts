import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { arbitraryShortcut } from '../testing/index.ts';
import { displayShortcut, joinParts, placeByLabel } from './displayShortcut.ts';
import { KEY_BY_CODE, KEY_TABLE } from './keyTable.ts';
import { WORDS_ABROAD } from './keyWordsAbroad.ts';
import { keyValue } from './layouts/keyValue.ts';
import { layoutDataSchema, readLayout } from './layouts/layout.ts';
import { LAYOUT_IDS } from './layouts/layoutList.ts';
import { US_LAYOUT } from './layouts/usLayout.ts';
import { canonicalShortcut, canonicalSteps, parsePointer, parseShortcut } from './parseShortcut.ts';
import {
  BARE,
  compareShortcuts,
  formatShortcut,
  keyByCode,
  modifierCodes,
  type Shortcut,
  sameShortcut,
} from './shortcut.ts';
import { NOTATION } from './tokens.ts';

const parsed = (text: string): Shortcut => {
  const result = parseShortcut(text);
  if (!result.ok) throw new Error(`${text}: ${result.problem.code}`);
  return result.value;
};

test.each([
  ['Ctrl+Shift+Z', 'Ctrl+Shift+Z'],
  ['shift + ctrl+ z', 'Ctrl+Shift+Z'],
  [']', ']'],
  ['arrowright', 'ArrowRight'],
  ['→', 'ArrowRight'],
  ['f5', 'F5'],
  ['Cmd+Option+Esc', 'Alt+Meta+Escape'],
  ['?', '?'],
  ['Shift+/', '?'],
  ['Ctrl+Shift+-', 'Ctrl+_'],
  ['Ctrl+Shift+1', 'Ctrl+Shift+1'],
  ['Ctrl+!', 'Ctrl+!'],
  ['Ctrl+{KeyZ}', 'Ctrl+{KeyZ}'],
  ['{keyz}', '{KeyZ}'],
  ['KeyZ', '{KeyZ}'],
  ['IntlBackslash', '{IntlBackslash}'],
  ['Ctrl+Ü', 'Ctrl+Ü'],
  ['ß', 'ß'],
  ['ControlLeft+Z', 'Ctrl+Z'],
  ['ControlRight', 'ControlRight'],
  ['Ctrl++', 'Ctrl++'],
  ['Ctrl + Plus', 'Ctrl++'],
  ['+', '+'],
  ['Ctrl+-', 'Ctrl+-'],
  ['Shift', 'Shift'],
  ['Ctrl+Alt', 'Ctrl+Alt'],
  ['pgdn', 'PageDown'],
  ['Mute', 'AudioVolumeMute'],
  ['Numpad4', 'Numpad4'],
])('reads %s as %s', (text, canonical) => {
  expect(canonicalShortcut(text)).toEqual({ ok: true, value: canonical });
});

test.each([
  ['', { code: 'shortcut-empty' }],
  ['  ', { code: 'shortcut-empty' }],
  ['Ctrl+', { code: 'shortcut-gap' }],
  ['+Z', { code: 'shortcut-gap' }],
  ['Ctrl+Wobble', { code: 'shortcut-unknown-key', token: 'Wobble' }],
  ['__proto__', { code: 'shortcut-unknown-key', token: '__proto__' }],
  ['A+B', { code: 'shortcut-two-keys', first: 'A', token: 'B' }],
  ['Ctrl+Control+A', { code: 'shortcut-modifier-twice', token: 'Control' }],
  ['A'.repeat(121), { code: 'shortcut-too-long', length: 121 }],
])('refuses “%s” and says why', (text, problem) => {
  expect(parseShortcut(text)).toEqual({ ok: false, problem });
});

test('what is written is read back as the same shortcut', () => {
  fc.assert(
    fc.property(arbitraryShortcut, (shortcut) => {
      expect(parsed(formatShortcut(shortcut))).toEqual(shortcut);
    }),
  );
});

test('any text is read or refused, and what is read has a canonical form that stays', () => {
  fc.assert(
    fc.property(
      fc.oneof(fc.string(), fc.string({ unit: fc.constantFrom('+', 'C', 't', 'r', 'l', ' ', 'z', '#') })),
      (text) => {
        const once = canonicalShortcut(text);
        if (once.ok) expect(canonicalShortcut(once.value)).toEqual(once);
      },
    ),
  );
});

test('modifiers go down as Ctrl, Shift, Alt, Meta', () => {
  expect(modifierCodes(parsed('meta+alt+shift+ctrl+k'))).toEqual([
    'ControlLeft',
    'ShiftLeft',
    'AltLeft',
    'MetaLeft',
  ]);
});

test('comparing puts plain keys before chords and is an order', () => {
  const sorted = ['Ctrl+Shift+Z', 'Z', 'Ctrl+Z', 'A']
    .map(parsed)
    .toSorted(compareShortcuts)
    .map(formatShortcut);
  expect(sorted).toEqual(['A', 'Z', 'Ctrl+Z', 'Ctrl+Shift+Z']);
  fc.assert(
    fc.property(arbitraryShortcut, arbitraryShortcut, (a, b) => {
      expect(Math.sign(compareShortcuts(a, b))).toBe(-Math.sign(compareShortcuts(b, a)) + 0);
      if (sameShortcut(a, b)) expect(compareShortcuts(a, b)).toBe(0);
    }),
  );
});

// What people type and what command lists contain.
test.each([
  ['ctl + shift + =', 'Ctrl++'],
  ['Cmd-Z', 'Meta+Z'],
  ['Ctrl--', 'Ctrl+-'],
  ['⌘⇧Z', 'Shift+Meta+Z'],
  ['⌘ + ⇧ + Z', 'Shift+Meta+Z'],
  ['⌘+', 'Meta++'],
  ['⌃⌥⌫', 'Ctrl+Alt+Backspace'],
  ['⌘', 'Meta'],
  ['Ctrl++', 'Ctrl++'],
  ['Control Plus', 'Ctrl++'],
  ['Ctrl Shift Page Down', 'Ctrl+Shift+PageDown'],
  ['Ctrl + Page Down', 'Ctrl+PageDown'],
  ['Alt Gr + E', 'AltGr+E'],
  ['Num 5', 'Numpad5'],
  ['F24', 'F24'],
])('%s is %s', (text, canonical) => {
  const result = canonicalShortcut(text);
  expect(result.ok ? result.value : null).toBe(canonical);
});

test.each([
  ['Ctrl+K, Ctrl+S', 'Ctrl+K, Ctrl+S'],
  ['ctrl-k,  ctrl-s', 'Ctrl+K, Ctrl+S'],
  ['Ctrl+,', 'Ctrl+,'],
  ['Ctrl+,, Ctrl+,', 'Ctrl+,, Ctrl+,'],
  ['G, G', 'G, G'],
])('steps %s are %s', (text, canonical) => {
  expect(canonicalSteps(text)).toEqual({ ok: true, value: canonical });
});

test.each(['Alt+drag', 'Shift+Click', 'Ctrl+mouse wheel'])('%s is refused: that is the pointer', (text) => {
  const { problem } = canonicalShortcut(text) as { problem: { code: string } };
  expect(problem.code).toBe('shortcut-pointer');
});

test('steps written and read back are the same', () => {
  const steps = fc.array(arbitraryShortcut, { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(steps, (shortcuts) => {
      const text = shortcuts.map(formatShortcut).join(', ');
      expect(canonicalSteps(text)).toEqual({ ok: true, value: text });
    }),
  );
});

const LEGENDS = LAYOUT_IDS.map((id) => {
  const text = readFileSync(path.join(__dirname, 'layouts/xkb', `${id}.json`), 'utf8');
  return [id, readLayout(layoutDataSchema.parse(JSON.parse(text))).legends] as const;
});
/** Words of all languages, as a person may type them. */
const AT = { ...NOTATION, words: WORDS_ABROAD };
const PLATFORMS = ['windows', 'mac', 'linux'] as const;

test.each(LEGENDS)(
  'what a keycap shows on %s can be typed there and means the same, on every platform',
  (_id, legends) => {
    const wrong: unknown[] = [];
    const check = (shortcut: Shortcut, platform: (typeof PLATFORMS)[number]) => {
      const shown = joinParts(displayShortcut(shortcut, platform, legends), platform);
      const read = canonicalShortcut(shown, {
        ...AT,
        platform,
        placeOf: (label) => placeByLabel(legends, label),
      });
      const meant = formatShortcut(shortcut);
      if (!read.ok || read.value !== meant) wrong.push([platform, shown, meant, read]);
    };
    const held = [BARE, { ...BARE, ctrl: true, altGr: true }, { ...BARE, shift: true, meta: true }];
    for (const platform of PLATFORMS) {
      for (const { code, kind } of KEY_TABLE) {
        const places = kind === 'writing' ? [{ kind: 'place' as const, code }] : [];
        for (const key of [keyByCode(code), ...places])
          for (const on of held) check({ ...on, key }, platform);
      }
    }
    fc.assert(
      fc.property(arbitraryShortcut, fc.constantFrom(...PLATFORMS), (shortcut, platform) => {
        check(shortcut, platform);
      }),
    );
    expect(wrong).toEqual([]);
  },
);

// What people and command lists write, on whichever keyboard (common practice, no source).
test.each([
  ['Ctrl+K Ctrl+S', 'Ctrl+K, Ctrl+S'],
  ['⌘K ⌘S', 'Meta+K, Meta+S'],
  ['G then D', 'G, D'],
  ['Ctrl+K S', 'Ctrl+K, S'],
  ['Left Arrow', 'ArrowLeft'],
  ['PgDown', 'PageDown'],
  ['Bksp', 'Backspace'],
  ['Pause/Break', 'Pause'],
  ['Num -', 'NumpadSubtract'],
  ['Numpad +', 'NumpadAdd'],
  ['Num *', 'NumpadMultiply'],
  ['Ctrl+Num +', 'Ctrl+NumpadAdd'],
  ['KP_Add', 'NumpadAdd'],
  ['KP_7', 'Numpad7'],
  ['KP_Home', 'Numpad7'],
  ['Ctrl -', 'Ctrl+-'],
  ['⌘↵', 'Meta+Enter'],
  ['↩︎', 'Enter'],
  ['⌘ Shift Z', 'Shift+Meta+Z'],
  ['^S', 'Ctrl+S'],
  ['^⇧S', 'Ctrl+Shift+S'],
  ['^', '^'],
  ['<Control>z', 'Ctrl+Z'],
  ['<Shift><Control>F', 'Ctrl+Shift+F'],
  ['<', '<'],
  ['Super_L', 'Meta'],
  ['Windows key + E', 'Meta+E'],
  ['Right Alt+E', 'AltGr+E'],
  ['Right Ctrl+E', 'Ctrl+E'],
  ['Right Ctrl', 'ControlRight'],
  ['Strg+Umschalt+Entf', 'Ctrl+Shift+Delete'],
  ['Strg+Bild ab', 'Ctrl+PageDown'],
  ['Strg+Pfeil nach links', 'Ctrl+ArrowLeft'],
  ['Maj+Suppr', 'Shift+Delete'],
  ['Ctrl+Retour arrière', 'Ctrl+Backspace'],
  ['Mayús+Supr', 'Shift+Delete'],
  ['Ctrl+Re Pág', 'Ctrl+PageUp'],
  ['Maiusc+Canc', 'Shift+Delete'],
  ['Ctrl+Barra spaziatrice', 'Ctrl+Space'],
  ['Ctrl+Seta para a esquerda', 'Ctrl+ArrowLeft'],
  ['Skift+Mellanslag', 'Shift+Space'],
  ['Ctrl+Spatiebalk', 'Ctrl+Space'],
  ['Ctrl+Spacja', 'Ctrl+Space'],
  ['Ctrl+Comma', 'Ctrl+,'],
  ['Ctrl+Minus', 'Ctrl+-'],
  ['Alt−', null],
  ['Ctrl+−', 'Ctrl+-'],
])('%s is read as %s', (text, canonical) => {
  const result = canonicalSteps(text, AT);
  expect(result.ok ? result.value : null).toBe(canonical);
});

test.each([
  ['Ctrl+click', { keys: 'Ctrl', act: { kind: 'click', button: 0, count: 1 } }],
  ['Alt+drag', { keys: 'Alt', act: { kind: 'drag', button: 0 } }],
  ['Alt + right drag', { keys: 'Alt', act: { kind: 'drag', button: 2 } }],
  ['Leertaste+Drag', { keys: 'Space', act: { kind: 'drag', button: 0 } }],
  ['Shift+wheel up', { keys: 'Shift', act: { kind: 'wheel', ticks: 1, axis: 'vertical' } }],
  ['⌘ double click', { keys: 'Meta', act: { kind: 'click', button: 0, count: 2 } }],
  ['drag', { keys: null, act: { kind: 'drag', button: 0 } }],
  ['Ctrl+mouse wheel', null],
  ['Ctrl+K, Alt+drag', null],
  ['Ctrl+Z', null],
  ['Wobble+drag', null],
])('%s is a use of the pointer', (text, use) => {
  expect(parsePointer(text, AT)).toEqual(use);
});

test('Delete is the key that is printed so on the platform', () => {
  const onMac = { ...AT, platform: 'mac' } as const;
  expect(canonicalShortcut('⌘Delete', onMac)).toEqual({ ok: true, value: 'Meta+Backspace' });
  expect(canonicalShortcut('Ctrl+Delete')).toEqual({ ok: true, value: 'Ctrl+Delete' });
});

test('keycaps use the words of the platform', () => {
  expect(displayShortcut(parsed('Meta+Alt+ArrowLeft'), 'mac')).toEqual(['⌥', '⌘', '←']);
  expect(displayShortcut(parsed('Meta+Alt+ArrowLeft'), 'windows')).toEqual(['Alt', 'Win', '←']);
});

test('every key has a code, a name and a legend of its own', () => {
  expect(KEY_BY_CODE.size).toBe(KEY_TABLE.length);
  expect(new Set(KEY_TABLE.map(({ name }) => name.toLowerCase())).size).toBe(KEY_TABLE.length);
});

// W3C UI Events KeyboardEvent key Values; United States layout, from memory.
test.each([
  ['KeyA', false, 'a'],
  ['KeyA', true, 'A'],
  ['BracketRight', true, '}'],
  ['Space', false, ' '],
  ['ArrowRight', false, 'ArrowRight'],
  ['ControlLeft', false, 'Control'],
  ['NumpadAdd', false, '+'],
  ['Numpad7', false, '7'],
  ['AudioVolumeMute', false, 'AudioVolumeMute'],
  ['Nowhere', false, 'Unidentified'],
])('key value of %s (shift %s) is %s', (code, shift, value) => {
  expect(keyValue(code, { shift, altGr: false }, US_LAYOUT)).toBe(value);
});
