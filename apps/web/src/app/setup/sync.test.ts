import { demoSetup, type Edit, type Entry } from '@nimble-lever/core/setup';
import { configureStore } from '@reduxjs/toolkit';
import { entryMade, setupReducer } from './setupSlice.ts';
import { keepInStep } from './sync.ts';

/** What `keepInStep` finds of a browser, in small. */
const storage = new Map<string, string>();
const sockets: FakeSocket[] = [];
class FakeSocket {
  static OPEN = 1;
  readyState = 1;
  onopen?: () => void;
  onclose?: () => void;
  onmessage?: (event: { data: string }) => void;
  constructor(readonly url: string) {
    sockets.push(this);
  }
}
const localStorageFake = {
  getItem: (name: string) => storage.get(name) ?? null,
  setItem: (name: string, text: string) => storage.set(name, text),
  removeItem: (name: string) => storage.delete(name),
};
/** Names of what is stored are its own keys, as in a browser. */
const storageProxy = new Proxy(localStorageFake, {
  ownKeys: () => [...storage.keys()],
  getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
});

type Answer = { status: number; body: unknown } | 'away';
let answers: Answer[] = [];
const posts: { base: number; entries: Entry[] }[] = [];
const stored = { id: 'one', revision: 0, setup: demoSetup(), log: [] };

async function fakeFetch(url: string, init?: { body: string }): Promise<unknown> {
  const respond = (status: number, body: unknown) => ({ ok: status < 400, status, json: async () => body });
  if (!init) return respond(200, url === '/api/set-ups' ? [{ id: 'one', name: 'x', revision: 0 }] : stored);
  posts.push(JSON.parse(init.body));
  const answer = answers.shift() ?? 'away';
  if (answer === 'away') throw new TypeError('network');
  return respond(answer.status, answer.body);
}

const EDIT: Edit = { kind: 'rename-program', program: 'larkframe', name: 'Lark' };
const made = (id: string, edit = EDIT): Entry => ({ id, edit, role: 'do', of: null });
const ID = '00000000-0000-4000-8000-000000000001';
const OTHER = '00000000-0000-4000-8000-000000000002';
const logged = (entry: Entry, revision: number) => ({
  ...entry,
  revision,
  inverse: EDIT,
  at: '2026-01-01T00:00:00.000Z',
});

async function start() {
  const store = configureStore({ reducer: { setup: setupReducer } });
  keepInStep(store);
  await jest.advanceTimersByTimeAsync(0);
  return store;
}

beforeEach(() => {
  jest.useFakeTimers();
  storage.clear();
  sockets.length = 0;
  posts.length = 0;
  answers = [];
  Object.assign(globalThis, {
    fetch: fakeFetch,
    WebSocket: FakeSocket,
    localStorage: storageProxy,
    location: { protocol: 'http:', host: 'here' },
    window: { addEventListener: () => undefined },
  });
});
afterEach(() => jest.useRealTimers());

test('an edit is sent with its base, kept in the browser until it is saved, and then no more', async () => {
  const store = await start();
  answers = [{ status: 200, body: { revision: 1, entries: [logged(made(ID), 1)] } }];
  store.dispatch(entryMade(made(ID)));
  expect([...storage.values()].join()).toContain(ID);
  await jest.advanceTimersByTimeAsync(0);
  expect(posts).toEqual([{ base: 0, entries: [made(ID)] }]);
  expect(store.getState().setup).toMatchObject({ revision: 1, pending: [], saving: 'saved' });
  expect([...storage.keys()]).toEqual([]);
});

test('when the server is away the edit waits, is said to wait, and is sent again', async () => {
  const store = await start();
  answers = ['away', 'away', { status: 200, body: { revision: 1, entries: [logged(made(ID), 1)] } }];
  store.dispatch(entryMade(made(ID)));
  await jest.advanceTimersByTimeAsync(0);
  expect(store.getState().setup).toMatchObject({ saving: 'waiting', pending: [{ id: ID }] });
  await jest.advanceTimersByTimeAsync(10_000);
  expect(posts).toHaveLength(3);
  expect(store.getState().setup).toMatchObject({ saving: 'saved', pending: [] });
});

test('a page that is behind takes in what it missed and sends its own on top', async () => {
  const store = await start();
  const theirs = made(OTHER, { kind: 'rename-program', program: 'brindle', name: 'Brin' });
  answers = [
    { status: 409, body: { title: '', detail: '', missed: [logged(theirs, 1)] } },
    { status: 200, body: { revision: 2, entries: [logged(made(ID), 2)] } },
  ];
  store.dispatch(entryMade(made(ID)));
  await jest.advanceTimersByTimeAsync(0);
  expect(posts.map(({ base }) => base)).toEqual([0, 1]);
  expect(
    store
      .getState()
      .setup.setup?.programs.slice(0, 2)
      .map(({ name }) => name),
  ).toEqual(['Lark', 'Brin']);
});

test('what the server refuses is taken back with its words', async () => {
  const store = await start();
  answers = [{ status: 422, body: { title: '', detail: 'Not so.', entry: ID } }];
  store.dispatch(entryMade(made(ID)));
  await jest.advanceTimersByTimeAsync(0);
  expect(store.getState().setup).toMatchObject({
    pending: [],
    notices: [{ detail: 'Not so.' }],
    saving: 'saved',
  });
});

test('edits left by a closed page are taken up', async () => {
  storage.set('nimble-lever:waiting:one:gone', JSON.stringify([made(ID)]));
  storage.set('nimble-lever:waiting:one:broken', '{"');
  answers = [{ status: 200, body: { revision: 1, entries: [logged(made(ID), 1)] } }];
  const store = await start();
  await jest.advanceTimersByTimeAsync(0);
  expect(posts).toEqual([{ base: 0, entries: [made(ID)] }]);
  expect(store.getState().setup.revision).toBe(1);
  expect([...storage.keys()]).toEqual(['nimble-lever:waiting:one:broken']);
});

test('news over the socket is taken in, and a lost socket is opened again after what is known', async () => {
  const store = await start();
  expect(sockets.map(({ url }) => url)).toEqual(['ws://here/api/live?setUp=one&after=0']);
  sockets[0]?.onmessage?.({ data: JSON.stringify({ kind: 'edits', entries: [logged(made(OTHER), 1)] }) });
  expect(store.getState().setup).toMatchObject({ revision: 1, pending: [] });
  sockets[0]?.onclose?.();
  await jest.advanceTimersByTimeAsync(1000);
  expect(sockets.map(({ url }) => url)[1]).toBe('ws://here/api/live?setUp=one&after=1');
});
