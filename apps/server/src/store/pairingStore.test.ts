import { createHash, randomUUID } from 'node:crypto';
import type { Pool } from 'pg';
import { openDatabase } from '../database/dataSource.ts';
import { newDatabase } from '../testing/database.ts';
import { poolOf } from './database.ts';
import { PairingStore } from './pairingStore.ts';

let pool: Pool;
let close: () => Promise<void>;
beforeAll(async () => {
  const database = await newDatabase();
  const source = await openDatabase(database.url);
  pool = poolOf(source);
  close = async () => {
    await source.destroy();
    await database.drop();
  };
});
afterAll(() => close());
beforeEach(() => pool.query('TRUNCATE pairing_codes, paired_browsers'));

const everything = { may: 'everything' } as const;
const panel = { may: 'panel', setUp: 'saltmarsh', device: 'wall-panel' } as const;
const token = (text: string) => createHash('sha256').update(text).digest('hex');
const storeOf = (...codes: string[]) => new PairingStore(pool, () => codes.shift() ?? '000000');

test('a code pairs one browser, once, with the rights it was made for', async () => {
  const pairings = storeOf('482913');
  const made = await pairings.makeCode(panel);
  expect(made).toMatchObject({ code: '482913', seconds: 120, wrong: 0, pairedWith: null });
  expect(await pairings.pair('482913', 'Tablet', token('a'), null)).toEqual({
    kind: 'paired',
    rights: panel,
  });
  expect(await pairings.code(made.id)).toMatchObject({ pairedWith: 'Tablet' });
  expect(await pairings.pair('482913', 'Stranger', token('b'), null)).toEqual({ kind: 'wrong' });
  expect(await pairings.seen(token('b'))).toBeNull();
  const seen = await pairings.seen(token('a'));
  expect(seen).toMatchObject({ rights: panel });
  expect(await pairings.list(seen?.id ?? null)).toMatchObject([
    { name: 'Tablet', rights: panel, isSelf: true },
  ]);
  // The database has no secret that could be sent.
  const { rows } = await pool.query('SELECT * FROM paired_browsers');
  expect(JSON.stringify(rows)).not.toContain('"a"');
});

test('wrong codes end nobody’s code, and who shows it is told of them', async () => {
  const pairings = storeOf('482913');
  const made = await pairings.makeCode(everything);
  const tries = Array.from({ length: 100 }, (_, i) =>
    pairings.pair(String(i).padStart(6, '0'), 'Stranger', token(`s${i}`), null),
  );
  expect((await Promise.all(tries)).filter(({ kind }) => kind === 'paired')).toEqual([]);
  expect((await pairings.code(made.id))?.wrong).toBe(100);
  expect(await pairings.pair('482913', 'Tablet', token('t'), null)).toMatchObject({ kind: 'paired' });
});

test('a code is good for two minutes', async () => {
  const pairings = storeOf('482913');
  const made = await pairings.makeCode(everything);
  const age = (seconds: number) =>
    pool.query(`UPDATE pairing_codes SET good_until = good_until - make_interval(secs => $1)`, [seconds]);
  await age(118);
  expect((await pairings.code(made.id))?.seconds).toBeGreaterThan(0);
  await age(3);
  expect((await pairings.code(made.id))?.seconds).toBe(0);
  expect(await pairings.pair('482913', 'Late', token('l'), null)).toEqual({ kind: 'wrong' });
});

test('a code that is withdrawn lets nobody in, and none that is longer over comes back', async () => {
  const pairings = storeOf('482913');
  const { id } = await pairings.makeCode(everything);
  await pairings.withdraw(id);
  expect(await pairings.pair('482913', 'Late', token('l'), null)).toEqual({ kind: 'wrong' });
  await pool.query(`UPDATE pairing_codes SET good_until = now() - interval '1 minute'`);
  await pairings.withdraw(id);
  const { rows } = await pool.query(
    `SELECT good_until < now() - interval '50 seconds' AS over FROM pairing_codes`,
  );
  expect(rows).toEqual([{ over: true }]);
});

test('two codes may be shown at once; a wrong one is told of at both', async () => {
  const pairings = storeOf('111111', '222222');
  const [one, two] = [await pairings.makeCode(everything), await pairings.makeCode(panel)];
  await pairings.pair('333333', 'Stranger', token('s'), null);
  expect([await pairings.code(one.id), await pairings.code(two.id)]).toMatchObject([
    { wrong: 1 },
    { wrong: 1 },
  ]);
  expect(await pairings.pair('222222', 'Tablet', token('t'), null)).toMatchObject({ rights: panel });
});

test('a browser that is paired again is one browser, with its new rights and its new secret', async () => {
  const pairings = storeOf('111111', '222222');
  await pairings.makeCode(panel);
  await pairings.pair('111111', 'Tablet', token('old'), null);
  await pairings.makeCode(everything);
  await pairings.pair('222222', 'Tablet', token('new'), token('old'));
  expect(await pairings.seen(token('old'))).toBeNull();
  expect(await pairings.list(null)).toMatchObject([{ name: 'Tablet', rights: everything, isSelf: false }]);
});

test('one that is forgotten is let in no more, and forgotten once', async () => {
  const pairings = storeOf('111111');
  await pairings.makeCode(panel);
  await pairings.pair('111111', 'Tablet', token('a'), null);
  const [{ id } = { id: '' }] = await pairings.list(null);
  expect(await pairings.forget(id)).toBe(true);
  expect(await pairings.seen(token('a'))).toBeNull();
  expect(await pairings.forget(id)).toBe(false);
  expect(await pairings.forget(randomUUID())).toBe(false);
});

test('codes are six digits that differ', async () => {
  const pairings = new PairingStore(pool);
  const codes = new Set<string>();
  for (let i = 0; i < 20; i++) codes.add((await pairings.makeCode(everything)).code);
  expect([...codes].filter((code) => !/^[0-9]{6}$/.test(code))).toEqual([]);
  expect(codes.size).toBeGreaterThan(15);
});
