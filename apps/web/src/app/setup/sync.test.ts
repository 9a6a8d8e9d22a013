import { demoSetup, type Edit, type Entry, itemAt, WIRE_VERSION } from '@nimble-lever/core/setup';
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
  say(message: unknown) {
    this.onmessage?.({ data: typeof message === 'string' ? message : JSON.stringify(message) });
  }
  close() {
    this.readyState = 3;
    this.onclose?.();
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
let openPages: string[] = [];
const posts: { after: number; entries: { id: string }[] }[] = [];
const reads: string[] = [];
const setup = demoSetup();
let stored: unknown;

async function fakeFetch(url: string, init?: { body?: string }): Promise<unknown> {
  const respond = (status: number, body: unknown) => ({
    ok: status < 400,
    status,
    json: async () => {
      if (body === undefined) throw new SyntaxError('not JSON');
      return body;
    },
  });
  if (!init?.body) {
    reads.push(url);
    if (stored === 'away') throw new TypeError('network');
    return respond(200, stored);
  }
  posts.push(JSON.parse(init.body));
  const answer = answers.shift() ?? 'away';
  if (answer === 'away') throw new TypeError('network');
  return respond(answer.status, answer.body);
}

const ID = '00000000-0000-4000-8000-000000000001';
const OTHER = '00000000-0000-4000-8000-000000000002';
const THIRD = '00000000-0000-4000-8000-000000000003';
const LOFT = { id: '00000000-0000-4000-8000-0000000000aa', name: 'Loft' };
const rename = (program: string, name: string): Edit => ({
  kind: 'set',
  at: itemAt.program(program),
  fields: { name },
});
const EDIT = rename('larkframe', 'Lark');
const made = (id: string, edit = EDIT): Entry => ({ id, edit, role: 'do', author: LOFT, base: 0 });
const logged = (entry: Entry, revision: number) => ({
  ...entry,
  of: null,
  revision,
  at: '2026-01-01T00:00:00.000Z',
});
/** Entries saved, the first under a revision. */
const saved = (from: number, ...entries: Entry[]): Answer => ({
  status: 200,
  body: {
    revision: from + entries.length - 1,
    outcomes: entries.map(({ id }, i) => ({ kind: 'saved', id, revision: from + i })),
    entries: entries.map((entry, i) => logged(entry, from + i)),
  },
});
const problem = (status: number, detail: string): Answer => ({
  status,
  body: { title: 'x', status, detail },
});
const waiting = () => [...storage].filter(([name]) => name.startsWith('nimble-lever:waiting:'));

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
  reads.length = 0;
  answers = [];
  openPages = [];
  stored = { id: 'one', revision: 0, binnedAt: null, setup, history: { entries: [], more: false } };
  const locks = {
    request: async () => undefined,
    query: async () => ({ held: openPages.map((page) => ({ name: `nimble-lever:page:${page}` })) }),
  };
  Object.defineProperty(globalThis, 'navigator', {
    value: { userAgent: 'X11; Linux', locks },
    configurable: true,
  });
  Object.assign(globalThis, {
    fetch: fakeFetch,
    WebSocket: FakeSocket,
    localStorage: storageProxy,
    location: { protocol: 'http:', host: 'here', pathname: '/board', search: '', hash: '' },
    window: { addEventListener: () => undefined },
  });
});
afterEach(() => jest.useRealTimers());

test('an edit is sent, kept in the browser until it is saved, and then no more', async () => {
  const store = await start();
  answers = [saved(1, made(ID))];
  store.dispatch(entryMade(made(ID)));
  expect(waiting().join()).toContain(ID);
  await jest.advanceTimersByTimeAsync(0);
  expect(posts).toEqual([{ after: 0, entries: [made(ID)] }]);
  expect(store.getState().setup).toMatchObject({ revision: 1, pending: [], saving: 'saved' });
  expect(waiting()).toEqual([]);
});

test.each<[string, Answer]>([
  ['nothing is heard', 'away'],
  ['the database is away', problem(503, 'The database does not answer.')],
  ['something between answers', { status: 502, body: undefined }],
  ['something between answers a page of its own', { status: 500, body: undefined }],
  ['something between says yes', { status: 200, body: { welcome: true } }],
])('when %s the edit waits, is said to wait, and is sent again', async (_name, answer) => {
  const store = await start();
  answers = [answer, answer, saved(1, made(ID))];
  store.dispatch(entryMade(made(ID)));
  await jest.advanceTimersByTimeAsync(0);
  expect(store.getState().setup).toMatchObject({ saving: 'waiting', pending: [{ id: ID }] });
  expect(store.getState().setup.waitingFor).toMatch(/does not answer/);
  await jest.advanceTimersByTimeAsync(10_000);
  expect(posts).toHaveLength(3);
  expect(store.getState().setup).toMatchObject({ saving: 'saved', pending: [], waitingFor: null });
});

