import { request } from 'node:http';
import { setTimeout as sleep } from 'node:timers/promises';
import { type PairingCode, pairedListSchema, pairingCodeSchema } from '@nimble-lever/core/desks';
import { problemSchema } from '@nimble-lever/core/setup';
import { WebSocket } from 'ws';
import { DEMO_ID, type RunningServer } from './server.ts';
import { newDatabase } from './testing/database.ts';
import { startTestServer } from './testing/testServer.ts';

/** A name under which only others reach the server. */
const ELSEWHERE = 'studio.test';
let server: RunningServer;
/** Another server on the same database. */
let other: RunningServer;
let drop: () => Promise<void>;
beforeAll(async () => {
  const database = await newDatabase();
  drop = database.drop;
  const start = () => startTestServer(database.url, { ALLOWED_HOSTS: ELSEWHERE, WEB_DIST: __dirname });
  server = await start();
  other = await start();
});
afterAll(async () => {
  await server?.close();
  await other?.close();
  await drop?.();
});

interface Answered {
  readonly status: number;
  readonly location: string | undefined;
  readonly cookie: string;
  readonly setCookie: string;
  readonly json: unknown;
}

/** Asks as another device would, under a name of the network; `fetch` sets its own Host. */
function ask(method: string, where: string, cookie = '', content?: object, on = server): Promise<Answered> {
  return new Promise((resolve, reject) => {
    const headers = { host: ELSEWHERE, cookie, 'content-type': 'application/json' };
    const sent = request(on.address + where, { method, headers }, (response) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (part) => {
        text += part;
      });
      response.on('end', () => {
        const [setCookie = ''] = response.headers['set-cookie'] ?? [];
        resolve({
          status: response.statusCode ?? 0,
          location: response.headers.location,
          cookie: setCookie.split(';')[0] ?? '',
          setCookie,
          json: /json/.test(response.headers['content-type'] ?? '') ? JSON.parse(text) : null,
        });
      });
    });
    sent.on('error', reject);
    sent.end(content && JSON.stringify(content));
  });
}

/** A code, made at the computer itself. */
async function makeCode(rights: object): Promise<PairingCode> {
  const response = await fetch(`${server.address}/api/pairings/codes`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(rights),
  });
  return pairingCodeSchema.parse(await response.json());
}
const panel = { may: 'panel', setUp: DEMO_ID, device: 'wall-panel' };
const pairedAs = async (rights: object, before = '', name = 'Tablet') => {
  const { code } = await makeCode(rights);
  const answer = await ask('POST', '/api/pair', before, { code, name });
  expect(answer).toMatchObject({ status: 200, json: { rights } });
  return answer.cookie;
};
const list = async () => pairedListSchema.parse(await (await fetch(`${server.address}/api/pairings`)).json());

/** A live connection from elsewhere: the status it was refused with, or the socket. */
function live(cookie: string, query = `setUp=${DEMO_ID}`, on = server): Promise<WebSocket | string> {
  const socket = new WebSocket(`${on.address.replace('http', 'ws')}/api/live?${query}`, {
    headers: { host: ELSEWHERE, cookie },
  });
  return new Promise((resolve) => {
    socket.once('open', () => resolve(socket));
    socket.once('error', ({ message }) => resolve(message));
  });
}

test.each(['/', '/board', '/panel/wall-panel', '/index.html', '/somewhere.js'])(
  'a stranger that opens %s is led to where it is paired',
  async (where) => {
    const to = encodeURIComponent(where);
    expect(await ask('GET', where)).toMatchObject({ status: 303, location: `/pair?to=${to}` });
  },
);

test.each([
  ['GET', '/api/set-ups'],
  ['GET', '/api/set-up'],
  ['GET', `/api/pictures/${'a'.repeat(64)}`],
  ['POST', `/api/set-ups/${DEMO_ID}/edits`],
  ['GET', '/api/visitor'],
  ['GET', '/api/pairings'],
  ['POST', '/api/pairings/codes'],
  ['POST', '/panel/wall-panel'],
])('a stranger is refused: %s %s', async (method, where) => {
  for (const cookie of ['', 'nimble_lever_pairing=', `nimble_lever_pairing=${'0'.repeat(64)}`]) {
    const { status, json } = await ask(method, where, cookie);
    expect([status, problemSchema.parse(json).title]).toEqual([403, 'Not paired']);
  }
  expect(await live('')).toContain('403');
});

test('a stranger learns of health only that it is there', async () => {
  const { json } = await ask('GET', '/api/health');
  expect(json).toEqual({ name: 'Nimble Lever', version: '9.9.9', instance: '', database: 'up' });
});

test('a code that is none is told apart from a wrong one, which says nothing of the right one', async () => {
  const { code } = await makeCode(panel);
  expect(await ask('POST', '/api/pair', '', { code: '12', name: 'T' })).toMatchObject({ status: 400 });
  expect(await ask('POST', '/api/pair', '', { code, name: '' })).toMatchObject({ status: 400 });
  const wrong = code === '000000' ? '000001' : '000000';
  const { status, json, setCookie } = await ask('POST', '/api/pair', '', { code: wrong, name: 'T' });
  expect([status, setCookie]).toEqual([403, '']);
  expect(JSON.stringify(json)).not.toContain(code);
  // Who goes on is slowed down, and told for how long; the code is as good as it was.
  for (let i = 0; i < 4; i++) await ask('POST', '/api/pair', '', { code: wrong, name: 'T' });
  const slow = await ask('POST', '/api/pair', '', { code, name: 'T' });
  expect(slow).toMatchObject({ status: 429, json: { detail: expect.stringMatching(/Wait \d+ s/) } });
  await sleep(2100);
  expect(await ask('POST', '/api/pair', '', { code, name: 'T' })).toMatchObject({ status: 200 });
});

