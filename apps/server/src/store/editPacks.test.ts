import { randomUUID } from 'node:crypto';
import { pictureOnFace } from '@nimble-lever/core/devices';
import { demoSetup, type Edit, type Entry, itemAt } from '@nimble-lever/core/setup';
import { useStoreDatabase } from '../testing/storeDatabase.ts';
import { LOOSE, PACK, packOld } from './editPacks.ts';
import { PictureStore } from './pictureStore.ts';
import type { SetupStore } from './setupStore.ts';

const { source, pool, newStore } = useStoreDatabase();

const author = { id: '10000000-0000-4000-8000-000000000001', name: 'Bench' };
const entry = (edit: Edit): Entry => ({ id: randomUUID(), role: 'do', edit, author, base: 0 });
const named = (i: number): Entry =>
  entry({ kind: 'set', at: itemAt.device('bench-dial'), fields: { name: `Dial ${i}` } });
const packs = async () =>
  (await pool().query('SELECT first, last FROM edit_packs ORDER BY first')).rows as {
    first: number;
    last: number;
  }[];
const PICTURE = 'a'.repeat(64);
const EDITS = 3 * PACK;

let store: SetupStore;
let entries: Entry[];
beforeEach(async () => {
  await source().query('TRUNCATE set_ups, kept_parts CASCADE');
  store = newStore();
  await store.createFirst('one', demoSetup());
  entries = [
    entry({
      kind: 'set',
      at: itemAt.page('shot'),
      fields: { 'face.picture': pictureOnFace(PICTURE) },
    }),
    entry({ kind: 'set', at: itemAt.page('shot'), fields: { 'face.picture': null } }),
    ...Array.from({ length: EDITS - 2 }, (_, i) => named(i)),
  ];
  for (let i = 0; i < entries.length; i += 300) await store.append('one', entries.slice(i, i + 300));
});

test('what is packed is read, undone and looked back into as before, page by page', async () => {
  const all = async (of: SetupStore) => {
    const read = [];
    for (let after = 0; after < EDITS; ) {
      const page = await of.entriesAfter('one', after);
      read.push(...(page?.entries ?? []));
      after = read.at(-1)?.revision ?? EDITS;
    }
    return read;
  };
  const before = await all(store);
  expect(await packOld(pool(), 'one', LOOSE + 2 * PACK + 10)).toBe(2 * PACK);
  expect(await packs()).toEqual([
    { first: 1, last: PACK },
    { first: PACK + 1, last: 2 * PACK },
  ]);
  expect(await all(newStore())).toEqual(before);
  expect((await store.entriesBefore('one', 50, author.id))?.entries).toEqual(before.slice(0, 49));
  const state = await store.stateAt('one', 7);
  const devices = state === 'unknown' ? [] : (state?.setup.devices ?? []);
  expect(devices.find(({ id }) => id === 'bench-dial')?.name).toBe('Dial 4');
  // The newest of what is packed stands under later edits of the same field, and is left alone by undo; the first is not.
  const of = entries[1]?.id ?? '';
  const undo = { id: randomUUID(), role: 'undo' as const, of, author, base: EDITS };
  expect((await newStore().append('one', [undo]))?.outcomes).toMatchObject([{ kind: 'saved' }]);
  const page = (await newStore().read('one'))?.setup.pages.find(({ id }) => id === 'shot');
  expect(page?.face?.picture?.id).toBe(PICTURE);
});

test('packing again packs only what is new, and the newest stay as they are', async () => {
  expect(await packOld(pool(), 'one', EDITS)).toBe(0);
  await packOld(pool(), 'one', LOOSE + PACK);
  expect(await packOld(pool(), 'one', LOOSE + PACK)).toBe(0);
  expect(await packOld(pool(), 'one', LOOSE + 2 * PACK)).toBe(PACK);
  const { rows } = await pool().query('SELECT count(*)::int AS loose FROM edits WHERE packed IS NULL');
  expect(rows[0].loose).toBe(EDITS - 2 * PACK);
});

test('a picture that only a packed entry speaks of is kept for undo', async () => {
  const pictures = new PictureStore(pool());
  await pictures.add({ id: PICTURE, width: 1, height: 1, bytes: new Uint8Array([1]) });
  await packOld(pool(), 'one', LOOSE + PACK);
  await pictures.sweep(new Date());
  await pictures.sweep(new Date(Date.now() + 400 * 24 * 3600 * 1000));
  expect(await pictures.read(PICTURE)).not.toBeNull();
});

test('an entry that was sent twice is known also when it is packed', async () => {
  await packOld(pool(), 'one', LOOSE + PACK);
  const first = entries[5];
  expect((await newStore().append('one', first ? [first] : []))?.outcomes).toMatchObject([
    { kind: 'saved', revision: 6 },
  ]);
});

test('packs lead back to rows of their own', async () => {
  await packOld(pool(), 'one', LOOSE + PACK);
  const before = await newStore().entriesAfter('one', 0);
  await source().undoLastMigration({ transaction: 'each' });
  await source().runMigrations({ transaction: 'each' });
  expect(await packs()).toEqual([]);
  expect(await newStore().entriesAfter('one', 0)).toEqual(before);
});
