import { randomUUID } from 'node:crypto';
import { triggersOf } from '@nimble-lever/core/devices';
import {
  applyEdit,
  BIN_DAYS,
  demoSetup,
  type Edit,
  type Entry,
  itemAt,
  type LogEntry,
  type Setup,
  together,
} from '@nimble-lever/core/setup';
import { arbitraryEdit, arbitrarySetup, fuzzAsync } from '@nimble-lever/core/testing';
import fc from 'fast-check';
import { useStoreDatabase } from '../testing/storeDatabase.ts';
import type { SetupStore } from './setupStore.ts';

const { source, newStore } = useStoreDatabase();
beforeEach(() => source().query('TRUNCATE set_ups CASCADE'));

const author = { id: '10000000-0000-4000-8000-000000000001', name: 'Bench' };
const other = { id: '10000000-0000-4000-8000-000000000002', name: 'Loft' };
const entry = (edit: Edit, by = author): Entry => ({
  id: randomUUID(),
  role: 'do',
  edit,
  author: by,
  base: 0,
});
const turn = (role: 'undo' | 'redo', of: string): Entry => ({ id: randomUUID(), role, of, author, base: 0 });
const rename = (name: string, program = 'brindle'): Entry =>
  entry({ kind: 'set', at: itemAt.program(program), fields: { name } });

async function storeWith(setup: Setup): Promise<SetupStore> {
  const store = newStore();
  expect(await store.createFirst('one', setup)).toBe(true);
  return store;
}
/** Saves entries; gives what became of each. */
const append = async (store: SetupStore, entries: readonly Entry[]) =>
  (await store.append('one', entries))?.outcomes;
const log = async (): Promise<readonly LogEntry[]> =>
  (await newStore().entriesAfter('one', 0))?.entries ?? [];

test('a set-up that is written and read anew is the same', async () => {
  await fuzzAsync(
    fc.asyncProperty(arbitrarySetup, async (setup) => {
      await source().query('TRUNCATE set_ups CASCADE');
      await storeWith(setup);
      expect(await newStore().read('one')).toEqual({ id: 'one', revision: 0, setup });
    }),
    100,
  );
});

test('what edits make is what the tables hold, read anew, and undoing all of it leads back', async () => {
  await fuzzAsync(
    fc.asyncProperty(fc.array(arbitraryEdit(demoSetup()), { maxLength: 12 }), async (edits) => {
      await source().query('TRUNCATE set_ups CASCADE');
      const store = await storeWith(demoSetup());
      let expected = demoSetup();
      const made: Entry[] = [];
      for (const edit of edits) {
        const applied = applyEdit(expected, edit);
        const sent = entry(edit);
        const [outcome] = (await append(store, [sent])) ?? [];
        expect(outcome?.kind).toBe(applied.ok ? 'saved' : 'refused');
        if (!applied.ok) continue;
        expected = applied.value.setup;
        made.push(sent);
      }
      expect(await newStore().read('one')).toEqual({ id: 'one', revision: made.length, setup: expected });
      expect((await store.read('one'))?.setup).toEqual(expected);
      const undos = made.reverse().map(({ id }) => turn('undo', id));
      if (undos.length > 0) await append(store, undos);
      expect((await newStore().read('one'))?.setup).toEqual(demoSetup());
    }),
    100,
  );
});

test('edits made on an old revision are put onto the newest one: both fields stand', async () => {
  const store = await storeWith(demoSetup());
  const device = itemAt.device('bench-dial');
  await append(store, [entry({ kind: 'set', at: device, fields: { 'settings.doubleMs': 500 } })]);
  await append(store, [entry({ kind: 'set', at: device, fields: { 'settings.holdMs': 400 } }, other)]);
  const dial = (await newStore().read('one'))?.setup.devices.find(({ id }) => id === 'bench-dial');
  expect(dial?.settings).toMatchObject({ doubleMs: 500, holdMs: 400 });
  expect((await log()).map((each) => each.author.name)).toEqual(['Bench', 'Loft']);
});

