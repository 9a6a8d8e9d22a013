import { randomUUID } from 'node:crypto';
import { problemSchema } from '@nimble-lever/core/setup';
import pg from 'pg';
import { WebSocket } from 'ws';
import { DEMO_ID, type RunningServer } from './server.ts';
import { newDatabase } from './testing/database.ts';
import { type TcpProxy, tcpProxy } from './testing/tcpProxy.ts';
import { startTestServer } from './testing/testServer.ts';

const LIMIT_MS = 800;
let direct: string;
let drop: () => Promise<void>;
let proxy: TcpProxy;
let server: RunningServer;
let other: RunningServer;

beforeAll(async () => {
  const database = await newDatabase();
  direct = database.url;
  drop = database.drop;
  proxy = await tcpProxy(database.url);
  const start = (url: string) => startTestServer(url, { QUERY_LIMIT_MS: String(LIMIT_MS) });
  server = await start(proxy.url);
  other = await start(database.url);
});
afterAll(async () => {
  await server?.close();
  await other?.close();
  await proxy?.close();
  await drop?.();
});

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const author = { id: randomUUID(), name: 'Bench' };
const rename = (name: string) => ({
  id: randomUUID(),
  role: 'do',
  author,
  base: 0,
  edit: { kind: 'set', at: 'programs/tallow', fields: { name } },
});
async function save(on: RunningServer, entry: unknown): Promise<{ status: number; detail?: string }> {
  const response = await fetch(`${on.address}/api/set-ups/${DEMO_ID}/edits`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ after: 0, entries: [entry] }),
  });
  const { detail = '' } = problemSchema.partial().parse(await response.json());
  return { status: response.status, detail };
}
const health = async () => {
  const body: unknown = await (await fetch(`${server.address}/api/health`)).json();
  return (body as { database?: string }).database;
};
async function until(holds: () => Promise<boolean>, ms = 20_000): Promise<void> {
  for (const end = Date.now() + ms; !(await holds()); await sleep(50)) {
    if (Date.now() > end) throw new Error('It did not happen.');
  }
}

test('an outage is said, nothing acknowledged is lost, and afterwards all is as it was: connections too', async () => {
  for (let i = 0; i < 20; i++) expect((await save(server, rename(`Before ${i}`))).status).toBe(200);
  await until(async () => proxy.count() <= 3);
  const before = proxy.count();

  await proxy.set('down');
  const waits = rename('After');
  const answer = await save(server, waits);
  expect(answer.status).toBe(503);
  expect(answer.detail).toContain('The database does not answer');
  expect(await health()).toBe('down');
  // Many ask meanwhile; the listener tries again and again.
  for (let i = 0; i < 15; i++) {
    await Promise.all([save(server, rename(`Lost ${i}`)), health()]);
    await sleep(200);
  }
  await proxy.set('up');
  await until(async () => (await health()) === 'up');
  expect((await save(server, waits)).status).toBe(200);
  await until(async () => proxy.count() <= before);
  await sleep(1500);
  expect(proxy.count()).toBeLessThanOrEqual(before);
  expect(proxy.count()).toBeGreaterThan(0);

  const client = new pg.Client({ connectionString: direct });
  await client.connect();
  const { rows } = await client.query('SELECT count(*)::int AS n FROM edits');
  await client.end();
  expect(rows).toEqual([{ n: 21 }]);
});

test('after an outage what other copies of the server save is heard again, also what was saved meanwhile', async () => {
  const names: string[] = [];
  let known = 21;
  let over = false;
  // As a page does: it connects again after what it knows.
  const listen = () => {
    const address = `${server.address.replace('http', 'ws')}/api/live?setUp=${DEMO_ID}&after=${known}`;
    const socket = new WebSocket(address);
    socket.on('message', (data) => {
      for (const { edit, revision } of JSON.parse(String(data)).entries ?? []) {
        names.push(edit.fields.name);
        known = revision;
      }
    });
    socket.on('close', () => (over ? undefined : setTimeout(listen, 100)));
    return socket;
  };
  const first = listen();
  await new Promise((resolve) => first.once('open', resolve));
  await proxy.set('down');
  await save(other, rename('Meanwhile'));
  await sleep(500);
  await proxy.set('up');
  await until(async () => names.includes('Meanwhile'));
  await save(other, rename('Later'));
  await until(async () => names.includes('Later'));
  expect(names).toEqual(['Meanwhile', 'Later']);
  over = true;
});

