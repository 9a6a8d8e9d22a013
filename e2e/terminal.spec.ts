import { execFile } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { cell, expect, open, test } from './support/test.ts';

const LEVER = path.join(import.meta.dirname, '../scripts/lever.mjs');

/** Runs the command line against a server. */
function lever(address: string, ...words: string[]): Promise<{ code: number; out: string; err: string }> {
  const env = { ...process.env, LEVER_SERVER: address, LOCAL_DIR: folder };
  const options = { env, maxBuffer: 20_000_000 };
  return new Promise((resolve) => {
    execFile(process.execPath, [LEVER, ...words], options, (error, out, err) => {
      resolve({ code: typeof error?.code === 'number' ? error.code : 0, out, err });
    });
  });
}

let folder: string;
test.beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'nimble-terminal-'));
});
test.afterEach(() => rmSync(folder, { recursive: true }));

test('a script carries a program to another set-up, which an open page sees; it looks back, compares and goes back', async ({
  app,
  quietPage: page,
}) => {
  const run = (...words: string[]) => lever(app.address, ...words);
  const file = path.join(folder, 'larkframe.lever.json');
  expect((await run('set-ups')).out).toMatch(/^saltmarsh\tSaltmarsh Paper Theatre\t0 edits\n$/);
  await fetch(`${app.address}/api/set-ups`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Travel bag', begin: { from: 'ready-made', models: ['six-pad'] } }),
  });
  expect(await run('export', 'saltmarsh', '--part', 'program/larkframe', '--to', file)).toMatchObject({
    code: 0,
  });
  expect(JSON.parse(readFileSync(file, 'utf8')).part).toEqual({ kind: 'program', id: 'larkframe' });

  expect((await run('snapshot', 'travel bag', 'Empty', '--note', 'as it came')).code).toBe(0);
  const look = await run('import', 'travel-bag', file, '--look', '--json');
  expect(JSON.parse(look.out)).toMatchObject({ taken: false });
  await open(page, app.address, 'set-up/travel-bag/board');
  const taken = await run('import', 'travel-bag', file);
  expect(taken.out).toContain('Taken in as edit no. 1.');
  await page.getByRole('button', { name: 'Go on to the Board' }).click();
  await expect(cell(page, 'Key 1', 'Larkframe')).toBeVisible();
  expect((await run('import', 'travel-bag', file)).out).toBe('Nothing of it is otherwise than there.\n');

  const history = JSON.parse((await run('history', 'travel-bag', '--json')).out);
  expect(history).toMatchObject({
    edits: [{ revision: 1, by: 'Terminal' }],
    snapshots: [{ kind: 'import' }, { kind: 'own', name: 'Empty', note: 'as it came' }],
  });
  const differ = await run('diff', 'travel-bag@Empty', 'travel-bag');
  expect(differ.code).toBe(1);
  expect(differ.out).toContain('+ Larkframe: The program');
  const restored = await run('restore', 'travel-bag', 'Empty', '--json');
  expect(JSON.parse(restored.out)).toEqual({ setUp: 'travel-bag', revision: 0, changed: true });
  expect(await run('diff', 'travel-bag@Empty', 'travel-bag')).toEqual({ code: 0, out: '', err: '' });
  // Of a whole set-up its file says the same as the server.
  const whole = path.join(folder, 'all.lever.json');
  await run('export', 'saltmarsh', '--to', whole);
  expect((await run('diff', whole, 'saltmarsh')).code).toBe(0);
  expect((await run('export', 'saltmarsh', '--as', 'csv')).out).toMatch(/^Profile,Device,/);
});

test('what cannot be done is said, with a code of its own where the server is not there', async ({ app }) => {
  const run = (...words: string[]) => lever(app.address, ...words);
  for (const [words, said] of [
    [['export', 'gone'], 'There is no set-up “gone”. There are:\n  saltmarsh'],
    [['export', 'saltmarsh', '--part', 'song/x'], '--part song/x: one of device/ID'],
    [['export', 'saltmarsh', '--part', 'macro/gone'], 'The set-up has no macro “gone”.'],
    [['restore', 'saltmarsh', 'Never'], 'There is no snapshot “Never”'],
    [['restore', 'saltmarsh', '99'], 'there is no edit of this number'],
    [['import', 'saltmarsh', path.join(folder, 'gone.json')], 'There is no such file.'],
    [['history', 'saltmarsh', '--count', 'many'], '--count many: a number'],
    [['snapshot', 'saltmarsh', 'x'.repeat(300)], 'Nothing was changed.'],
  ] as const) {
    const { code, out, err } = await run(...words);
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(said);
    expect(err).not.toMatch(/ at .*:\d+:\d+/);
  }
  await app.kill();
  const away = await run('set-ups');
  expect([away.code, away.out]).toEqual([3, '']);
  expect(away.err).toContain('Start it by `npm start`');
});

test.describe('where a key is asked for', () => {
  test.use({ settings: { ACCESS: 'key', ACCESS_KEY: 'a secret of the owner' } });

  test('a script has it from a file that only its owner may read', async ({ app }) => {
    const file = path.join(folder, 'access-key');
    expect((await lever(app.address, 'set-ups')).err).toContain('This server was started with ACCESS=key.');
    writeFileSync(file, 'another secret', { mode: 0o600 });
    expect((await lever(app.address, 'set-ups')).code).toBe(2);
    writeFileSync(file, 'a secret of the owner');
    expect((await lever(app.address, 'set-ups')).out).toContain('saltmarsh');
    chmodSync(file, 0o644);
    const open = await lever(app.address, 'set-ups');
    expect([open.code, open.err]).toEqual([2, expect.stringContaining('may be read by others')]);
  });
});