test('an entry sent again, because the answer was lost, is kept once; twice in one request too', async () => {
  const store = await storeWith(demoSetup());
  const [first, second] = [rename('First'), rename('Second')];
  await append(store, [first]);
  const again = await append(store, [first, second, second]);
  expect(again).toMatchObject([
    { kind: 'saved', revision: 1 },
    { kind: 'saved', revision: 2 },
    { kind: 'saved', revision: 2 },
  ]);
  expect((await newStore().read('one'))?.setup.programs[1]?.name).toBe('Second');
  expect(await log()).toHaveLength(2);
  // Applied a second time it would be refused; it was saved all the same.
  const remove = entry({ kind: 'remove', at: itemAt.layer('near') });
  await append(store, [
    entry({ kind: 'add', at: itemAt.layer('near'), item: { id: 'near', name: 'Near' }, after: 'far' }),
  ]);
  const [removed] = (await append(store, [remove])) ?? [];
  expect(await append(store, [remove])).toEqual([removed]);
});

test('what is refused keeps none of the others', async () => {
  const store = await storeWith(demoSetup());
  const bad = entry({ kind: 'remove', at: itemAt.program('gone') });
  const outcomes = await append(store, [rename('First'), bad, rename('Tal', 'tallow')]);
  expect(outcomes).toMatchObject([
    { kind: 'saved' },
    { kind: 'refused', id: bad.id, refusal: { code: 'item-gone' } },
    { kind: 'saved', revision: 2 },
  ]);
});

test('an undo is saved without its edit, once, in the batch of its edit or later, and can be done again', async () => {
  const store = await storeWith(demoSetup());
  const made = rename('First');
  await append(store, [made, turn('undo', made.id)]);
  expect((await store.read('one'))?.setup).toEqual(demoSetup());
  expect(await append(store, [turn('undo', made.id)])).toMatchObject([
    { refusal: { code: 'turned-already' } },
  ]);
  await append(newStore(), [turn('redo', made.id)]);
  expect((await store.read('one'))?.setup.programs[1]?.name).toBe('First');
  expect(await append(store, [turn('undo', randomUUID())])).toMatchObject([
    { refusal: { code: 'entry-unknown' } },
  ]);
});

test('the undo of a removal brings back a program with five thousand bindings', async () => {
  const setup = demoSetup();
  const dial = setup.devices[0];
  const tallow = setup.profiles.tallow;
  if (!dial || !tallow) throw new Error('not in the demo');
  const key = Array.from({ length: 400 }, (_, i) => ({
    ...(dial.controls[0] as (typeof dial.controls)[0]),
    id: `c${i}`,
  }));
  dial.controls = [...dial.controls, ...key].slice(0, 400);
  const behaviour = { kind: 'native' } as const;
  for (const control of dial.controls) {
    for (const trigger of triggersOf(control))
      tallow.bindings[`base/${dial.id}/${control.id}/${trigger}`] ??= {
        behaviour,
        face: null,
        note: 'x'.repeat(400),
      };
  }
  const opener = Object.entries(setup.profiles.everywhere?.bindings ?? {}).filter(([, { behaviour: does }]) =>
    JSON.stringify(does).includes('"tallow"'),
  );
  for (const [slot] of opener) delete setup.profiles.everywhere?.bindings[slot];
  const store = await storeWith(setup);
  const remove = entry({ kind: 'remove', at: itemAt.program('tallow') });
  expect(await append(store, [remove])).toMatchObject([{ kind: 'saved' }]);
  expect(await append(store, [turn('undo', remove.id)])).toMatchObject([{ kind: 'saved' }]);
  expect((await newStore().read('one'))?.setup).toEqual(setup);
});

