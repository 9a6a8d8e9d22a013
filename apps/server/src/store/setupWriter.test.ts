import { demoSetup, type Entry, itemAt } from '@nimble-lever/core/setup';
import { fuzzAsync } from '@nimble-lever/core/testing';
import fc from 'fast-check';
import { useStoreDatabase } from '../testing/storeDatabase.ts';

const { source, newStore } = useStoreDatabase();

const author = { id: '10000000-0000-4000-8000-000000000001', name: 'Bench' };
/** An edit that names its number, so that states of different histories differ. */
const rename = (history: number, n: number): Entry => ({
  id: `00000000-0000-4000-8000-${String(history * 1000 + n).padStart(12, '0')}`,
  role: 'do',
  edit: { kind: 'set', at: itemAt.program('brindle'), fields: { name: `Brindle ${history}.${n}` } },
  author,
  base: 0,
});

/** Puts a history of so many edits in the place of what is there, as a backup that is restored does. */
async function replace(history: number, count: number): Promise<void> {
  await source().query('TRUNCATE set_ups CASCADE');
  const store = newStore();
  await store.createFirst('one', demoSetup());
  // Made at the same moment: only the entries tell histories apart.
  await source().query(`UPDATE set_ups SET created_at = '2026-11-21T09:00:00Z'`);
  for (let n = 1; n <= count; n++) await store.append('one', [rename(history, n)]);
}

/** What a server does with a set-up. */
const DOINGS = ['read', 'append', 'missed', 'heard'] as const;

test('whatever history is in the place of the one in memory, older, newer or another, the answer is that of the database', async () => {
  const counts = fc.integer({ min: 0, max: 4 });
  await fuzzAsync(
    fc.asyncProperty(
      counts,
      counts,
      fc.boolean(),
      fc.array(fc.constantFrom(...DOINGS), { minLength: 1, maxLength: 4 }),
      async (before, after, isSame, doings) => {
        await replace(1, before);
        const told: string[] = [];
        const store = newStore(told);
        await store.read('one');
        await replace(isSame ? 1 : 2, after);
        // Nothing takes a database's place while somebody is connected.
        store.lost();
        let revision = after;
        for (const [i, doing] of doings.entries()) {
          if (doing === 'read') await store.read('one');
          else if (doing === 'missed') {
            const missed = await store.missed('one', before);
            if (before > after && revision < before) expect(missed?.texts).toBeNull();
          } else if (doing === 'heard') await store.heard(null, null);
          else {
            const appended = await store.append('one', [rename(3, i)]);
            revision += 1;
            expect(appended?.outcomes).toMatchObject([{ kind: 'saved', revision }]);
          }
        }
        expect(await store.read('one')).toEqual(await newStore().read('one'));
        expect((await store.read('one'))?.revision).toBe(revision);
        // Pages with the other history are told to read anew.
        const isOther = before > 0 && (isSame ? after < before : true);
        if (isOther) expect(told).toContainEqual(expect.stringMatching(/\(0\)$/));
      },
    ),
    48,
  );
});

test('a set-up that is gone, and one that is there again, are found', async () => {
  await replace(1, 2);
  const store = newStore();
  await store.read('one');
  await source().query('TRUNCATE set_ups CASCADE');
  expect(await store.append('one', [rename(1, 3)])).toBeNull();
  await replace(2, 1);
  expect(await store.append('one', [rename(2, 2)])).toMatchObject({ revision: 2 });
});

test('when each edit was made is read once, goes on with what is saved here and elsewhere, and is read anew where all is otherwise', async () => {
  await replace(1, 3);
  const store = newStore();
  const revisions = async (after = 0) =>
    (await store.momentsAfter('one', after))?.map(({ revision }) => revision);
  expect(await revisions()).toEqual([1, 2, 3]);
  await store.append('one', [rename(1, 4)]);
  await newStore().append('one', [rename(1, 5)]);
  expect(await revisions()).toEqual([1, 2, 3, 4, 5]);
  expect(await revisions(4)).toEqual([5]);
  expect(await store.momentsAfter('one', 0)).toEqual(await newStore().momentsAfter('one', 0));
  await replace(2, 2);
  expect(await revisions()).toEqual([1, 2]);
  expect(await store.momentsAfter('gone', 0)).toBeNull();
});