test('an answer brings what was missed; both show', async () => {
  const store = await start();
  answers = [saved(1, made(OTHER, rename('brindle', 'Brin')), made(ID))];
  store.dispatch(entryMade(made(ID)));
  await jest.advanceTimersByTimeAsync(0);
  expect(posts).toHaveLength(1);
  expect(
    store
      .getState()
      .setup.setup?.programs.slice(0, 2)
      .map(({ name }) => name),
  ).toEqual(['Lark', 'Brin']);
});

test('what the server refuses is taken back with its words; what it cannot read or save is kept aside', async () => {
  const store = await start();
  const refusal = { kind: 'refused', id: ID, code: 'item-gone', detail: 'Not so.' };
  answers = [{ status: 200, body: { revision: 0, outcomes: [refusal], entries: [] } }];
  store.dispatch(entryMade(made(ID)));
  await jest.advanceTimersByTimeAsync(0);
  expect(store.getState().setup).toMatchObject({
    pending: [],
    notices: [{ detail: 'Not so.' }],
    saving: 'saved',
  });
  const failed = { kind: 'failed', id: OTHER, detail: 'It broke.' };
  const last = made(THIRD, rename('tallow', 'Tal'));
  answers = [
    {
      status: 200,
      body: {
        revision: 1,
        outcomes: [failed, { kind: 'saved', id: THIRD, revision: 1 }],
        entries: [logged(last, 1)],
      },
    },
  ];
  store.dispatch(entryMade(made(OTHER)));
  store.dispatch(entryMade(last));
  await jest.advanceTimersByTimeAsync(0);
  // The first flush went off with the first entry alone.
  answers = [{ status: 200, body: { revision: 1, outcomes: [], entries: [logged(last, 1)] } }];
  await jest.advanceTimersByTimeAsync(10_000);
  expect(store.getState().setup.aside).toMatchObject([{ detail: 'It broke.', entry: { id: OTHER } }]);
  expect([...storage.keys()]).toContain(`nimble-lever:aside:one:${OTHER}`);
  expect(store.getState().setup.notices.some(({ kind }) => kind === 'aside')).toBe(true);
});

test.each<[string, Answer[], number]>([
  ['cannot read', [problem(400, 'No.')], 1],
  // Once by itself, once with the next one, then three times by itself.
  ['fails at again and again', Array(5).fill(problem(500, 'No.')), 5],
  ['finds too large', [problem(413, 'No.')], 1],
])('an entry that the server %s is set aside, and the next ones go on', async (_name, first, count) => {
  const store = await start();
  answers = [...first, saved(1, made(OTHER, rename('brindle', 'Brin')))];
  store.dispatch(entryMade(made(ID)));
  store.dispatch(entryMade(made(OTHER, rename('brindle', 'Brin'))));
  await jest.advanceTimersByTimeAsync(30_000);
  const { aside, pending, setup: shown } = store.getState().setup;
  expect(aside.map(({ entry }) => entry.id)).toEqual([ID]);
  expect(pending).toEqual([]);
  expect(shown?.programs.slice(0, 2).map(({ name }) => name)).toEqual(['Larkframe', 'Brin']);
  expect(posts).toHaveLength(count + 1);

  // Another page finds what was set aside.
  const again = await start();
  expect(again.getState().setup.aside.map(({ entry }) => entry.id)).toEqual([ID]);
});

test('of several entries in one request only the one in the way is set aside', async () => {
  storage.set(
    'nimble-lever:waiting:one:gone',
    JSON.stringify({
      version: 2,
      entries: [ID, OTHER].map((id, i) => ({
        made: i,
        entry: made(id, rename(i === 0 ? 'larkframe' : 'brindle', `N${i}`)),
      })),
    }),
  );
  answers = [problem(400, 'No.'), problem(400, 'No.'), saved(1, made(OTHER, rename('brindle', 'N1')))];
  const store = await start();
  await jest.advanceTimersByTimeAsync(1000);
  expect(posts.map(({ entries }) => entries.length)).toEqual([2, 1, 1]);
  expect(store.getState().setup.aside.map(({ entry }) => entry.id)).toEqual([ID]);
  expect(store.getState().setup.revision).toBe(1);
});

test('entries that come to more than a request may have are sent in several', async () => {
  const note = (i: number): Edit => ({
    kind: 'together',
    edits: Array.from({ length: 75 }, () => ({
      kind: 'set',
      at: 'profiles/larkframe/bindings/base/bench-dial/dial/press',
      fields: { note: `${i}`.padEnd(900, 'x') },
    })),
  });
  const all = Array.from({ length: 30 }, (_, i) =>
    made(`00000000-0000-4000-8000-0000000001${String(i).padStart(2, '0')}`, note(i)),
  );
  storage.set(
    'nimble-lever:waiting:one:gone',
    JSON.stringify({ version: 2, entries: all.map((entry, i) => ({ made: i, entry })) }),
  );
  const total = JSON.stringify(all).length;
  expect(total).toBeGreaterThan(2_000_000);
  await start();
  await jest.advanceTimersByTimeAsync(0);
  const [first] = posts;
  expect(JSON.stringify(first).length).toBeLessThan(1_050_000);
  expect(first?.entries.length).toBeGreaterThan(5);
});