/** A live connection without edits, and what it hears. */
async function live(on: RunningServer) {
  const socket = new WebSocket(`${on.address.replace('http', 'ws')}/api/live?setUp=${DEMO_ID}`);
  const told: { kind: string; remote?: string; seq?: number }[] = [];
  socket.on('message', (data) => told.push(JSON.parse(String(data))));
  await new Promise((resolve) => socket.once('open', resolve));
  const kinds = () => told.map(({ kind }) => kind).filter((kind) => kind !== 'hello');
  return { socket, told, kinds, says: (message: object) => socket.send(JSON.stringify(message)) };
}

test('a press at one server reaches a desk at another; cut off, its remotes are gone at once, and come back by themselves', async () => {
  const own = await live(other);
  const desk = { id: randomUUID(), name: 'Studio desk', kind: 'practice', can: ['keys'] };
  own.says({ kind: 'here', desk });
  const tablet = await live(server);
  tablet.says({ kind: 'join', desk: null, name: 'Tablet', devices: ['wall-panel'] });
  await until(async () => tablet.kinds().includes('joined'));
  const down = { kind: 'down', device: 'wall-panel', control: 'cell-1' };
  tablet.says({ kind: 'input', seq: 1, t: 5, input: down });
  await until(async () => own.kinds().includes('remote-input'));
  own.says({ kind: 'done', remote: own.told.at(-1)?.remote, seq: 1 });
  await until(async () => tablet.kinds().includes('done'));
  await proxy.set('down');
  // Its own server notices at once; the other one when it was not heard for six seconds.
  await until(async () => tablet.kinds().at(-1) === 'gone');
  tablet.says({ kind: 'input', seq: 2, t: 6, input: { ...down, kind: 'up' } });
  await until(async () => own.kinds().at(-1) === 'remote-left');
  await proxy.set('up');
  await until(async () => tablet.kinds().at(-1) === 'joined');
  tablet.says({ kind: 'input', seq: 3, t: 7, input: down });
  await until(async () => own.told.at(-1)?.seq === 3);
  // What was pressed while it was cut off is not sent later.
  expect(own.told.some(({ seq }) => seq === 2)).toBe(false);
  own.socket.close();
  await until(async () => tablet.kinds().at(-1) === 'gone');
  tablet.socket.close();
}, 60_000);

test('a database that is frozen is said within the time limit, and goes on when it thaws', async () => {
  await proxy.set('frozen');
  const begun = Date.now();
  const sent = rename('Frozen');
  expect(await save(server, sent)).toMatchObject({ status: 503 });
  expect(Date.now() - begun).toBeLessThan(20 * LIMIT_MS);
  await proxy.set('up');
  await until(async () => (await save(server, sent)).status === 200);
  const client = new pg.Client({ connectionString: direct });
  await client.connect();
  const { rows } = await client.query('SELECT id FROM edits WHERE id = $1', [sent.id]);
  await client.end();
  expect(rows).toHaveLength(1);
});

test('an acknowledgement that is lost between the database and the server saves the edit once', async () => {
  for (let i = 0; i < 5; i++) {
    const sent = rename(`Torn ${i}`);
    const saving = save(server, sent);
    await sleep(i);
    await proxy.set('down');
    await saving;
    await proxy.set('up');
    await until(async () => (await save(server, sent)).status === 200);
    const client = new pg.Client({ connectionString: direct });
    await client.connect();
    const { rows } = await client.query('SELECT 1 FROM edits WHERE id = $1', [sent.id]);
    await client.end();
    expect(rows).toHaveLength(1);
  }
});
