import { randomUUID } from 'node:crypto';
import {
  demoSetup,
  problemSchema,
  setUpListSchema,
  stateSchema,
  storedSchema,
} from '@nimble-lever/core/setup';
import { MOST_SNAPSHOTS, snapshotHeadSchema } from '@nimble-lever/core/vault';
import pg from 'pg';
import { z } from 'zod';
import { DEMO_ID, type RunningServer } from './server.ts';
import { newDatabase } from './testing/database.ts';
import { startTestServer } from './testing/testServer.ts';

let server: RunningServer;
let drop: () => Promise<void>;
let url = '';
beforeAll(async () => {
  const database = await newDatabase();
  url = database.url;
  drop = database.drop;
  server = await startTestServer(database.url);
});
afterAll(async () => {
  await server?.close();
  await drop?.();
});

const author = { id: randomUUID(), name: 'Bench' };
const SNAPSHOTS = `/api/set-ups/${DEMO_ID}/snapshots`;

async function ask(method: string, where: string, body?: unknown) {
  const response = await fetch(server.address + where, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body !== undefined && { body: JSON.stringify(body) }),
  });
  return { status: response.status, json: (await response.json()) as unknown };
}
const made = (json: unknown) => z.object({ id: z.string() }).parse(json).id;
const list = async () => setUpListSchema.parse((await ask('GET', '/api/set-ups')).json);
const snapshots = async () => z.array(snapshotHeadSchema).parse((await ask('GET', SNAPSHOTS)).json);
const rename = (name: string) => ({
  after: 0,
  entries: [
    {
      id: randomUUID(),
      role: 'do',
      author,
      base: 0,
      edit: { kind: 'set', at: 'devices/bench-dial', fields: { name } },
    },
  ],
});

test('a set-up as it was, by a number of an edit or by a snapshot of it', async () => {
  await ask('POST', `/api/set-ups/${DEMO_ID}/edits`, rename('One'));
  const kept = await ask('POST', SNAPSHOTS, { name: 'One', note: null, author });
  await ask('POST', `/api/set-ups/${DEMO_ID}/edits`, rename('Two'));
  const [snapshot] = await snapshots();
  expect(snapshot).toMatchObject({ id: made(kept.json), name: 'One', revision: 1, author });
  const state = async (revision: number) =>
    stateSchema.parse((await ask('GET', `/api/set-ups/${DEMO_ID}/states/${revision}`)).json);
  const dial = async (revision: number) =>
    (await state(revision)).setup.devices.find(({ id }) => id === 'bench-dial')?.name;
  expect([await dial(0), await dial(1), await dial(2)]).toEqual(['Bench dial', 'One', 'Two']);
  expect((await state(0)).at).toBeNull();
  expect((await state(0)).setup).toEqual(demoSetup());
});

test('going back is one edit, which is undone like any other; asked for twice it is done once', async () => {
  const dial = async () =>
    storedSchema
      .parse((await ask('GET', `/api/set-ups/${DEMO_ID}`)).json)
      .setup.devices.find(({ id }) => id === 'bench-dial')?.name;
  const id = randomUUID();
  const back = { revision: 1, id, author };
  expect(await dial()).toBe('Two');
  expect((await ask('POST', `/api/set-ups/${DEMO_ID}/back`, back)).json).toEqual({ kind: 'done' });
  expect(await dial()).toBe('One');
  expect((await ask('POST', `/api/set-ups/${DEMO_ID}/back`, back)).json).toEqual({ kind: 'there' });
  const undo = { id: randomUUID(), role: 'undo', of: id, author, base: 0 };
  await ask('POST', `/api/set-ups/${DEMO_ID}/edits`, { after: 0, entries: [undo] });
  expect(await dial()).toBe('Two');
});

test('a snapshot gets another name and note, and goes; one that is gone is told', async () => {
  const id = made((await ask('POST', SNAPSHOTS, { name: 'Brief', note: null, author })).json);
  const words = { name: 'Before the shot', note: 'the good one' };
  expect((await ask('PUT', `${SNAPSHOTS}/${id}`, words)).status).toBe(200);
  expect((await snapshots()).find((each) => each.id === id)).toMatchObject(words);
  expect((await ask('DELETE', `${SNAPSHOTS}/${id}`)).status).toBe(200);
  for (const method of ['PUT', 'DELETE']) {
    const again = await ask(method, `${SNAPSHOTS}/${id}`, words);
    expect([again.status, problemSchema.parse(again.json).title]).toEqual([404, 'No such snapshot']);
  }
});

test('set-ups are made empty, ready-made, from the demo and as another was; each is its own', async () => {
  const begins = [
    { from: 'empty' },
    { from: 'ready-made', models: ['six-pad', 'three-pedals'] },
    { from: 'demo' },
    { from: 'copy', of: DEMO_ID, revision: 0 },
    { from: 'copy', of: DEMO_ID, revision: null },
  ];
  const ids: string[] = [];
  for (const begin of begins)
    ids.push(made((await ask('POST', '/api/set-ups', { name: 'New one', begin })).json));
  expect(ids).toEqual(['new-one', 'new-one-2', 'new-one-3', 'new-one-4', 'new-one-5']);
  const read = async (id: string) => storedSchema.parse((await ask('GET', `/api/set-ups/${id}`)).json);
  const devices = await Promise.all(ids.map(async (id) => (await read(id)).setup.devices.length));
  const all = demoSetup().devices.length;
  expect(devices).toEqual([0, 2, all, all, all]);
  const names = await Promise.all(
    ids.slice(2).map(async (id) => (await read(id)).setup.devices.map(({ name }) => name)[0]),
  );
  expect(names).toEqual(['Bench dial', 'Bench dial', 'Two']);
  await ask('POST', `/api/set-ups/${ids[2]}/edits`, rename('Only there'));
  expect((await read(DEMO_ID)).setup.devices[0]?.name).toBe('Two');
  expect((await list()).map(({ id }) => id)).toEqual([DEMO_ID, ...ids]);
});

