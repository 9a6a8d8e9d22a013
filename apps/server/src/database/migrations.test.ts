import { randomUUID } from 'node:crypto';
import { checkSetup, demoSetup } from '@nimble-lever/core/setup';
import pg from 'pg';
import { pino } from 'pino';
import { DataSource } from 'typeorm';
import { poolOf } from '../store/database.ts';
import { SetupStore } from '../store/setupStore.ts';
import { newDatabase } from '../testing/database.ts';
import { MIGRATIONS, openDatabase } from './dataSource.ts';
import { NewerDatabase } from './newerDatabase.ts';

/** Runs work on a new database, whose tables are as the first `count` migrations left them. */
async function withDatabase(count: number, work: (url: string, client: pg.Client) => Promise<void>) {
  const database = await newDatabase();
  const old = new DataSource({
    type: 'postgres',
    url: database.url,
    migrations: MIGRATIONS.slice(0, count),
    synchronize: false,
  });
  await old.initialize();
  await old.runMigrations({ transaction: 'each' });
  await old.destroy();
  const client = new pg.Client({ connectionString: database.url });
  await client.connect();
  try {
    await work(database.url, client);
  } finally {
    await client.end();
    await database.drop();
  }
}

const rule = { negative: false, executable: { match: 'exact', text: 'larkframe' }, class: null, title: null };
const slot = { profile: 'everywhere', layer: 'base', device: 'dial', control: 'dial', trigger: 'press' };
const does = (shortcut: string) => ({
  behaviour: { kind: 'action', action: { kind: 'shortcut', shortcut }, style: 'follow' },
  face: null,
  note: null,
});
const { controls, body } = demoSetup().devices.find(({ id }) => id === 'bench-dial') ?? {
  controls: [],
  body: [],
};

/** What the first version had, with data in every table. */
async function fillFirst(client: pg.Client): Promise<void> {
  const insert = (table: string, row: Record<string, unknown>) => {
    const names = Object.keys(row);
    const values = Object.values(row).map((value) =>
      typeof value === 'object' && value !== null ? JSON.stringify(value) : value,
    );
    return client.query(
      `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map((_, i) => `$${i + 1}`).join(', ')})`,
      values,
    );
  };
  const set_up = 'old';
  await insert('set_ups', { id: set_up, name: 'Old', revision: 2 });
  await insert('devices', {
    set_up,
    id: 'dial',
    position: 0,
    name: 'Dial',
    kind: 'dial',
    width: 50,
    height: 50,
    body,
    controls,
  });
  await insert('programs', { set_up, id: 'larkframe', position: 0, name: 'Larkframe', rules: [rule] });
  await insert('commands', {
    set_up,
    id: 'undo',
    program: 'larkframe',
    position: 0,
    name: 'Undo',
    shortcut: 'Ctrl+Z',
    family: 'edit',
    intent: 'undo',
  });
  await insert('layers', { set_up, id: 'base', position: 0, name: 'Base' });
  await insert('profiles', { set_up, id: 'everywhere', program: null, based_on: null });
  await insert('profiles', { set_up, id: 'larkframe', program: 'larkframe', based_on: null });
  await insert('bindings', { set_up, ...slot, ...does('B') });
  const at = '2026-01-01T00:00:00Z';
  const edits = [
    [
      { kind: 'set-binding', slot, binding: does('A') },
      { kind: 'set-binding', slot, binding: null },
    ],
    [
      { kind: 'set-binding', slot, binding: does('B') },
      { kind: 'set-binding', slot, binding: does('A') },
    ],
  ];
  for (const [i, [edit, inverse]] of edits.entries()) {
    await insert('edits', {
      set_up,
      revision: i + 1,
      id: randomUUID(),
      edit,
      inverse,
      role: 'do',
      of: null,
      at,
    });
  }
}

test('a database of the first version, with data, comes up right, and its edits can be undone', async () => {
  await withDatabase(1, async (url, client) => {
    await fillFirst(client);
    const source = await openDatabase(url);
    const store = new SetupStore(poolOf(source), () => undefined, pino({ level: 'silent' }));
    const stored = await store.read('old');
    expect(stored).toMatchObject({ revision: 2, setup: { name: 'Old', unreadable: [] } });
    expect(stored && checkSetup(stored.setup)).toEqual([]);
    expect(stored?.setup.programs[0]?.rules).toEqual([{ id: 'rule-1', ...rule }]);
    expect(stored?.setup.devices[0]?.settings.holdMs).toBe(250);

    const author = { id: randomUUID(), name: 'Bench' };
    const history = await store.entriesBefore('old', 3, author.id);
    expect(history?.entries.map(({ edit }) => edit?.kind)).toEqual(['set', 'set']);
    for (const { id } of history?.entries.toReversed() ?? []) {
      const undone = await store.append('old', [{ id: randomUUID(), role: 'undo', of: id, author, base: 2 }]);
      expect(undone?.outcomes).toMatchObject([{ kind: 'saved' }]);
    }
    expect((await store.read('old'))?.setup.profiles.everywhere?.bindings).toEqual({});
    await source.destroy();
  });
});

test.each([2, 3, 4])('a database after %i migrations comes up too', async (count) => {
  await withDatabase(count, async (url, client) => {
    await fillFirst(client);
    if (count > 2) {
      const macro = {
        id: 'm',
        name: 'M',
        run: 'times',
        times: 1,
        again: 'ignore',
        goesOn: false,
        steps: [{ kind: 'wait', ms: 5 }],
      };
      await client.query(`INSERT INTO macros VALUES ('old', 'm', 0, 'M', $1)`, [JSON.stringify(macro)]);
    }
    const source = await openDatabase(url);
    const store = new SetupStore(poolOf(source), () => undefined, pino({ level: 'silent' }));
    const setup = (await store.read('old'))?.setup;
    expect(setup?.unreadable).toEqual([]);
    if (count > 2) expect(setup?.macros[0]?.steps).toEqual([{ id: 'step-1', kind: 'wait', ms: 5 }]);
    await source.destroy();
  });
});

test('migrations lead back as well', async () => {
  await withDatabase(MIGRATIONS.length, async (url) => {
    const source = new DataSource({ type: 'postgres', url, migrations: MIGRATIONS, synchronize: false });
    await source.initialize();
    for (const _each of MIGRATIONS) await source.undoLastMigration({ transaction: 'each' });
    await source.runMigrations({ transaction: 'each' });
    await source.destroy();
  });
});

test('a newer database is left alone', async () => {
  await withDatabase(MIGRATIONS.length, async (url, client) => {
    await client.query(
      `INSERT INTO migrations (timestamp, name) VALUES (1999999999999, 'Future1999999999999')`,
    );
    await expect(openDatabase(url)).rejects.toThrow(NewerDatabase);
    await expect(openDatabase(url)).rejects.toThrow(/newer Nimble Lever \(Future1999999999999\)/);
  });
});