test('copies of the server that write at once keep one order, lose nothing, and each tells of all of it', async () => {
  await storeWith(demoSetup());
  const told: string[][] = [[], [], []];
  const stores = told.map(newStore);
  const all = Array.from({ length: 60 }, (_, i) =>
    append(stores[i % 3] as SetupStore, [rename(`Name ${i}`)]),
  );
  expect((await Promise.all(all)).every((outcomes) => outcomes?.[0]?.kind === 'saved')).toBe(true);
  const entries = await log();
  expect(entries.map(({ revision }) => revision)).toEqual(Array.from({ length: 60 }, (_, i) => i + 1));
  for (const [i, store] of stores.entries()) {
    expect((await store.read('one'))?.revision).toBe(60);
    const steps = told[i]?.map((text) => /(\d+)-(\d+)/.exec(text)?.slice(1).map(Number)) ?? [];
    // A step of nothing says that what led there is not at hand; who is behind asks then.
    for (const [n, [from = 0, to = 0] = []] of steps.entries()) {
      if (n > 0 && from !== to) expect(from).toBe(steps[n - 1]?.[1]);
    }
    expect(steps.at(-1)?.[1]).toBe(60);
  }
});

test('only the first set-up is made by itself', async () => {
  const store = await storeWith(demoSetup());
  expect(await store.createFirst('two', demoSetup())).toBe(false);
  expect(await store.list()).toEqual([
    { id: 'one', name: 'Saltmarsh Paper Theatre', revision: 0, binnedAt: null },
  ]);
  expect(await store.read('two')).toBeNull();
  expect(await store.append('two', [rename('x')])).toBeNull();
});

test('an entry that the database refuses fails by itself; those beside it are saved', async () => {
  const store = await storeWith(demoSetup());
  await source().query(`ALTER TABLE programs ADD CONSTRAINT test_only CHECK (name <> 'Poison')`);
  try {
    const outcomes = await Promise.all([
      append(store, [rename('First', 'tallow')]),
      append(store, [rename('Poison')]),
      append(store, [rename('Last', 'hushbox')]),
    ]);
    expect(outcomes.map((each) => each?.[0]?.kind)).toEqual(['saved', 'failed', 'saved']);
  } finally {
    await source().query('ALTER TABLE programs DROP CONSTRAINT test_only');
  }
  expect((await newStore().read('one'))?.setup).toEqual((await store.read('one'))?.setup);
});

test('parts that cannot be read are set aside with what hangs on them; the rest opens, and they can be removed', async () => {
  const setup = demoSetup();
  await storeWith(setup);
  let deep: object = { kind: 'wait', ms: 1, id: 'x' };
  for (let i = 0; i < 900; i++) deep = { kind: 'repeat', times: 1, steps: [deep], id: `s${i}` };
  await source().query(
    `UPDATE macros SET body = jsonb_set(body, '{steps}', $1::jsonb) WHERE id = 'hold-a-frame'`,
    [JSON.stringify([deep])],
  );
  await source().query(`UPDATE devices SET name = $1 WHERE id = 'shuttle'`, ['\u200b']);
  await source().query(
    `UPDATE bindings SET note = '' WHERE device = 'bench-dial' AND layer = 'base' AND profile = 'larkframe' AND trigger = 'press'`,
  );
  const store = newStore();
  const read = (await store.read('one'))?.setup;
  const parts = read?.unreadable.map(({ part, name }) => `${part} ${name}`) ?? [];
  expect(parts).toContain('macro Hold a frame');
  expect(parts.filter((each) => each.startsWith('device'))).toHaveLength(1);
  expect(parts).toContain('binding larkframe/base/bench-dial/dial/press');
  expect(read?.devices).toHaveLength(setup.devices.length - 1);
  expect(read?.macros).toEqual(setup.macros.filter(({ id }) => id !== 'hold-a-frame'));
  expect(read?.programs).toEqual(setup.programs);

  // Set anew, the broken binding makes way; all that is left is removed, and brought back by undo.
  const slot = 'profiles/larkframe/bindings/base/bench-dial/dial/press';
  await append(store, [entry({ kind: 'set', at: slot, fields: { behaviour: { kind: 'native' } } })]);
  const now = (await newStore().read('one'))?.setup;
  expect(now?.unreadable).toHaveLength((read?.unreadable.length ?? 0) - 1);
  const macro = now?.unreadable.find(({ part }) => part === 'macro');
  const removeMacro = entry({ kind: 'remove', at: itemAt.unreadable(macro?.id ?? '') });
  const rest =
    now?.unreadable.filter(({ part }) => part === 'device').map(({ id }) => itemAt.unreadable(id)) ?? [];
  const removeRest = entry(together(rest.map((at) => ({ kind: 'remove', at }))));
  const outcomes = await append(store, [removeMacro, removeRest]);
  expect(outcomes).toMatchObject([{ kind: 'saved' }, { kind: 'saved' }]);
  const clean = (await newStore().read('one'))?.setup;
  expect(clean?.unreadable).toEqual([]);
  expect(await source().query(`SELECT 1 FROM macros WHERE id = 'hold-a-frame'`)).toEqual([]);
  await append(store, [turn('undo', removeRest.id), turn('undo', removeMacro.id)]);
  const ids = (of?: Setup) => of?.unreadable.map(({ id }) => id).sort();
  expect(ids((await newStore().read('one'))?.setup)).toEqual(ids(now));
});

