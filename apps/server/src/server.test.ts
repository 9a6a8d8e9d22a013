import { createHash, randomUUID } from 'node:crypto';
import { request } from 'node:http';
import { connect } from 'node:net';
import { MOST_PICTURE_BYTES, pictureOnFace, pictureSchema } from '@nimble-lever/core/devices';
import { readSetupDocument } from '@nimble-lever/core/formats';
import { historySchema, storedSchema, WIRE_VERSION } from '@nimble-lever/core/setup';
import sharp from 'sharp';
import { WebSocket } from 'ws';
import { z } from 'zod';
import { readConfig } from './config.ts';
import { API_SCHEMAS } from './routes/apiSchemas.ts';
import type { ApiSchema } from './routes/operation.ts';
import { OPERATIONS } from './routes/operations.ts';
import { DEMO_ID, type RunningServer } from './server.ts';
import { newDatabase } from './testing/database.ts';
import { startTestServer } from './testing/testServer.ts';

let server: RunningServer;
let drop: () => Promise<void>;
beforeAll(async () => {
  const database = await newDatabase();
  drop = database.drop;
  server = await startTestServer(database.url);
});
afterAll(async () => {
  await server?.close();
  await drop?.();
});

const at = 'profiles/larkframe/bindings/base/bench-dial/dial/press';
const author = { id: randomUUID(), name: 'Bench' };
const bound = (shortcut: string) => ({
  kind: 'set',
  at,
  fields: { behaviour: { kind: 'action', action: { kind: 'shortcut', shortcut }, style: 'follow' } },
});
const entry = (edit: unknown, more: object = {}) => ({
  id: randomUUID(),
  role: 'do',
  edit,
  author,
  base: 0,
  ...more,
});
const body = (after: number, ...edits: unknown[]) => ({ after, entries: edits.map((edit) => entry(edit)) });

async function post(path: string, content: unknown, headers: Record<string, string> = {}) {
  const response = await fetch(server.address + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: typeof content === 'string' ? content : JSON.stringify(content),
  });
  return {
    status: response.status,
    type: response.headers.get('content-type'),
    body: (await response.json()) as {
      entries?: unknown;
      outcomes?: { kind: string; detail?: string }[];
      revision?: number;
    },
  };
}

/** `fetch` sets its own Host; this does not. */
function get(path: string, headers: Record<string, string>): Promise<number | undefined> {
  return new Promise((resolve, reject) => {
    request(server.address + path, { headers }, (response) => {
      response.resume();
      resolve(response.statusCode);
    })
      .on('error', reject)
      .end();
  });
}

const EDITS = `/api/set-ups/${DEMO_ID}/edits`;

test('health tells version, database and revision', async () => {
  const response = await fetch(`${server.address}/api/health`);
  expect(await response.json()).toMatchObject({
    name: 'Nimble Lever',
    version: '9.9.9',
    database: 'up',
    revision: 0,
  });
});

async function read(path: string): Promise<unknown> {
  return (await fetch(server.address + path)).json();
}

/** A live connection, and what it is told. */
async function live(after: number, options: object = {}, path = `/api/live?setUp=${DEMO_ID}&after=${after}`) {
  const socket = new WebSocket(server.address.replace('http', 'ws') + path, options);
  const told: { kind: string; entries?: { revision: number }[] }[] = [];
  socket.on('message', (data) => told.push(JSON.parse(String(data))));
  await new Promise((resolve, reject) => {
    socket.once('open', resolve);
    socket.once('error', reject);
  });
  const until = async (enough: () => boolean) => {
    for (let i = 0; i < 1500 && !enough(); i++) await new Promise((resolve) => setTimeout(resolve, 10));
    expect(enough()).toBe(true);
  };
  return { socket, told, until };
}

test('an edit is saved, normalised, and told to open pages; its answer brings what was missed', async () => {
  const { socket, told, until } = await live(0);
  const saved = await post(EDITS, body(0, bound('shift+ctrl+a')));
  expect(saved.status).toBe(200);
  expect(saved.body).toMatchObject({
    revision: 1,
    outcomes: [{ kind: 'saved', revision: 1 }],
    entries: [{ revision: 1, edit: bound('Ctrl+Shift+A'), author }],
  });
  expect(JSON.stringify(saved.body)).not.toContain('inverse');
  await until(() => told.length === 2);
  expect(told).toEqual([
    { kind: 'hello', version: WIRE_VERSION },
    { kind: 'edits', entries: saved.body.entries },
  ]);
  socket.close();

  const behind = await post(EDITS, body(0, bound('B')));
  expect(behind).toMatchObject({ status: 200, body: { revision: 2 } });
  expect(behind.body.entries).toHaveLength(2);
});

