import { randomUUID } from 'node:crypto';
import { applyEdit, demoSetup, type Edit, type Entry, type Setup } from '@nimble-lever/core/setup';
import { arbitraryEdit, arbitrarySetup } from '@nimble-lever/core/testing';
import fc from 'fast-check';
import type { DataSource } from 'typeorm';
import { openDatabase } from '../database/dataSource.ts';
import { newDatabase } from '../testing/database.ts';
import { fromRows, toRows } from './rows.ts';
import { SetupStore } from './setupStore.ts';

let source: DataSource;
let drop: () => Promise<void>;
beforeAll(async () => {
  const database = await newDatabase();
  drop = database.drop;
  source = await openDatabase(database.url);
});
afterAll(async () => {
  await source?.destroy();
  await drop?.();
});
beforeEach(() => source.query('TRUNCATE set_ups CASCADE'));

const entry = (edit: Edit): Entry => ({ id: randomUUID(), edit, role: 'do', of: null });
const rename = (name: string): Entry => entry({ kind: 'rename-program', program: 'brindle', name });

async function storeWith(setup: Setup): Promise<SetupStore> {
  const store = new SetupStore(source);
  expect(await store.createFirst('one', setup)).toBe(true);
  return store;
}

test('a set-up and its rows stand for each other', () => {
  fc.assert(
    fc.property(arbitrarySetup, (setup) => {
      expect(fromRows(setup.name, toRows('one', setup))).toEqual(setup);
    }),
  );
});

test('what edits make is what the tables hold, read anew, and the inverses lead back', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(arbitraryEdit(demoSetup()), { maxLength: 12 }), async (edits) => {
      await source.query('TRUNCATE set_ups CASCADE');
      const store = await storeWith(demoSetup());
      let expected = demoSetup();
      let revision = 0;
      for (const edit of edits) {
        const applied = applyEdit(expected, edit);
        const outcome = await store.append('one', revision, [entry(edit)]);
        expect(outcome.kind).toBe(applied.ok ? 'saved' : 'refused');
        if (!applied.ok) continue;
        expected = applied.value.setup;
        revision += 1;
      }
      expect(await new SetupStore(source).read('one')).toEqual({ id: 'one', revision, setup: expected });
      const log = await store.entriesAfter('one', 0);
      const back = log.toReversed().map(({ inverse }) => entry(inverse));
      if (back.length > 0) await store.append('one', revision, back);
      expect((await new SetupStore(source).read('one'))?.setup).toEqual(demoSetup());
    }),
    { numRuns: 25 },
  );
});

test('a stale base answers with what was missed, and changes nothing', async () => {
  const store = await storeWith(demoSetup());
  await store.append('one', 0, [rename('First')]);
  const outcome = await store.append('one', 0, [rename('Second')]);
  expect(outcome).toMatchObject({
    kind: 'stale',
    revision: 1,
    missed: [{ revision: 1, edit: { name: 'First' } }],
  });
  expect((await store.read('one'))?.setup.programs[1]?.name).toBe('First');
});

test('an entry sent again, because the answer was lost, is kept once', async () => {
  const store = await storeWith(demoSetup());
  const [first, second] = [rename('First'), rename('Second')];
  await store.append('one', 0, [first]);
  expect(await store.append('one', 0, [first])).toMatchObject({ kind: 'saved', revision: 1 });
  expect(await store.append('one', 0, [first, second])).toMatchObject({ kind: 'saved', revision: 2 });
  expect(await store.entriesAfter('one', 0)).toHaveLength(2);
});

test('edits come all or none', async () => {
  const store = await storeWith(demoSetup());
  const bad = entry({ kind: 'remove-program', program: 'gone' });
  const outcome = await store.append('one', 0, [rename('First'), bad]);
  expect(outcome).toEqual({
    kind: 'refused',
    entry: bad.id,
    refusal: { code: 'unknown-program', program: 'gone' },
  });
  expect(await new SetupStore(source).read('one')).toEqual({ id: 'one', revision: 0, setup: demoSetup() });
});

test('copies of the server that write at once keep one order and lose nothing', async () => {
  const stores = [await storeWith(demoSetup()), new SetupStore(source), new SetupStore(source)];
  const push = async (store: SetupStore, made: Entry) => {
    for (let base = 0; ; ) {
      const outcome = await store.append('one', base, [made]);
      if (outcome.kind !== 'stale') return outcome;
      base = outcome.revision;
    }
  };
  const all = Array.from({ length: 12 }, (_, i) => push(stores[i % 3] as SetupStore, rename(`Name ${i}`)));
  expect((await Promise.all(all)).every(({ kind }) => kind === 'saved')).toBe(true);
  const log = await new SetupStore(source).entriesAfter('one', 0);
  expect(log.map(({ revision }) => revision)).toEqual(Array.from({ length: 12 }, (_, i) => i + 1));
});

test('only the first set-up is made by itself', async () => {
  const store = await storeWith(demoSetup());
  expect(await store.createFirst('two', demoSetup())).toBe(false);
  expect(await store.list()).toEqual([{ id: 'one', name: 'Saltmarsh Paper Theatre', revision: 0 }]);
});
