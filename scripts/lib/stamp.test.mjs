import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { hashOf, isStamped, stamp } from './stamp.mjs';

let folder;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'nimble-lever-'));
  mkdirSync(path.join(folder, 'src'));
  writeFileSync(path.join(folder, 'src/a.ts'), 'one');
});
afterEach(() => rmSync(folder, { recursive: true }));

test('a hash changes with content and names, and not with what is built or installed', () => {
  const before = hashOf([folder]);
  for (const skipped of ['node_modules', 'dist', '.local']) {
    mkdirSync(path.join(folder, skipped));
    writeFileSync(path.join(folder, skipped, 'x'), 'x');
  }
  expect(hashOf([folder, path.join(folder, 'missing')])).toBe(before);
  writeFileSync(path.join(folder, 'src/a.ts'), 'two');
  const changed = hashOf([folder]);
  expect(changed).not.toBe(before);
  writeFileSync(path.join(folder, 'src/b.ts'), '');
  expect(hashOf([folder])).not.toBe(changed);
});

test('a stamp is known again', () => {
  const file = path.join(folder, 'stamp');
  expect(isStamped(file, 'h')).toBe(false);
  stamp(file, 'h');
  expect([isStamped(file, 'h'), isStamped(file, 'other')]).toEqual([true, false]);
});