test('what is opened first is not in the bin, the last one never gets there, and out of it all is as before', async () => {
  const others = (await list()).filter(({ id }) => id !== DEMO_ID);
  for (const { id } of others) expect((await ask('DELETE', `/api/set-ups/${id}`)).status).toBe(200);
  const last = await ask('DELETE', `/api/set-ups/${DEMO_ID}`);
  expect([last.status, problemSchema.parse(last.json).title]).toEqual([409, 'The last one']);
  const [other] = others;
  await ask('POST', `/api/set-ups/${other?.id}/out-of-bin`);
  expect((await ask('DELETE', `/api/set-ups/${DEMO_ID}`)).status).toBe(200);
  expect(storedSchema.parse((await ask('GET', '/api/set-up')).json).id).toBe(other?.id);
  await ask('POST', `/api/set-ups/${DEMO_ID}/out-of-bin`);
  expect((await list()).find(({ id }) => id === DEMO_ID)?.binnedAt).toBeNull();
});

test.each([
  ['GET', `/api/set-ups/${DEMO_ID}/states/99`, undefined, 404],
  ['GET', '/api/set-ups/gone/states/0', undefined, 404],
  ['GET', `/api/set-ups/${DEMO_ID}/states/x`, undefined, 400],
  ['POST', SNAPSHOTS, { name: '', note: null, author }, 400],
  ['POST', SNAPSHOTS, { name: 'x'.repeat(500), note: null, author }, 400],
  ['POST', SNAPSHOTS, { name: 'One', note: null }, 400],
  ['POST', '/api/set-ups/gone/snapshots', { name: 'One', note: null, author }, 404],
  ['PUT', `${SNAPSHOTS}/x`, { name: 'One', note: null }, 400],
  ['POST', '/api/set-ups', { name: 'One', begin: { from: 'copy', of: 'gone', revision: null } }, 404],
  ['POST', '/api/set-ups', { name: 'One', begin: { from: 'file', path: '/etc/passwd' } }, 400],
  ['POST', `/api/set-ups/${DEMO_ID}/back`, { revision: 99, id: author.id, author }, 404],
  ['POST', `/api/set-ups/${DEMO_ID}/back`, { revision: 1, id: 'x', author }, 400],
  ['POST', '/api/set-ups/gone/back', { revision: 0, id: author.id, author }, 404],
  ['DELETE', '/api/set-ups/gone', undefined, 404],
  ['POST', '/api/set-ups/gone/out-of-bin', undefined, 404],
])('%s %s %j is refused in words, and changes nothing', async (method, where, body, status) => {
  const before = [await list(), await snapshots()];
  const { status: got, json } = await ask(method, where, body);
  expect(got).toBe(status);
  expect(problemSchema.parse(json).detail).toMatch(/^[A-Z““a-z].*\.$/);
  expect([await list(), await snapshots()]).toEqual(before);
});

test('a person makes as many snapshots as there may be, and no more', async () => {
  await ask('POST', SNAPSHOTS, { name: 'Copied', note: null, author });
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query(
    `INSERT INTO snapshots (set_up, id, revision, kind, name, note, author_id, author_name, at, day, version, parts, pictures)
      SELECT set_up, gen_random_uuid(), revision, kind, name, 'many', author_id, author_name, at, day, version, parts, pictures
      FROM snapshots, generate_series(1, $1) WHERE name = 'Copied'`,
    [MOST_SNAPSHOTS],
  );
  const { status, json } = await ask('POST', SNAPSHOTS, { name: 'One more', note: null, author });
  expect([status, json]).toEqual([
    409,
    expect.objectContaining({ detail: expect.stringContaining('as many as there may be') }),
  ]);
  await client.query(`DELETE FROM snapshots WHERE name = 'Copied'`);
  await client.end();
});

/** Bodies that take long to read, or all the memory, where they are read before they are looked at. */
const LONG = [
  ['lists within lists', () => '['.repeat(30_000_000), 'lists within lists'],
  ['empty entries', () => `{"after":0,"entries":[${'{},'.repeat(9_000_000)}{}]}`, 'million parts'],
  ['a text that does not end', () => `{"after":0,"entries":["${'a'.repeat(1_000_000)}`, 'not readable JSON'],
  [
    'parts that are none',
    () =>
      JSON.stringify({
        after: 0,
        entries: [
          entryOf({ kind: 'together', edits: Array.from({ length: 300_000 }, () => ({ kind: 'x' })) }),
        ],
      }),
    '',
  ],
] as const;
const entryOf = (edit: unknown) => ({ id: randomUUID(), role: 'do', author, base: 0, edit });

test.each(LONG)('%s: refused in words, and who reads meanwhile does not wait', async (_name, make, words) => {
  const sent = fetch(`${server.address}/api/set-ups/${DEMO_ID}/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: make(),
  });
  let isOver = false;
  const over = sent.finally(() => {
    isOver = true;
  });
  let reads = 0;
  while (!isOver && reads < 5) {
    expect((await fetch(`${server.address}/api/set-ups`)).status).toBe(200);
    reads += 1;
  }
  const response = await over;
  const text = await response.text();
  expect(response.status < 500).toBe(true);
  expect(text).toContain(words);
  expect(text).not.toContain('at Object.');
});
