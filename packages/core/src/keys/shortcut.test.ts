import fc from 'fast-check';
import { arbitraryShortcut } from '../testing/index.ts';
import { displayShortcut, joinParts } from './displayShortcut.ts';
import { KEY_BY_CODE, KEY_TABLE } from './keyTable.ts';
import { keyValue } from './keyValue.ts';
import { canonicalShortcut, canonicalSteps, parseShortcut } from './parseShortcut.ts';
import { codesOf, compareShortcuts, formatShortcut, type Shortcut, sameShortcut } from './shortcut.ts';

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
  ['?', 'Shift+/'],
  ['Ctrl++', 'Ctrl+Shift+='],
  ['Ctrl + Plus', 'Ctrl+Shift+='],
  ['+', 'Shift+='],
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

test('keys go down as Ctrl, Shift, Alt, Meta, key', () => {
  expect(codesOf(parsed('meta+alt+shift+ctrl+k'))).toEqual([
    'ControlLeft',
    'ShiftLeft',
    'AltLeft',
    'MetaLeft',
    'KeyK',
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
  ['ctl + shift + =', 'Ctrl+Shift+='],
  ['Cmd-Z', 'Meta+Z'],
  ['Ctrl--', 'Ctrl+-'],
  ['⌘⇧Z', 'Shift+Meta+Z'],
  ['⌘ + ⇧ + Z', 'Shift+Meta+Z'],
  ['⌘+', 'Shift+Meta+='],
  ['⌃⌥⌫', 'Ctrl+Alt+Backspace'],
  ['⌘', 'Meta'],
  ['Ctrl++', 'Ctrl+Shift+='],
  ['Control Plus', 'Ctrl+Shift+='],
  ['Ctrl Shift Page Down', null],
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

test('steps written and read back are the same, however the platform writes them', () => {
  const steps = fc.array(arbitraryShortcut, { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(steps, (shortcuts) => {
      const text = shortcuts.map(formatShortcut).join(', ');
      expect(canonicalSteps(text)).toEqual({ ok: true, value: text });
      for (const platform of ['windows', 'mac', 'linux'] as const) {
        for (const shortcut of shortcuts.filter(
          ({ code, altGr }) => code && !altGr && KEY_BY_CODE.get(code)?.kind === 'writing',
        )) {
          const shown = joinParts(displayShortcut(shortcut, platform), platform);
          expect(canonicalShortcut(shown)).toEqual({ ok: true, value: formatShortcut(shortcut) });
        }
      }
    }),
  );
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
  expect(keyValue(code, shift)).toBe(value);
});