test('entries left by closed pages come back in the order they were made; those of open pages stay theirs', async () => {
  const keep = (page: string, ...kept: [string, number][]) =>
    storage.set(
      `nimble-lever:waiting:one:${page}`,
      JSON.stringify({ version: 2, entries: kept.map(([id, at]) => ({ made: at, entry: made(id) })) }),
    );
  keep('zebra', [OTHER, 20]);
  keep('antelope', [ID, 10], [THIRD, 30]);
  keep('open', ['00000000-0000-4000-8000-000000000009', 5]);
  storage.set('nimble-lever:waiting:one:broken', '{"');
  openPages = ['open'];
  await start();
  await jest.advanceTimersByTimeAsync(0);
  expect(posts[0]?.entries.map(({ id }) => id)).toEqual([ID, OTHER, THIRD]);
  expect(waiting().map(([name]) => name.split(':').at(-1))).toEqual(
    expect.arrayContaining(['open', 'broken']),
  );
});

test('entries kept by version 1 are brought up to date', async () => {
  const old = [
    { id: ID, edit: { kind: 'rename-program', program: 'larkframe', name: 'Lark' }, role: 'do', of: null },
  ];
  storage.set('nimble-lever:waiting:one:gone', JSON.stringify(old));
  await start();
  await jest.advanceTimersByTimeAsync(0);
  expect(posts[0]?.entries).toMatchObject([{ id: ID, role: 'do', edit: EDIT }]);
});

test('news over the socket is taken in, and a lost socket is opened again after what is known', async () => {
  const store = await start();
  expect(sockets.map(({ url }) => url)).toEqual(['ws://here/api/live?setUp=one&after=0']);
  sockets[0]?.say({ kind: 'edits', entries: [logged(made(OTHER), 1)] });
  expect(store.getState().setup).toMatchObject({ revision: 1, pending: [] });
  sockets[0]?.close();
  await jest.advanceTimersByTimeAsync(1000);
  expect(sockets.map(({ url }) => url)[1]).toBe('ws://here/api/live?setUp=one&after=1');
  // A late word of the lost one opens no third.
  sockets[0]?.close();
  await jest.advanceTimersByTimeAsync(5000);
  expect(sockets).toHaveLength(2);
});

test.each<[string, unknown]>([
  ['says so', { kind: 'behind' }],
  ['says something nobody expects', 'hop'],
])('when the server %s the set-up is read anew, without hurry while it is away', async (_name, message) => {
  const store = await start();
  stored = 'away';
  sockets[0]?.say(message);
  await jest.advanceTimersByTimeAsync(4000);
  expect(reads.length).toBeLessThan(10);
  stored = { id: 'one', revision: 7, binnedAt: null, setup, history: { entries: [], more: false } };
  await jest.advanceTimersByTimeAsync(10_000);
  expect(store.getState().setup).toMatchObject({ revision: 7, outOfStep: false });
});

test('an answer without what was missed has the set-up read anew', async () => {
  const store = await start();
  answers = [
    {
      status: 200,
      body: { revision: 900, outcomes: [{ kind: 'saved', id: ID, revision: 900 }], entries: null },
    },
  ];
  store.dispatch(entryMade(made(ID)));
  stored = {
    id: 'one',
    revision: 900,
    setup,
    binnedAt: null,
    history: { entries: [{ ...logged({ ...made(ID) }, 900), inverse: EDIT }], more: true },
  };
  await jest.advanceTimersByTimeAsync(1000);
  expect(store.getState().setup).toMatchObject({
    revision: 900,
    pending: [],
    saving: 'saved',
    hasOlder: true,
  });
  expect(posts).toHaveLength(1);
});

test('a server of another version is said', async () => {
  const store = await start();
  sockets[0]?.say({ kind: 'hello', version: WIRE_VERSION });
  expect(store.getState().setup.outdated).toBe(false);
  sockets[0]?.say({ kind: 'hello', version: WIRE_VERSION + 1 });
  expect(store.getState().setup.outdated).toBe(true);
});

test('the author stays the same in this browser', async () => {
  const first = (await start()).getState().setup.me;
  expect(first.name).toBe('Browser on Linux');
  expect((await start()).getState().setup.me).toEqual(first);
});

test('a set-up opened by its address is kept as the last one; as it was, it is only looked at', async () => {
  Object.assign(location, { pathname: '/set-up/one/board' });
  await start();
  expect(reads[0]).toMatch(/^\/api\/set-ups\/one\?author=/);
  expect(storage.get('nimble-lever:set-up')).toBe('one');
  expect(sockets).toHaveLength(1);

  storage.clear();
  Object.assign(location, { pathname: '/set-up/two/at/4/board' });
  stored = { revision: 4, at: '2026-01-01T00:00:00.000Z', setup };
  const store = await start();
  expect(reads.at(-1)).toBe('/api/set-ups/two/states/4');
  expect(store.getState().setup).toMatchObject({
    id: 'two',
    revision: 4,
    asItWas: { at: '2026-01-01T00:00:00.000Z' },
  });
  await jest.advanceTimersByTimeAsync(60_000);
  expect(sockets).toHaveLength(1);
  expect(storage.get('nimble-lever:set-up')).toBeUndefined();
});
