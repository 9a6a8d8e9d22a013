import { randomUUID } from 'node:crypto';
import { SETUP_VERSION } from '@nimble-lever/core/formats';
import { demoSetup, type Edit, type Entry, itemAt, type Setup, together } from '@nimble-lever/core/setup';
import { demoBeforePages } from '@nimble-lever/core/testing';
import { BULK_PARTS } from '@nimble-lever/core/vault';
import { useStoreDatabase } from '../testing/storeDatabase.ts';
import type { SetupStore } from './setupStore.ts';
import { MARK } from './snapshots.ts';
import { MARK_EVERY } from './stateAt.ts';

const { source, pool, newStore } = useStoreDatabase();

const author = { id: '10000000-0000-4000-8000-000000000001', name: 'Bench' };
const entry = (edit: Edit): Entry => ({ id: randomUUID(), role: 'do', edit, author, base: 0 });
const named = (name: string): Entry =>
  entry({ kind: 'set', at: itemAt.device('bench-dial'), fields: { name } });
/** An edit of so many parts. */
const large = (parts: number, ms: number): Entry =>
  entry(
    together(
      Array.from({ length: parts }, (_, i) => ({
        kind: 'set' as const,
        at: itemAt.device('bench-dial'),
        fields: { 'settings.holdMs': ms + i },
      })),
    ),
  );
const own = (name: string) => ({ kind: 'own', name, note: null, author, day: null }) as const;
const count = async (table: string) =>
  Number((await pool().query(`SELECT count(*) FROM ${table}`)).rows[0].count);

let store: SetupStore;
beforeEach(async () => {
  await source().query('TRUNCATE set_ups, kept_parts CASCADE');
  store = newStore();
  await store.createFirst('one', demoSetup());
});
const append = (...entries: Entry[]) => store.append('one', entries);
const kinds = async () => (await store.snapshots.list('one')).map(({ kind }) => kind);

test('every state is within reach of one that is kept, also those a batch leaps over', async () => {
  const names = Array.from({ length: 2.3 * MARK_EVERY }, (_, i) => `Dial ${i + 1}`);
  await append(...names.slice(0, 150).map(named));
  await append(...names.slice(150).map(named));
  await store.settled();
  const { rows } = await pool().query(`SELECT revision FROM snapshots WHERE kind = 'mark' ORDER BY revision`);
  expect(rows.map(({ revision }) => revision)).toEqual([MARK_EVERY, 2 * MARK_EVERY]);
  for (const revision of [0, 1, 150, 151, 199, 200, 201, 399, 401, names.length]) {
    const state = await store.stateAt('one', revision);
    const setup = state === 'unknown' ? null : state?.setup;
    const dial = setup?.devices.find(({ id }) => id === 'bench-dial');
    expect([revision, dial?.name]).toEqual([revision, revision === 0 ? 'Bench dial' : names[revision - 1]]);
  }
  expect(await store.stateAt('one', names.length + 1)).toBe('unknown');
  expect(await store.stateAt('two', 1)).toBeNull();
});

test('a state that is kept later is not where the database has another history by then', async () => {
  const [one, two] = [named('One'), named('Two')];
  await append(one);
  const state = await store.read('one');
  if (!state) throw new Error('It is gone.');
  expect(await store.snapshots.keep(state, { ...MARK, entry: two.id })).toBeNull();
  expect(await store.snapshots.keep(state, { ...MARK, entry: one.id })).not.toBeNull();
});

test('parts that stay the same are kept once, and go when no state has them any more', async () => {
  await store.keepNow('one', own('First'));
  const before = await count('kept_parts');
  await append(named('Dial'));
  await store.keepNow('one', own('Second'));
  expect((await count('kept_parts')) - before).toBe(1);
  const [second, first] = await store.snapshots.list('one');
  expect([second?.name, second?.revision, first?.name, first?.author]).toEqual([
    'Second',
    1,
    'First',
    author,
  ]);
  expect(await store.snapshots.remove('one', first?.id ?? '')).toBe(true);
  expect(await store.snapshots.remove('one', first?.id ?? '')).toBe(false);
  await store.snapshots.sweep(new Date());
  expect(await count('kept_parts')).toBe(before);
  await store.snapshots.remove('one', second?.id ?? '');
  await store.snapshots.sweep(new Date());
  expect(await count('kept_parts')).toBe(0);
});

test('the state before a large edit is kept by itself, a small one leaves none', async () => {
  await append(large(BULK_PARTS - 1, 300));
  expect(await kinds()).toEqual([]);
  await append(large(BULK_PARTS, 600));
  const [bulk] = await store.snapshots.list('one');
  expect(bulk).toMatchObject({ kind: 'bulk', revision: 1, name: null, author: null });
});

test('the state before the first edit of a day is kept once a day, however often the server is started', async () => {
  await append(named('Yesterday'));
  store = newStore();
  await append(named('Today'));
  store = newStore();
  await append(named('Later'));
  expect(await kinds()).toEqual(['daily']);
  const [daily] = await store.snapshots.list('one');
  expect(daily?.revision).toBe(1);
});

test('what was kept by itself goes after as long as the person wants, and never before they said so', async () => {
  await store.keepNow('one', own('Mine'));
  await append(named('Dial'));
  await append(large(BULK_PARTS, 300));
  const inDays = (days: number) => new Date(Date.now() + days * 24 * 3600 * 1000);
  expect(await store.snapshots.sweep(inDays(5000))).toBe(0);
  await pool().query('UPDATE set_ups SET keep_days = 30');
  expect(await store.snapshots.sweep(inDays(29))).toBe(0);
  expect(await store.snapshots.sweep(inDays(31))).toBe(1);
  expect(await kinds()).toEqual(['own']);
});

test('a state of an older version is brought up to date, one of a newer or a damaged one is passed over', async () => {
  await store.keepNow('one', own('Now'));
  await append(named('Dial'));
  const was = (await store.read('one'))?.setup as Setup;
  const { rows } = await pool().query('SELECT parts FROM snapshots');
  const [{ parts }] = rows as [{ parts: Record<string, string> }];
  const old = demoBeforePages() as unknown as Record<string, unknown>;
  const layers = JSON.stringify(old.layers);
  const id = 'a'.repeat(64);
  await pool().query('INSERT INTO kept_parts VALUES ($1, $2)', [id, layers]);
  const keep = (revision: number, version: number, own: object) =>
    pool().query(
      `INSERT INTO snapshots (set_up, id, revision, kind, at, version, parts, pictures)
        VALUES ('one', $1, $2, 'mark', now(), $3, $4, '{}')`,
      [randomUUID(), revision, version, own],
    );
  await keep(1, SETUP_VERSION + 1, parts);
  await keep(2, SETUP_VERSION, { ...parts, devices: 'b'.repeat(64) });
  expect(await store.snapshots.around('one', 1)).toMatchObject([{ version: SETUP_VERSION + 1 }, {}]);
  expect(await store.stateAt('one', 1)).toMatchObject({ setup: was });
  const { pages: _pages, ...before } = parts;
  await pool().query('UPDATE snapshots SET version = 3, parts = $1 WHERE revision = 1', [
    { ...before, layers: id },
  ]);
  const [found] = await store.snapshots.around('one', 1);
  const read = found && (await store.snapshots.read(found));
  expect(read?.layers.map((layer) => layer.id)).toContain('base');
  expect(read?.devices).toEqual(demoSetup().devices);
});
