import { layoutDataSchema, readLayout, US_LAYOUT } from '@nimble-lever/core/keys/layouts';
import german from '../../../../../packages/core/src/keys/layouts/xkb/de.json';
import { placeInstead, pressedAs, readTyped, shortcutWarnings } from './typedShortcut.ts';

const GERMAN = readLayout(layoutDataSchema.parse(german));

test.each([
  ['Ctrl+[', 'character', ['Ctrl+[ needs AltGr on your keyboard; many programs miss it.']],
  ['[', 'character', []],
  ['Ctrl+[', 'place', []],
  ['Ctrl+Ñ', 'character', ['Ctrl+Ñ cannot be typed on German.']],
  ['Ctrl+Ü', 'place', ['This program reads places of keys, and there is none for Ctrl+Ü.']],
  ['{IntlRo}', 'character', ['A German keyboard has no Ro key to press; it is sent all the same.']],
  ['Ctrl+Shift+K', 'character', []],
  [
    'Ctrl+Alt+Delete',
    'character',
    ['The system keeps Ctrl+Alt+Delete for itself: it opens the security screen.'],
  ],
] as const)('%s on a German keyboard, for a program by %s', (notation, keysBy, warnings) => {
  expect(shortcutWarnings(notation, 'windows', GERMAN, keysBy)).toEqual(warnings);
});

test('the key of the same place would do where the character is badly typed, and only there', () => {
  expect(placeInstead('Ctrl+[', GERMAN, 'character')).toBe('Ctrl+{BracketLeft}');
  expect(placeInstead('Ctrl+K, Ctrl+[', GERMAN, 'character')).toBe('Ctrl+K, Ctrl+{BracketLeft}');
  expect(placeInstead('Ctrl+[', GERMAN, 'place')).toBeNull();
  expect(placeInstead('Ctrl+[', US_LAYOUT, 'character')).toBeNull();
  expect(placeInstead('Ctrl+Ñ', GERMAN, 'character')).toBeNull();
});

test.each([
  ['Ctrl+Z', 'character', null],
  ['Ctrl+Z', 'place', 'Ctrl+Y'],
  ['Ctrl+?', 'character', 'Ctrl+Shift+ß'],
  ['Ctrl+[', 'character', 'Ctrl+AltGr+8'],
  ['Ctrl+{KeyZ}', 'character', null],
  ['Ctrl+K, Ctrl+[', 'place', 'Ctrl+K, Ctrl+Ü'],
  ['F5', 'place', null],
  ['Ctrl+Ñ', 'character', null],
  ['Ctrl+Wobble', 'character', null],
] as const)('on a German keyboard %s by %s is pressed as %s', (notation, keysBy, pressed) => {
  expect(pressedAs(notation, 'linux', GERMAN, keysBy)).toBe(pressed);
});

test('what is typed is read as the platform prints it, places by the labels of the keyboard', () => {
  expect(readTyped('ctrl z', 'linux', GERMAN.legends)).toEqual({ ok: true, value: 'Ctrl+Z' });
  expect(readTyped('Ctrl+{Y}', 'linux', GERMAN.legends)).toEqual({ ok: true, value: 'Ctrl+{KeyZ}' });
  expect(readTyped('⌘Delete', 'mac', null)).toEqual({ ok: true, value: 'Meta+Backspace' });
});

test('what cannot be read has no warnings and nothing in its place', () => {
  expect(readTyped('Ctrl+Wobble', 'linux', null).ok).toBe(false);
  expect(shortcutWarnings('Ctrl+Wobble', 'mac', GERMAN, 'character')).toEqual([]);
  expect(placeInstead('Ctrl+Wobble', GERMAN, 'character')).toBeNull();
});
