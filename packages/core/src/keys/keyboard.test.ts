import { FUNCTION_ROW, MAIN_ROWS, NUMBER_ROWS, SIDE_ROWS } from './keyboardRows.ts';
import { KEY_BY_CODE } from './keyTable.ts';
import { canonicalShortcut } from './parseShortcut.ts';
import { reservedBy } from './reserved.ts';
import { searchKeys } from './searchKeys.ts';

test('the drawn keyboard has every key once, in rows of the same width', () => {
  const rows = [...MAIN_ROWS, FUNCTION_ROW, ...SIDE_ROWS, ...NUMBER_ROWS];
  const codes = rows.flat().map(({ code }) => code);
  expect(new Set(codes).size).toBe(codes.length);
  for (const code of codes) expect(KEY_BY_CODE.has(code)).toBe(true);
  for (const row of [...MAIN_ROWS, FUNCTION_ROW]) {
    expect(row.reduce((sum, { width }) => sum + width, 0)).toBe(15);
  }
});

test.each([
  ['bracket', ['BracketLeft', 'BracketRight', 'IntlBackslash']],
  ['left bracket', ['BracketLeft']],
  ['vol', ['AudioVolumeMute', 'AudioVolumeDown', 'AudioVolumeUp']],
  ['f13', ['F13']],
  ['page down', ['PageDown']],
  ['', []],
  ['wobble', []],
])('searching for “%s”', (typed, codes) => {
  expect(searchKeys(typed).map(({ code }) => code)).toEqual(codes);
});

test('what a platform keeps for itself is told, and only there', () => {
  expect(reservedBy('Ctrl+W', 'linux')).toMatchObject({ by: 'browser', does: 'closes the tab' });
  expect(reservedBy('Ctrl+W', 'mac')).toBeNull();
  expect(reservedBy('Meta+W', 'mac')?.by).toBe('browser');
  for (const platform of ['windows', 'mac', 'linux'] as const) {
    for (const text of ['Alt+Tab', 'Meta+Tab', 'Shift+Meta+3', 'Alt+Meta+Escape']) {
      const canonical = canonicalShortcut(text);
      const found = reservedBy(text, platform);
      if (found) expect(canonical).toEqual({ ok: true, value: found.shortcut });
    }
  }
});
