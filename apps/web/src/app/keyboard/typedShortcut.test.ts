import { layoutDataSchema, readLayout } from '@nimble-lever/core/keys/layouts';
import german from '../../../../../packages/core/src/keys/layouts/xkb/de.json';
import { readTyped, shortcutsInstead, shortcutWarnings } from './typedShortcut.ts';

const GERMAN = readLayout(layoutDataSchema.parse(german));

// The levels of the German key 8 are 8, (, [ and ™ (xkb-data, symbols/de).
test.each([
  ['Ctrl+AltGr+8', ['Ctrl+[ needs AltGr on your keyboard; many programs miss it.']],
  [
    'Ctrl+Shift+AltGr+8',
    ['On your keyboard AltGr types “™” with that key; some programs write it and miss Ctrl+Shift+AltGr+8.'],
  ],
  ['AltGr+8', []],
  ['Ctrl+Shift+K', []],
  ['Ctrl+Alt+Delete', ['The system keeps Ctrl+Alt+Delete for itself: it opens the security screen.']],
])('%s on a German keyboard under Windows', (notation, warnings) => {
  expect(shortcutWarnings(notation, 'windows', GERMAN)).toEqual(warnings);
});

test('without a known keyboard nothing is said of keys', () => {
  expect(shortcutWarnings('Ctrl+AltGr+8', 'linux', null)).toEqual([]);
  expect(shortcutsInstead('Ctrl+AltGr+8', null)).toEqual([]);
});

test('what is typed by character is found on the keyboard; the key of the same place would do', () => {
  expect(readTyped('Ctrl+[', GERMAN)).toEqual({
    ok: true,
    value: { notation: 'Ctrl+AltGr+8', warnings: [] },
  });
  expect(shortcutsInstead('Ctrl+AltGr+8', GERMAN)).toEqual([{ notation: 'Ctrl+[', goesBy: 'place' }]);
});

test('what cannot be read has nothing in its place', () => {
  expect(readTyped('Ctrl+Wobble', GERMAN).ok).toBe(false);
  expect(shortcutWarnings('Ctrl+Wobble', 'mac', GERMAN)).toEqual([]);
});