test('an entry of the log that cannot be read is kept and stops nobody', async () => {
  const store = await storeWith(demoSetup());
  const [first, second] = [rename('First'), rename('Second')];
  await append(store, [first, second]);
  await source().query(`UPDATE edits SET edit = '{"kind":"unheard-of"}' WHERE revision = 1`);
  expect((await log()).map(({ edit }) => edit !== null)).toEqual([false, true]);
  const late = newStore();
  expect(await late.missed('one', 0)).toEqual({ to: 2, texts: null });
  expect(await append(late, [turn('undo', first.id)])).toMatchObject([
    { refusal: { code: 'entry-unknown' } },
  ]);
  expect(await append(late, [turn('undo', second.id)])).toMatchObject([{ kind: 'saved' }]);
});

test('the log is read by pages, forwards and backwards', async () => {
  const store = await storeWith(demoSetup());
  const all = Array.from({ length: 1203 }, (_, i) => rename(`Name ${i}`));
  for (let i = 0; i < all.length; i += 300) await append(store, all.slice(i, i + 300));
  const pages: number[] = [];
  for (let after = 0; ; ) {
    const page = await newStore().entriesAfter('one', after);
    pages.push(page?.entries.length ?? 0);
    after = page?.entries.at(-1)?.revision ?? after;
    if (!page?.more) break;
  }
  expect(pages).toEqual([500, 500, 203]);
  const back = await store.entriesBefore('one', 703, author.id);
  expect([back?.entries.length, back?.entries[0]?.revision, back?.more]).toEqual([500, 203, true]);
  expect((await store.entriesBefore('one', 703, other.id))?.entries).toEqual([]);
  expect((await newStore().missed('one', 1200))?.texts).toHaveLength(3);
  expect((await newStore().missed('one', 0))?.texts).toBeNull();
  expect((await store.missed('one', 1000))?.texts).toHaveLength(203);
});

test('set-ups get ids from their names; one in the bin stays usable until it goes, and the last stays', async () => {
  const store = await storeWith(demoSetup());
  expect(await store.create({ ...demoSetup(), name: 'Loft & Bench' })).toBe('loft-bench');
  expect(await store.create({ ...demoSetup(), name: 'Loft, Bench' })).toBe('loft-bench-2');
  expect(await store.create({ ...demoSetup(), name: 'שולחן' })).toBe('set-up');
  expect(await store.putInBin('gone', true)).toBeNull();
  expect(await store.putInBin('one', true)).toBe('done');
  expect(await append(store, [rename('Still here')])).toMatchObject([{ kind: 'saved' }]);
  const inDays = (days: number) => new Date(Date.now() + days * 24 * 3600 * 1000);
  expect(await store.emptyBin(inDays(BIN_DAYS - 0.1))).toBe(0);
  await store.putInBin('loft-bench', true);
  expect(await store.putInBin('loft-bench', false)).toBe('done');
  expect(await store.emptyBin(inDays(BIN_DAYS + 0.1))).toBe(1);
  expect(await store.read('one')).toBeNull();
  await store.putInBin('loft-bench', true);
  await store.putInBin('loft-bench-2', true);
  expect(await store.putInBin('set-up', true)).toBe('last');
  const out = (await store.list()).filter(({ binnedAt }) => binnedAt === null).map(({ id }) => id);
  expect(out).toEqual(['set-up']);
});