test('a page that comes late is told what it missed at once; one that missed too much reads anew', async () => {
  const late = await live(1);
  await late.until(() => late.told.some(({ entries }) => entries?.[0]?.revision === 2));
  for (let i = 0; i < 3; i++) {
    const edits = Array.from({ length: 400 }, (_, n) => bound(`Ctrl+${'ABCDEFGH'[(n + i) % 8]}`));
    expect((await post(EDITS, body(2, ...edits))).body.outcomes?.every(({ kind }) => kind === 'saved')).toBe(
      true,
    );
  }
  await late.until(() => late.told.at(-1)?.entries?.at(-1)?.revision === 1202);
  expect((await post(EDITS, body(0, bound('A')))).body.entries).toBeNull();
  const tooLate = await live(0);
  await tooLate.until(() => tooLate.told.some(({ kind }) => kind === 'behind'));
  await post(EDITS, body(1203, bound('F5')));
  await tooLate.until(() => tooLate.told.at(-1)?.entries?.[0]?.revision === 1204);
  for (const { socket } of [late, tooLate]) socket.close();
});

test('many pages that missed the same are told without each asking the database', async () => {
  const pages = await Promise.all(Array.from({ length: 60 }, () => live(1200)));
  for (const page of pages) await page.until(() => page.told.at(-1)?.entries?.at(-1)?.revision === 1204);
  expect(server.livePages()).toBeGreaterThanOrEqual(60);
  for (const { socket } of pages) socket.close();
});

test('history is an author’s own, with what takes it back; it can be undone without sending that', async () => {
  const { history } = storedSchema.parse(await read(`/api/set-ups/${DEMO_ID}?author=${author.id}`));
  expect(history.more).toBe(true);
  const last = history.entries.at(-1);
  expect(last).toMatchObject({ revision: 1204, inverse: { kind: 'set', at } });
  const undo = { id: randomUUID(), role: 'undo', of: last?.id, author, base: 1204 };
  expect((await post(EDITS, { after: 1204, entries: [undo] })).body).toMatchObject({
    outcomes: [{ kind: 'saved' }],
    entries: [{ role: 'undo', of: last?.id, edit: { kind: 'set', at } }],
  });
  const none = await read(`/api/set-ups/${DEMO_ID}?author=${randomUUID()}`);
  expect(none).toMatchObject({ history: { entries: [], more: false } });
  const older = historySchema.parse(await read(`${EDITS}?before=300&author=${author.id}`));
  expect(older.entries).toHaveLength(299);
  // Without an author: everyone's, the newest of them.
  const all = historySchema.parse(await read(`${EDITS}?before=300`));
  expect(all.entries.at(-1)?.revision).toBe(299);
});

const deep = (levels: number): object =>
  levels === 0
    ? { id: 'x', kind: 'wait', ms: 1 }
    : { id: `s${levels}`, kind: 'repeat', times: 1, steps: [deep(levels - 1)] };
const message = (address: string) => ({
  kind: 'set',
  at,
  fields: { 'behaviour.action': { kind: 'message', message: { protocol: 'osc', address, low: 0, high: 1 } } },
});
const program = (id: string, name: string) => ({
  kind: 'add',
  at: `programs/${id}`,
  item: { id, name, rules: [], commands: [] },
  after: null,
});