test('a browser paired for everything comes in, at every server; forgotten, at none', async () => {
  const before = (await list()).length;
  const cookie = await pairedAs({ may: 'everything' }, '', 'Phone');
  expect(await ask('GET', '/api/visitor', cookie)).toMatchObject({
    json: { rights: { may: 'everything' }, isPaired: true },
  });
  expect(await ask('GET', '/api/set-ups', cookie, undefined, other)).toMatchObject({ status: 200 });
  const sockets = [await live(cookie), await live(cookie, `setUp=${DEMO_ID}&after=0`, other)];
  const closed = sockets.map(
    (socket) => new Promise((resolve) => socket instanceof WebSocket && socket.once('close', resolve)),
  );
  const all = await list();
  expect(all).toHaveLength(before + 1);
  const phone = all.find(({ name }) => name === 'Phone');
  // It sees itself in the list, and may forget others, and itself.
  expect(await ask('GET', '/api/pairings', cookie)).toMatchObject({
    json: expect.arrayContaining([expect.objectContaining({ name: 'Phone', isSelf: true })]),
  });
  expect(await ask('DELETE', `/api/pairings/${phone?.id}`, cookie)).toMatchObject({ status: 200 });
  expect(await Promise.all(closed)).toEqual([1008, 1008]);
  for (const on of [server, other]) {
    expect(await ask('GET', '/api/set-ups', cookie, undefined, on)).toMatchObject({ status: 403 });
  }
  expect(await ask('GET', '/board', cookie)).toMatchObject({ status: 303 });
  expect((await fetch(`${server.address}/api/pairings/${phone?.id}`, { method: 'DELETE' })).status).toBe(404);
});

test('the cookie is kept for a year, from scripts and from other sites', async () => {
  const { code } = await makeCode(panel);
  const { setCookie } = await ask('POST', '/api/pair', '', { code, name: 'Tablet' });
  for (const part of ['HttpOnly', 'SameSite=Strict', 'Max-Age=31536000', 'Path=/']) {
    expect(setCookie).toContain(part);
  }
  // Only where the connection is encrypted: this one is not.
  expect(setCookie).not.toContain('Secure');
});

test('with the rights of one panel another is not opened, nothing is read or edited, no code is made', async () => {
  const cookie = await pairedAs(panel);
  expect(await ask('GET', '/panel/six-pad', cookie)).toMatchObject({
    status: 303,
    location: '/panel/wall-panel',
  });
  expect(await ask('GET', '/', cookie)).toMatchObject({ status: 303, location: '/panel/wall-panel' });
  for (const [method, where] of [
    ['GET', '/api/set-ups'],
    ['GET', `/api/set-ups/${DEMO_ID}/file`],
    ['POST', `/api/set-ups/${DEMO_ID}/edits`],
    ['POST', '/api/pairings/codes'],
    ['GET', '/api/pairings'],
    ['GET', '/api/reached'],
  ] as const) {
    const { status, json } = await ask(method, where, cookie, method === 'POST' ? {} : undefined);
    expect([where, status, problemSchema.parse(json).title]).toEqual([where, 403, 'Not with these rights']);
  }
  expect(await ask('GET', '/api/visitor', cookie)).toMatchObject({ json: { rights: panel, isPaired: true } });
  expect(await live(cookie, `setUp=${DEMO_ID}&after=0`)).toContain('403');
  expect(await live(cookie, 'setUp=another')).toContain('403');
  const socket = await live(cookie);
  if (!(socket instanceof WebSocket)) throw new Error(socket);
  const told: { kind: string }[] = [];
  socket.on('message', (data) => told.push(JSON.parse(String(data))));
  socket.send(JSON.stringify({ kind: 'join', desk: null, name: 'Tablet', devices: ['six-pad'] }));
  socket.send(JSON.stringify({ kind: 'join', desk: null, name: 'Tablet', devices: ['wall-panel'] }));
  while (told.length < 2) await new Promise((resolve) => setTimeout(resolve, 10));
  expect(told.map(({ kind }) => kind).filter((kind) => kind !== 'hello')).toEqual(['refused', 'gone']);
  socket.close();
});

test('a browser that is paired anew keeps its place in the list, and its old secret is good for nothing', async () => {
  const old = await pairedAs(panel, '', 'Couch');
  const now = await pairedAs({ may: 'everything' }, old, 'Couch');
  expect((await list()).filter(({ name }) => name === 'Couch')).toMatchObject([
    { rights: { may: 'everything' } },
  ]);
  expect(await ask('GET', '/api/visitor', old)).toMatchObject({ status: 403 });
  expect(await ask('GET', '/api/visitor', now)).toMatchObject({ status: 200 });
});

test('how a code stands is told to who had it made', async () => {
  const { id, code } = await makeCode(panel);
  const read = async () =>
    pairingCodeSchema.parse(await (await fetch(`${server.address}/api/pairings/codes/${id}`)).json());
  expect(await read()).toMatchObject({ code, wrong: 0, pairedWith: null });
  await ask('POST', '/api/pair', '', { code, name: 'Sill' });
  expect(await read()).toMatchObject({ pairedWith: 'Sill' });
  expect((await fetch(`${server.address}/api/pairings/codes/nonsense`)).status).toBe(400);
});
