import { randomUUID } from 'node:crypto';
import { applyEdit, demoSetup, type Edit, type Setup } from '@nimble-lever/core/setup';
import { arbitraryEdit, fuzzAsync } from '@nimble-lever/core/testing';
import fc from 'fast-check';
import { useStoreDatabase } from '../testing/storeDatabase.ts';
import type { SetupStore } from './setupStore.ts';
import { MARK_EVERY } from './stateAt.ts';

const { source, pool, newStore } = useStoreDatabase();

const author = { id: '10000000-0000-4000-8000-000000000001', name: 'Bench' };
const entry = (edit: Edit) => ({ id: randomUUID(), role: 'do' as const, edit, author, base: 0 });
const setupAt = async (store: SetupStore, revision: number) => {
  const state = await store.stateAt('one', revision);
  return state === 'unknown' ? state : state?.setup;
};
const forgetKept = () => source().query('TRUNCATE snapshots, kept_parts');

test('every state is found as it was, forth from a kept one, back from one, or from how it is now', async () => {
  await fuzzAsync(
    fc.asyncProperty(
      fc.array(arbitraryEdit(demoSetup()), { minLength: 4, maxLength: 16 }),
      fc.nat(15),
      async (edits, keptAt) => {
        await source().query('TRUNCATE set_ups, kept_parts CASCADE');
        const store = newStore();
        await store.createFirst('one', demoSetup());
        const states: Setup[] = [demoSetup()];
        for (const edit of edits) {
          const applied = applyEdit(states.at(-1) ?? demoSetup(), edit);
          if (!applied.ok) continue;
          await store.append('one', [entry(edit)]);
          states.push(applied.value.setup);
          if (states.length === keptAt) {
            await store.keepNow('one', { kind: 'own', name: 'Kept', note: null, author, day: null });
          }
        }
        for (const [revision, setup] of states.entries()) {
          expect([revision, await setupAt(store, revision)]).toEqual([revision, setup]);
        }
      },
    ),
    60,
  );
});

test('in a log from before states were kept, going far keeps some on the way', async () => {
  await source().query('TRUNCATE set_ups, kept_parts CASCADE');
  const store = newStore();
  await store.createFirst('one', demoSetup());
  const edits = Array.from({ length: 2 * MARK_EVERY + 10 }, (_, i) =>
    entry({ kind: 'set', at: 'devices/bench-dial', fields: { name: `Dial ${i + 1}` } }),
  );
  await store.append('one', edits);
  await store.settled();
  await forgetKept();
  await store.markAll();
  const { rows } = await pool().query('SELECT revision FROM snapshots ORDER BY revision');
  expect(rows).toEqual([{ revision: 0 }, { revision: MARK_EVERY }, { revision: 2 * MARK_EVERY }]);
  await store.markAll();
  expect(await setupAt(store, 0)).toEqual(demoSetup());
});

test('an edit that cannot be read is gone around where a kept state lies beyond it, else it is said', async () => {
  await source().query('TRUNCATE set_ups, kept_parts CASCADE');
  const store = newStore();
  await store.createFirst('one', demoSetup());
  const name = (to: string) => entry({ kind: 'set', at: 'devices/bench-dial', fields: { name: to } });
  await store.append('one', [name('One'), name('Two')]);
  await store.keepNow('one', { kind: 'own', name: 'Two', note: null, author, day: null });
  await store.append('one', [name('Three'), name('Four')]);
  await source().query('UPDATE edits SET format = 99 WHERE revision = 3');
  const dial = async (revision: number) => {
    const setup = await setupAt(newStore(), revision);
    return setup === 'unknown' ? setup : setup?.devices.find(({ id }) => id === 'bench-dial')?.name;
  };
  expect([await dial(1), await dial(2), await dial(3)]).toEqual(['One', 'Two', 'Three']);
  await forgetKept();
  expect([await dial(1), await dial(2), await dial(3)]).toEqual(['unknown', 'unknown', 'Three']);
});
