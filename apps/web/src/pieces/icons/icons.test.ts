import { existsSync } from 'node:fs';
import path from 'node:path';
import { FACE_ICONS } from './faceIcons.ts';
import { findIcons, iconWords } from './iconNames.ts';
import synonyms from './synonyms.json';

const ICONS = path.join(import.meta.dirname, '../../../../../node_modules/lucide-react/dist/esm/icons');
const entries = Object.entries(synonyms).map(([name, words]) => ({
  name,
  words: iconWords(name),
  synonyms: words,
}));

test('every name stands for an icon of the family, and can be kept in a set-up', () => {
  for (const { name } of entries) {
    expect(existsSync(path.join(ICONS, `${name}.mjs`)) ? name : null).toBe(name);
    expect(name).toMatch(/^[a-z0-9][a-z0-9-]{0,63}$/);
  }
  expect(entries.length).toBeGreaterThan(1500);
});

test.each([
  ['camera', 'camera'],
  ['trash', 'trash'],
  // By a synonym: no icon is called so.
  ['movie', 'film'],
  ['undo', 'undo'],
  ['volume mute', 'volume-x'],
])('“%s” finds %s among the first', (typed, name) => {
  expect(findIcons(entries, typed, 12).map((entry) => entry.name)).toContain(name);
});

test('what fits nothing finds nothing; nothing typed gives the first of all', () => {
  expect(findIcons(entries, 'xyzzy', 10)).toEqual([]);
  expect(findIcons(entries, ' ', 10)).toEqual(entries.slice(0, 10));
});

test('the usual icons are called something', () => {
  for (const { name } of Object.values(FACE_ICONS)) expect(name).toMatch(/^[A-Z]/);
});
