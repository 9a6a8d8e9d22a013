import { randomUUID } from 'node:crypto';
import { request } from 'node:http';
import { pino } from 'pino';
import { WebSocket } from 'ws';
import { readConfig } from './config.ts';
import { DEMO_ID, type RunningServer, startServer } from './server.ts';
import { newDatabase } from './testing/database.ts';

let server: RunningServer;
let drop: () => Promise<void>;
beforeAll(async () => {
  const database = await newDatabase();
  drop = database.drop;
  const config = readConfig({ DATABASE_URL: database.url, PORT: '0' });
  server = await startServer(config, '9.9.9', pino({ level: 'silent' }));
});
afterAll(async () => {
  await server?.close();
  await drop?.();
});

const slot = { profile: 'larkframe', layer: 'base', device: 'bench-dial', control: 'dial', trigger: 'press' };
const bound = (shortcut: string) => ({
  kind: 'set-binding',
  slot,
  binding: {
    behaviour: { kind: 'action', action: { kind: 'shortcut', shortcut }, style: 'follow' },
    face: null,
    note: null,
  },
});
const body = (base: number, edit: unknown) => ({
  base,
  entries: [{ id: randomUUID(), edit, role: 'do', of: null }],
});

async function post(path: string, content: unknown, headers: Record<string, string> = {}) {
  const response = await fetch(server.address + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: typeof content === 'string' ? content : JSON.stringify(content),
  });
  return {
    status: response.status,
    type: response.headers.get('content-type'),
    body: (await response.json()) as { entries?: unknown },
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

test('an edit is saved, normalised, and told to open pages; a stale one gets what it missed', async () => {
  const socket = new WebSocket(`${server.address.replace('http', 'ws')}/api/live?setUp=${DEMO_ID}&after=0`);
  const news = new Promise<string>((resolve) => socket.once('message', (data) => resolve(String(data))));
  await new Promise((resolve) => socket.once('open', resolve));
  const saved = await post(EDITS, body(0, bound('shift+ctrl+a')));
  expect(saved.status).toBe(200);
  expect(saved.body).toMatchObject({ revision: 1, entries: [{ revision: 1, edit: bound('Ctrl+Shift+A') }] });
  expect(JSON.parse(await news)).toEqual({ kind: 'edits', entries: saved.body.entries });
  socket.close();

  const stale = await post(EDITS, body(0, bound('B')));
  expect(stale).toMatchObject({ status: 409, type: 'application/problem+json; charset=utf-8' });
  expect(stale.body).toMatchObject({
    title: 'Someone edited in between',
    revision: 1,
    missed: [{ revision: 1 }],
  });
});

test('a page that comes late is told what it missed at once', async () => {
  await post(EDITS, body(1, bound('F5')));
  const socket = new WebSocket(`${server.address.replace('http', 'ws')}/api/live?setUp=${DEMO_ID}&after=1`);
  const news = await new Promise<string>((resolve) =>
    socket.once('message', (data) => resolve(String(data))),
  );
  expect(JSON.parse(news)).toMatchObject({ entries: [{ revision: 2, edit: bound('F5') }] });
  socket.close();
});

test.each([
  ['an unknown key', EDITS, body(9, bound('Ctrl+Wobble')), 400, '“Wobble” is not a key.'],
  ['an unknown kind of edit', EDITS, body(9, { kind: 'format-disk' }), 400, 'Nothing was changed.'],
  [
    'an edit that fits nothing',
    EDITS,
    body(2, { kind: 'remove-program', program: 'gone' }),
    422,
    'There is no program “gone” any more.',
  ],
  [
    'an id that objects have',
    EDITS,
    body(2, { kind: 'remove-program', program: 'constructor' }),
    400,
    'Nothing was changed.',
  ],
  [
    'a slot of a profile that is not there',
    EDITS,
    body(2, { ...bound('A'), slot: { ...slot, profile: 'gone' } }),
    422,
    'There is no profile “gone” any more.',
  ],
  [
    'a note with a null character',
    EDITS,
    body(2, { kind: 'set-note', slot, note: 'a\u0000b' }),
    400,
    'Nothing was changed.',
  ],
  ['no JSON', EDITS, '{"base": ', 400, 'not readable JSON'],
  ['too much', EDITS, JSON.stringify('x'.repeat(2_100_000)), 413, 'larger than 2 MB'],
  ['too many entries', EDITS, { base: 2, entries: Array(501).fill({}) }, 400, 'Nothing was changed.'],
  ['an unknown set-up', '/api/set-ups/gone/edits', body(0, bound('A')), 404, 'There is no set-up “gone”.'],
  ['an unknown address', '/api/nowhere', {}, 404, 'There is nothing at POST /nowhere.'],
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
  const now = await fetch(`${server.address}/api/set-ups/${DEMO_ID}`);
  expect(await now.json()).toMatchObject({ revision: 2 });
});

test.each([
  [{ host: 'evil.example' }, 403],
  [{ host: 'localhost:1' }, 200],
  [{ host: '127.0.0.1', origin: 'http://evil.example' }, 403],
  [{ host: '127.0.0.1:80', origin: 'http://127.0.0.1:80' }, 200],
  [{ host: '127.0.0.1', origin: 'null' }, 403],
])('a request with %j gets %i', async (headers, status) => {
  expect(await get('/api/health', headers as Record<string, string>)).toBe(status);
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
});

test('a wrong environment is named', () => {
  expect(() => readConfig({ PORT: 'many' })).toThrow(/DATABASE_URL.*PORT/);
});
