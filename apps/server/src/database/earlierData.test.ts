import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { checkSetup, type Setup } from '@nimble-lever/core/setup';
import pg from 'pg';
import { pino } from 'pino';
import { poolOf } from '../store/database.ts';
import { SetupStore } from '../store/setupStore.ts';
import { newDatabase } from '../testing/database.ts';
import { MIGRATIONS, openDatabase } from './dataSource.ts';

/**
 * Databases that versions with so many migrations made, each by its own server: the demo, five edits (of which the fourth
 * is undone by the fifth), and what else there was then. `scripts/earlierData.mjs` keeps the next one.
 */
const FOLDER = path.join(__dirname, 'earlier');
const FILES = readdirSync(FOLDER).map((file) => ({ file, count: Number.parseInt(file, 10) }));

/** No version ended with it: the next came with it. */
const NEVER_LAST = [MIGRATIONS.findIndex((migration) => migration.name.startsWith('Snapshots')) + 1];

test('there is data of every version before this one', () => {
  const counts = MIGRATIONS.slice(1)
    .map((_, i) => i + 1)
    .filter((count) => !NEVER_LAST.includes(count));
  expect(FILES.map(({ count }) => count)).toEqual(expect.arrayContaining(counts));
});

/** What is bound, wherever on a device it is now: `profile device control trigger shortcut`. */
const DOES = `SELECT concat_ws(' ', profile, device, control, trigger, behaviour #>> '{action,kind}') AS does
  FROM bindings WHERE set_up = 'saltmarsh' ORDER BY does`;

const boundIn = (setup: Setup): string[] =>
  Object.entries(setup.profiles)
    .flatMap(([profile, { bindings }]) =>
      Object.entries(bindings).map(([slot, { behaviour }]) => {
        const [, ...place] = slot.split('/');
        const action = behaviour?.kind === 'action' ? [behaviour.action.kind] : [];
        return [profile, ...place, ...action].join(' ');
      }),
    )
    .sort();

const notesIn = (setup: Setup) =>
  Object.values(setup.profiles).flatMap(({ bindings }) =>
    Object.values(bindings).flatMap(({ note }) => (note === null ? [] : [note])),
  );

/** What differs in what the edits were about. */
const seen = (setup: Setup) => ({
  program: setup.programs[1]?.name,
  seen: notesIn(setup).filter((note) => note === 'Seen by hand').length,
});

test.each(FILES)('$file comes up whole, is looked back into and undone', async ({ file }) => {
  const database = await newDatabase();
  const client = new pg.Client({ connectionString: database.url });
  await client.connect();
  await client.query(gunzipSync(readFileSync(path.join(FOLDER, file))).toString('utf8'));
  await client.query('SET search_path TO public');
  const before = await client.query<{ does: string }>(DOES);
  await client.end();

  const source = await openDatabase(database.url);
  const store = new SetupStore(poolOf(source), () => undefined, pino({ level: 'silent' }));
  const stored = await store.read('saltmarsh');
  expect(stored).toMatchObject({ revision: 5, setup: { unreadable: [] } });
  if (!stored) throw new Error('The set-up is there.');
  expect(checkSetup(stored.setup)).toEqual([]);
  expect(boundIn(stored.setup)).toEqual(before.rows.map(({ does }) => does).sort());
  expect(seen(stored.setup)).toEqual({ program: 'Brindle two', seen: 1 });

  const at = async (revision: number) => {
    const state = await store.stateAt('saltmarsh', revision);
    if (state === 'unknown' || state === null) throw new Error(`There is no way to edit ${revision}.`);
    return state.setup;
  };
  const first = await at(0);
  expect(seen(first)).toEqual({ program: 'Brindle', seen: 0 });
  expect(boundIn(await at(4))).toHaveLength(before.rows.length - 1);

  const page = await store.entriesBefore('saltmarsh', 6, null);
  const author = page?.entries[0]?.author ?? { id: randomUUID(), name: 'Bench' };
  for (const { id } of page?.entries.slice(0, 3).toReversed() ?? []) {
    const undone = await store.append('saltmarsh', [
      { id: randomUUID(), role: 'undo', of: id, author, base: 5 },
    ]);
    expect(undone?.outcomes).toMatchObject([{ kind: 'saved' }]);
  }
  expect((await store.read('saltmarsh'))?.setup).toEqual(first);
  await source.destroy();
  await database.drop();
});
