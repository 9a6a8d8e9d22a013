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
  await migrated(database.url, count);
  const client = new pg.Client({ connectionString: database.url });
  await client.connect();
  try {
    await work(database.url, client);
  } finally {
    await client.end();
    await database.drop();
  }
}

/** Brings a database to where the first `count` migrations leave it. */
async function migrated(url: string, count: number): Promise<void> {
  const migrations = MIGRATIONS.slice(0, count);
  const old = new DataSource({ type: 'postgres', url, migrations, synchronize: false });
  await old.initialize();
  await old.runMigrations({ transaction: 'each' });
  await old.destroy();
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
    if (count > 2) expect(setup?.macros[0]?.steps).toMatchObject([{ id: 'step-1', kind: 'wait', ms: 5 }]);
    await source.destroy();
  });
});

test('a layer that was shown as a page comes up as a folder, and an edit of it can be undone', async () => {
  await withDatabase(1, async (url, client) => {
    await fillFirst(client);
    // As the last version before pages left it.
    await migrated(url, 7);
    const control = 'dial';
    const key = (layer: string, trigger: string) => ['old', 'everywhere', layer, 'dial', control, trigger];
    const bind = (place: string[], action: object) =>
      client.query(
        `INSERT INTO bindings (set_up, profile, layer, device, control, trigger, behaviour)
          VALUES ($1, $2, $3, $4, $5, $6, $7)`,
        [...place, JSON.stringify({ kind: 'action', action, style: 'tap' })],
      );
    const keys = { kind: 'shortcut', shortcut: 'Q' };
    await client.query(`INSERT INTO layers VALUES ('old', 'near', 1, 'Near')`);
    await bind(key('base', 'hold'), { kind: 'page', page: 'near' });
    await bind(key('near', 'hold'), { kind: 'page', page: null });
    await bind(key('near', 'press'), keys);
    const at = 'profiles/everywhere/bindings/near/dial/dial/press';
    const made = { kind: 'set', at, fields: { behaviour: { kind: 'action', action: keys, style: 'tap' } } };
    const [id, author] = [randomUUID(), { id: randomUUID(), name: 'Bench' }];
    await client.query(
      `INSERT INTO edits (set_up, revision, id, edit, inverse, role, at, format, author_id, author_name, base)
        VALUES ('old', 3, $1, $2, $3, 'do', now(), 2, $4, 'Bench', 2)`,
      [id, JSON.stringify(made), JSON.stringify({ kind: 'remove', at }), author.id],
    );
    await client.query('UPDATE set_ups SET revision = 3');

    const source = await openDatabase(url);
    const store = new SetupStore(poolOf(source), () => undefined, pino({ level: 'silent' }));
    const setup = (await store.read('old'))?.setup;
    expect(setup?.unreadable).toEqual([]);
    expect(setup && checkSetup(setup)).toEqual([]);
    expect(setup?.layers.map((layer) => layer.id)).toEqual(['base']);
    const [page] = setup?.pages ?? [];
    expect(page).toMatchObject({ device: 'dial', kind: 'folder', name: 'Near', showsThrough: true });
    const { bindings = {} } = setup?.profiles.everywhere ?? {};
    const actionAt = (layer: string, trigger: string) => {
      const behaviour = bindings[`${layer}/dial/dial/${trigger}`]?.behaviour;
      return behaviour?.kind === 'action' ? behaviour.action : null;
    };
    expect(actionAt('base', 'hold')).toEqual({ kind: 'page', change: 'open', page: page?.id, device: null });
    expect(actionAt(page?.id ?? '', 'hold')).toMatchObject({ change: 'back' });
    expect(actionAt(page?.id ?? '', 'press')).toEqual(keys);
    const undone = await store.append('old', [{ id: randomUUID(), role: 'undo', of: id, author, base: 3 }]);
    expect(undone?.outcomes).toMatchObject([{ kind: 'saved' }]);
    const left = (await store.read('old'))?.setup.profiles.everywhere?.bindings ?? {};
    expect(Object.keys(left)).not.toContain(`${page?.id}/dial/dial/press`);
    expect(Object.keys(left)).toContain(`${page?.id}/dial/dial/hold`);
    await source.destroy();
  });
});

/** How many migrations there were before states of set-ups were kept. */
const BEFORE_STATES = MIGRATIONS.findIndex((migration) => new migration().name.startsWith('Snapshots'));

test('a log from before states were kept is looked back into; its set-ups are all out of the bin', async () => {
  await withDatabase(MIGRATIONS.length, async (url) => {
    const author = { id: randomUUID(), name: 'Bench' };
    const before = await openDatabase(url);
    const written = new SetupStore(poolOf(before), () => undefined, pino({ level: 'silent' }));
    await written.createFirst('old', demoSetup());
    const named = (i: number) => ({
      id: randomUUID(),
      role: 'do' as const,
      edit: { kind: 'set' as const, at: 'devices/bench-dial', fields: { name: `Dial ${i}` } },
      author,
      base: 0,
    });
    await written.append(
      'old',
      Array.from({ length: 450 }, (_, i) => named(i + 1)),
    );
    await before.destroy();
    // As the version before left it: the tables of these have never been.
    const down = new DataSource({ type: 'postgres', url, migrations: MIGRATIONS, synchronize: false });
    await down.initialize();
    for (let left = MIGRATIONS.length; left > BEFORE_STATES; left--) {
      await down.undoLastMigration({ transaction: 'each' });
    }
    await down.destroy();

    const source = await openDatabase(url);
    const store = new SetupStore(poolOf(source), () => undefined, pino({ level: 'silent' }));
    expect(await store.list()).toMatchObject([{ id: 'old', revision: 450, binnedAt: null }]);
    await store.markAll();
    for (const revision of [0, 1, 199, 301, 450]) {
      const state = await store.stateAt('old', revision);
      const setup = state === 'unknown' ? null : state?.setup;
      const dial = setup?.devices.find(({ id }) => id === 'bench-dial')?.name;
      expect([revision, dial]).toEqual([revision, revision === 0 ? 'Bench dial' : `Dial ${revision}`]);
    }
    expect((await store.storage()).backedUpAt).toBeNull();
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