test.each([
  ['an unknown key', bound('Ctrl+Wobble'), '“Wobble” is not a key.'],
  ['an unknown kind of edit', { kind: 'format-disk' }, 'Nothing was changed by it.'],
  [
    'an edit that fits nothing',
    { kind: 'remove', at: 'programs/gone' },
    'There is no program “gone” any more.',
  ],
  ['an id that objects have', { kind: 'remove', at: 'programs/constructor' }, 'Nothing was changed by it.'],
  [
    'a slot of a profile that is not there',
    { ...bound('A'), at: at.replace('larkframe', 'gone') },
    'There is no profile “gone” any more.',
  ],
  [
    'a note with a null character',
    { kind: 'set', at, fields: { note: 'a\u0000b' } },
    'Nothing was changed by it.',
  ],
  ['an OSC address with a null character', message('/a\u0000'), 'Nothing was changed by it.'],
  ['an OSC address with half a character', message('/a\ud800'), 'Nothing was changed by it.'],
  [
    'steps nested nine hundred deep',
    {
      kind: 'add',
      at: 'macros/deep',
      item: {
        id: 'deep',
        name: 'Deep',
        run: 'times',
        times: 1,
        again: 'ignore',
        goesOn: false,
        steps: [deep(900)],
      },
      after: null,
    },
    'at most 8 deep',
  ],
])('refuses %s in words, and saves what stands beside it', async (_name, edit, words) => {
  const { body: before } = await post(EDITS, body(1205, bound('A')));
  const answer = await post(EDITS, body(1205, bound('B'), edit, bound('C')));
  expect(answer.status).toBe(200);
  expect(answer.body.outcomes).toMatchObject([
    { kind: 'saved' },
    { kind: 'refused', detail: expect.stringContaining(words) },
    { kind: 'saved', revision: (before.revision ?? 0) + 2 },
  ]);
  expect(JSON.stringify(answer.body)).not.toMatch(/at \w+ \(|node_modules/);
});

test('names that only the database would take for the same are saved', async () => {
  const answer = await post(
    EDITS,
    body(
      1205,
      program('i-dot', 'İz'),
      program('i', 'iz'),
      program('sigma', 'ΟΔΟΣ'),
      program('sigma-2', 'οδοσ'),
    ),
  );
  expect(answer.body.outcomes?.map(({ kind }) => kind)).toEqual(['saved', 'saved', 'saved', 'refused']);
});

test('a page from before the server was brought up to date keeps its edits and is asked to load anew', async () => {
  const old = { id: randomUUID(), edit: { kind: 'remove-program', program: 'tallow' }, role: 'do', of: null };
  expect(await post(EDITS, { base: 3, entries: [old] })).toMatchObject({
    status: 503,
    body: { detail: expect.stringContaining('Load the page anew') },
  });
});

test('ids are the same in large letters, and one twice in a request counts once', async () => {
  const sent = entry(bound('Q'));
  const large = { ...sent, id: sent.id.toUpperCase() };
  const first = await post(EDITS, { after: 1205, entries: [sent, large] });
  const again = await post(EDITS, { after: 1205, entries: [large] });
  const revision = first.body.revision;
  expect(first.body.outcomes).toMatchObject([{ revision }, { revision }]);
  expect(again.body.outcomes).toMatchObject([{ kind: 'saved', revision }]);
});

test.each([
  ['no JSON', EDITS, '{"after": ', 400, 'not readable JSON'],
  ['nothing', EDITS, '', 400, 'not readable JSON'],
  ['too much', EDITS, JSON.stringify('x'.repeat(2_100_000)), 413, 'larger than 2 MB'],
  ['too many entries', EDITS, { after: 2, entries: Array(501).fill({}) }, 400, 'Nothing was changed.'],
  ['a revision that no database keeps', EDITS, { ...body(0, bound('A')), after: 2 ** 31 }, 400, 'after'],
  ['an entry without an id', EDITS, { after: 0, entries: [entry(bound('A')), {}] }, 400, 'entries.1.id'],
  ['an unknown set-up', '/api/set-ups/gone/edits', body(0, bound('A')), 404, 'There is no set-up “gone”.'],
  ['an unknown address', '/api/nowhere', {}, 404, 'There is nothing at POST /api/nowhere.'],
  ['half an escaped character', '/assets/%', {}, 400, 'begins no character'],
  ['another method on a page', '/board', {}, 404, 'There is nothing at POST /board.'],
])('refuses %s as problem details in words', async (_name, path, content, status, words) => {
  const answer = await post(path, content);
  expect(answer.status).toBe(status);
  expect(answer.type).toContain('application/problem+json');
  expect(answer.body).toMatchObject({
    status,
    title: expect.any(String),
    detail: expect.stringContaining(words),
  });
  expect(JSON.stringify(answer.body)).not.toMatch(/at \w+ \(|node_modules/);
});

test.each([
  `${EDITS}?after=0&after=1`,
  `${EDITS}?after=2147483648`,
  `${EDITS}?after=-1`,
  '/api/set-ups/saltmarsh?author=me',
  '/api/set-ups/%E0%A4%A',
  '/api/set-ups/..%2f..%2fetc',
])('GET %s is refused as problem details', async (path) => {
  const response = await fetch(server.address + path);
  expect([response.status, response.headers.get('content-type')]).toEqual([
    expect.any(Number),
    'application/problem+json; charset=utf-8',
  ]);
  expect([400, 404]).toContain(response.status);
});

/** Says something to the server that no client of ours would, and hears what it says; `reset` tears the line. */
function raw(text: string, reset = false): Promise<string> {
  const { port } = new URL(server.address);
  return new Promise((resolve) => {
    let heard = '';
    const socket = connect(Number(port), '127.0.0.1', () => {
      socket.write(text);
      if (reset) setTimeout(() => socket.resetAndDestroy(), 5);
    });
    socket.on('data', (data) => {
      heard += data;
    });
    socket.on('error', () => undefined);
    socket.on('close', () => resolve(heard));
    setTimeout(() => socket.destroy(), 1500).unref();
  });
}
const upgrade = (path: string, more = '') =>
  `GET ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: Upgrade\r\nUpgrade: websocket\r\nSec-WebSocket-Version: 13\r\nSec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\n${more}\r\n`;

test.each([
  ['an address that is none', upgrade('//'), '404'],
  ['an address that is none, from another site', upgrade('//', 'Origin: http://evil.example\r\n'), '403'],
  ['brackets', upgrade('http://[/api/live'), '404'],
  ['a revision that is none', upgrade(`/api/live?setUp=${DEMO_ID}&after=9999999999`), '404'],
  ['another version of the protocol', upgrade(`/api/live?setUp=${DEMO_ID}&after=0`).replace('13', '99'), ''],
  ['no HTTP', 'hello there\r\n\r\n', '400'],
  ['a head without end', `GET / HTTP/1.1\r\nX: ${'x'.repeat(70_000)}`, '431'],
  [
    'a body in bad pieces',
    `POST ${EDITS} HTTP/1.1\r\nHost: 127.0.0.1\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n`,
    '400',
  ],
])('%s does not end the server, torn off or not', async (_name, text, status) => {
  expect(await raw(text)).toContain(status && `HTTP/1.1 ${status}`);
  for (let i = 0; i < 5; i++) await raw(text, true);
  expect((await fetch(`${server.address}/api/health`)).status).toBe(200);
});

test('messages nobody expects are answered, and too many of them end that connection only', async () => {
  const { socket, told, until } = await live(1205);
  const closed = new Promise<number>((resolve) => socket.once('close', resolve));
  socket.send('{"kind":"hop"}');
  await until(() => told.some(({ kind }) => kind === 'refused'));
  for (let i = 0; i < 40; i++) socket.send(Buffer.from([0, 255, i]));
  expect(await closed).toBe(1008);
  const other = await live(1205);
  const tooLong = new Promise<number>((resolve) => other.socket.once('close', resolve));
  other.socket.send('x'.repeat(70_000));
  expect(await tooLong).toBe(1009);
  expect((await fetch(`${server.address}/api/health`)).status).toBe(200);
});

test('a press of one page reaches the desk in another, which answers; a page that falls silent is missed', async () => {
  const desk = { id: randomUUID(), name: 'Studio desk', kind: 'practice', can: ['keys'] };
  const own = await live(1205);
  own.socket.send(JSON.stringify({ kind: 'here', desk }));
  const tablet = await live(0, {}, `/api/live?setUp=${DEMO_ID}`);
  tablet.socket.send(JSON.stringify({ kind: 'join', desk: null, name: 'Tablet', devices: ['wall-panel'] }));
  await tablet.until(() => tablet.told.some(({ kind }) => kind === 'joined'));
  const input = { kind: 'down', device: 'wall-panel', control: 'cell-1' };
  tablet.socket.send(JSON.stringify({ kind: 'input', seq: 1, t: 5, input }));
  await own.until(() => own.told.some(({ kind }) => kind === 'remote-input'));
  const { remote } = own.told.find(({ kind }) => kind === 'remote-input') as unknown as { remote: string };
  own.socket.send(JSON.stringify({ kind: 'done', remote, seq: 1 }));
  await tablet.until(() => tablet.told.some(({ kind }) => kind === 'done'));
  // It asked for no edits, and hears of none.
  expect(tablet.told.map(({ kind }) => kind)).toEqual(['hello', 'joined', 'done']);
  // Taken from under the protocol, it answers no heartbeat.
  const { _socket: under } = tablet.socket as unknown as { _socket: { pause: () => void } };
  under.pause();
  await own.until(() => own.told.some(({ kind }) => kind === 'remote-left'));
  tablet.socket.terminate();
  own.socket.close();
}, 30_000);

test.each([
  [{ host: 'evil.example' }, 403],
  [{ host: 'localhost:1' }, 200],
  [{ host: '127.0.0.1', origin: 'http://evil.example' }, 403],
  [{ host: '127.0.0.1:80', origin: 'http://127.0.0.1:80' }, 200],
  [{ host: '127.0.0.1', origin: 'null' }, 403],
])('a request with %j gets %i', async (headers, status) => {
  expect(await get('/api/health', headers as Record<string, string>)).toBe(status);
});

test('a picture is taken in, given as it is kept, and goes with the set-up’s file', async () => {
  const png = await sharp({ create: { width: 8, height: 4, channels: 3, background: 'red' } })
    .png()
    .toBuffer();
  const sent = await fetch(`${server.address}/api/pictures`, { method: 'POST', body: new Uint8Array(png) });
  const { id, width, height } = pictureSchema.parse(await sent.json());
  expect([width, height]).toEqual([8, 4]);

  const given = await fetch(`${server.address}/api/pictures/${id}`);
  expect(given.headers.get('content-type')).toBe('image/webp');
  expect(given.headers.get('cache-control')).toContain('immutable');
  expect(given.headers.get('x-content-type-options')).toBe('nosniff');
  const bytes = Buffer.from(await given.arrayBuffer());
  expect(createHash('sha256').update(bytes).digest('hex')).toBe(id);

  const fields = { 'face.picture': pictureOnFace(id) };
  const saved = await post(EDITS, body(0, { kind: 'set', at: 'pages/shot', fields }));
  expect(saved.body.outcomes).toMatchObject([{ kind: 'saved' }]);
  const file = await fetch(`${server.address}/api/set-ups/${DEMO_ID}/file`);
  expect(file.headers.get('content-disposition')).toBe('attachment');
  const read = readSetupDocument(await file.text());
  expect(read).toMatchObject({
    ok: true,
    value: { pictures: { [id]: `data:image/webp;base64,${bytes.toString('base64')}` } },
  });
});

test.each([
  ['what is no picture', 'POST', '/api/pictures', Buffer.from('<p>no</p>'), 422],
  ['more than may be sent', 'POST', '/api/pictures', Buffer.alloc(MOST_PICTURE_BYTES + 1), 413],
  ['a name that is none', 'GET', '/api/pictures/..%2F..%2Fetc', undefined, 400],
  ['one that is not kept', 'GET', `/api/pictures/${'0'.repeat(64)}`, undefined, 404],
  ['the file of a set-up that is not there', 'GET', '/api/set-ups/none/file', undefined, 404],
])('of pictures, %s is refused in words', async (_name, method, address, sent, status) => {
  const response = await fetch(server.address + address, { method, ...(sent && { body: sent }) });
  expect(response.status).toBe(status);
  expect(response.headers.get('content-type')).toContain('application/problem+json');
  expect(response.headers.get('cache-control') ?? '').not.toContain('immutable');
  const { detail } = (await response.json()) as { detail: string };
  expect(detail).not.toMatch(/vips|sharp|Error|at \//);
});

test('a socket from another page is refused', async () => {
  const url = `${server.address.replace('http', 'ws')}/api/live?setUp=${DEMO_ID}&after=0`;
  const socket = new WebSocket(url, { origin: 'http://evil.example' });
  const error = await new Promise<Error>((resolve) => socket.once('error', resolve));
  expect(error.message).toContain('403');
});

test('answers carry the headers that keep pages safe', async () => {
  const { headers } = await fetch(`${server.address}/api/health`);
  expect(headers.get('content-security-policy')).toContain("default-src 'self'");
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('x-powered-by')).toBeNull();
  expect(headers.get('content-security-policy')).not.toContain('https:');
  expect(headers.get('strict-transport-security')).toBeNull();
});

test('with ACCESS=key only who opened the address with the key gets in', async () => {
  const database = await newDatabase();
  const locked = await startTestServer(database.url, { ACCESS: 'key' });
  try {
    const list = `${locked.address}/api/set-ups`;
    expect((await fetch(list)).status).toBe(403);
    expect((await fetch(`${list}?key=wrong`)).status).toBe(403);
    expect(await (await fetch(`${locked.address}/api/health`)).json()).toEqual({
      name: 'Nimble Lever',
      version: '9.9.9',
      instance: '',
      database: 'up',
    });
    const entered = await fetch(locked.entrance, { redirect: 'manual' });
    expect([entered.status, entered.headers.get('location')]).toEqual([303, '/']);
    const set = entered.headers.get('set-cookie') ?? '';
    expect(set).toMatch(/HttpOnly/);
    expect(set).toMatch(/SameSite=Strict/);
    const cookie = set.split(';')[0] ?? '';
    expect((await fetch(list, { headers: { cookie } })).status).toBe(200);
    expect((await fetch(list, { headers: { cookie: `${cookie.slice(0, -2)}00` } })).status).toBe(403);
    const address = `${locked.address.replace('http', 'ws')}/api/live?setUp=${DEMO_ID}&after=0`;
    const outside = new WebSocket(address);
    expect((await new Promise<Error>((resolve) => outside.once('error', resolve))).message).toContain('403');
    const inside = new WebSocket(address, { headers: { cookie } });
    await new Promise((resolve) => inside.once('open', resolve));
    inside.close();
  } finally {
    await locked.close();
    await database.drop();
  }
});

test('a database that cannot be used is told in words', async () => {
  const address = new URL(process.env.TEST_DATABASE_URL ?? '');
  address.pathname = '/not_there';
  await expect(startTestServer(address.href)).rejects.toThrow(
    'There is no database of that name on the server.',
  );
  address.password = 'wrong';
  await expect(startTestServer(address.href)).rejects.toThrow('refused the name or password');
  await expect(startTestServer('postgres://x:y@127.0.0.1:1/z')).rejects.toThrow(
    'does not answer at its address',
  );
});

test('a wrong environment is named', () => {
  expect(() => readConfig({ PORT: 'many' })).toThrow(/DATABASE_URL.*PORT/);
});

const isJson = ({ answer }: (typeof OPERATIONS)[number]) => Object.hasOwn(API_SCHEMAS, answer);

test.each(OPERATIONS.filter((operation) => operation.method === 'get' && isJson(operation)))(
  '$path answers as its document says',
  async (operation) => {
    const made = await post('/api/pairings/codes', { may: 'everything' });
    const { id: code } = z.object({ id: z.string() }).parse(made.body);
    const id = operation.id === 'readCode' ? code : DEMO_ID;
    const address = operation.path.replace('{id}', id).replace('{revision}', '0');
    const asked = address + (operation.id === 'readEdits' ? '?after=0' : '');
    const response = await fetch(server.address + asked);
    expect(response.status).toBe(200);
    const answer = await response.json();
    const found = API_SCHEMAS[operation.answer as ApiSchema].safeParse(answer);
    expect(found.error?.issues ?? []).toEqual([]);
  },
);

test('the API has a page for people and a document for programs', async () => {
  const page = await fetch(`${server.address}/api`);
  expect([page.status, page.headers.get('content-type')]).toEqual([200, 'text/html; charset=utf-8']);
  expect(await page.text()).toContain('POST /api/set-ups/{id}/edits');
  const document = await fetch(`${server.address}/api/openapi.json`);
  expect(await document.json()).toMatchObject({ openapi: '3.1.1', info: { version: '9.9.9' } });
  expect((await fetch(`${server.address}/api/nowhere`)).status).toBe(404);
});
