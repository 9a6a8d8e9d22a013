import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import { BASE_LAYER, itemAt, type Setup, type SingleEdit } from '@nimble-lever/core/setup';
import pg from 'pg';
import { pino } from 'pino';
import { WebSocket } from 'ws';
import { openDatabase } from '../../apps/server/src/database/dataSource.ts';
import { PART_TABLES } from '../../apps/server/src/database/tables.ts';
import { DEMO_ID } from '../../apps/server/src/server.ts';
import { poolOf } from '../../apps/server/src/store/database.ts';
import { loadSetup } from '../../apps/server/src/store/loadSetup.ts';
import { SetupStore } from '../../apps/server/src/store/setupStore.ts';
import { dropDatabase, ensureDatabase, sibling } from '../../scripts/lib/databases.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { spawnServer } from '../../scripts/lib/server.mjs';
import { largeSetup } from './largeSetup.ts';

/** Edits measured one by one. */
const ROUNDS = 400;
/** Rounds that only warm up. */
const WARM_UP = 200;
// A load takes longer than an edit, so that fewer give the same certainty.
const LOADS = 9;
/** Pages that edit at once; more than a studio has. */
const CLIENTS = 50;
const EDITS_EACH = 40;
const SOCKETS = 500;
const NOTES = 3000;

/** Connections are kept, as a browser keeps them. */
const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS + 10 });
const author = { id: randomUUID(), name: 'Bench' };
// Times in order, and the one that a share of them is below.
const ordered = (times: readonly number[]) => times.toSorted((a, b) => a - b);
const part = (times: readonly number[], share: number) =>
  ordered(times)[Math.floor(times.length * share)] ?? 0;

/** Milliseconds a piece of work takes. */
async function took(work: () => Promise<unknown>): Promise<number> {
  const began = performance.now();
  await work();
  return performance.now() - began;
}

/** No edit is newer: the answer tells of none. */
const NEWEST = 2 ** 31 - 1;

/** Posts entries, and asks for what came after a revision. */
function post(
  port: number,
  edits: readonly unknown[],
  after = NEWEST,
): Promise<{ status: number; text: string }> {
  const entries = edits.map((edit) => ({ id: randomUUID(), role: 'do', author, base: 0, edit }));
  const body = JSON.stringify({ after, entries });
  return new Promise((resolve, reject) => {
    const path = `/api/set-ups/${DEMO_ID}/edits`;
    const headers = { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) };
    const sent = request({ host: '127.0.0.1', port, path, method: 'POST', agent, headers }, (response) => {
      let text = '';
      response.setEncoding('utf8').on('data', (part: string) => {
        text += part;
      });
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text }));
    });
    sent.on('error', reject);
    sent.end(body);
  });
}

/** A slot of the set-up by number, spread over profiles and devices. */
const slotOf = (setup: Setup, i: number) => {
  const profiles = Object.keys(setup.profiles);
  const profile = profiles[i % profiles.length] ?? '';
  const device = setup.devices[i % setup.devices.length];
  const pressed = device?.controls.filter(({ canPress }) => canPress) ?? [];
  const control = pressed[Math.floor(i / profiles.length) % pressed.length];
  return {
    profile,
    layer: BASE_LAYER,
    device: device?.id ?? '',
    control: control?.id ?? '',
    trigger: 'press',
  } as const;
};
/** An edit that changes something each time: the same value twice would write nothing. */
const bindingEdit = (setup: Setup, i: number): SingleEdit => {
  const action = { kind: 'shortcut', shortcut: i % 2 === 0 ? 'B' : 'Ctrl+B' };
  const behaviour = { kind: 'action', action, style: 'follow' };
  return { kind: 'set', at: itemAt.binding(slotOf(setup, i)), fields: { behaviour } };
};

/** One set-up size: an edit against one INSERT, loading against plain SQL, many clients and pages, many sockets, one large edit. */
async function measure(server: string, programs: number) {
  const name = `nimble_lever_bench_${randomUUID().replaceAll('-', '')}`;
  await ensureDatabase(server, name);
  const url = sibling(server, name);
  const setup = largeSetup(programs);
  const source = await openDatabase(url);
  const pool = poolOf(source);
  await new SetupStore(pool, () => undefined, pino({ level: 'silent' })).createFirst(DEMO_ID, setup);
  const loading = await againstPlain(pool);
  const port = await freePort();
  const running = spawnServer(
    { DATABASE_URL: url, PORT: String(port), LOG_LEVEL: 'error', WEB_DIST: '' },
    { quietly: true },
  );
  await running.ready;
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const bindings = Object.values(setup.profiles).reduce(
      (sum, profile) => sum + Object.keys(profile.bindings).length,
      0,
    );
    return {
      bindings,
      loading,
      edit: await againstInsert(client, port, setup),
      clients: await manyClients(port, setup, { asPages: false }),
      pages: await manyClients(port, setup, { asPages: true }),
      told: await manySockets(port, setup),
      held: await oneLargeEdit(port, setup),
    };
  } finally {
    await client.end();
    running.child.kill('SIGTERM');
    await running.exited;
    await source.destroy();
    await dropDatabase(server, name);
  }
}

/** Reading and checking a set-up, and reading the same rows with plain SQL and writing them as JSON, turn about. */
async function againstPlain(pool: pg.Pool) {
  const plain = async () => {
    const client = await pool.connect();
    await client.query('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const rows = [];
    for (const { name } of Object.values(PART_TABLES)) {
      rows.push((await client.query(`SELECT * FROM ${name} WHERE set_up = $1`, [DEMO_ID])).rows);
    }
    await client.query('COMMIT');
    client.release();
    return JSON.stringify(rows);
  };
  const [ours, theirs]: [number[], number[]] = [[], []];
  await loadSetup(pool, DEMO_ID);
  await plain();
  for (let i = 0; i < LOADS; i++) {
    ours.push(await took(() => loadSetup(pool, DEMO_ID)));
    theirs.push(await took(plain));
  }
  return { ours: part(ours, 0.5), theirs: part(theirs, 0.5) };
}

/** An edit acknowledged over HTTP, and one row inserted and committed on the same server, turn about. */
async function againstInsert(client: pg.Client, port: number, setup: Setup) {
  await client.query('CREATE TABLE bench_rows (id uuid PRIMARY KEY, note text NOT NULL)');
  const [ours, theirs]: [number[], number[]] = [[], []];
  for (let i = 0; i < WARM_UP; i++) await post(port, [bindingEdit(setup, i)]);
  for (let i = 0; i < ROUNDS; i++) {
    ours.push(await took(() => post(port, [bindingEdit(setup, i)])));
    theirs.push(
      await took(() => client.query('INSERT INTO bench_rows VALUES ($1, $2)', [randomUUID(), 'note'])),
    );
  }
  return { ours: part(ours, 0.5), theirs: part(theirs, 0.5) };
}

/** Clients that each make one edit after the other, all at once; as pages do, they also hear each other's. */
async function manyClients(port: number, setup: Setup, { asPages }: { readonly asPages: boolean }) {
  const times: number[] = [];
  let refused = 0;
  const revision = await revisionAt(port);
  const sockets = asPages ? await listening(port, revision, CLIENTS, () => undefined) : [];
  const total = await took(() =>
    Promise.all(
      Array.from({ length: CLIENTS }, async (_, who) => {
        let after = asPages ? revision : NEWEST;
        for (let i = 0; i < EDITS_EACH; i++) {
          times.push(
            await took(async () => {
              const { status, text } = await post(port, [bindingEdit(setup, who * EDITS_EACH + i)], after);
              if (status !== 200) refused += 1;
              else if (asPages) after = (JSON.parse(text) as { revision: number }).revision;
            }),
          );
        }
      }),
    ),
  );
  for (const socket of sockets) socket.terminate();
  return { rate: (times.length / total) * 1000, p95: part(times, 0.95), refused };
}

async function revisionAt(port: number): Promise<number> {
  const health = await (await fetch(`http://127.0.0.1:${port}/api/health`)).json();
  return (health as { revision: number }).revision;
}

/** Pages that are told of edits. */
function listening(port: number, revision: number, count: number, onEdits: () => void) {
  return Promise.all(
    Array.from({ length: count }, async () => {
      const socket = new WebSocket(`ws://127.0.0.1:${port}/api/live?setUp=${DEMO_ID}&after=${revision}`);
      socket.on('message', (data) => {
        if (String(data).startsWith('{"kind":"edits"')) onEdits();
      });
      await new Promise((resolve) => socket.once('open', resolve));
      return socket;
    }),
  );
}

/** From sending an edit until the last of many pages was told of it. */
async function manySockets(port: number, setup: Setup) {
  let toldOf: (() => void) | null = null;
  const sockets = await listening(port, await revisionAt(port), SOCKETS, () => toldOf?.());
  await new Promise((resolve) => setTimeout(resolve, 1000));
  const times: number[] = [];
  for (let i = 0; i < 10; i++) {
    times.push(
      await took(async () => {
        let left = SOCKETS;
        const all = new Promise<void>((resolve) => {
          toldOf = () => {
            left -= 1;
            if (left === 0) resolve();
          };
        });
        await post(port, [bindingEdit(setup, i)]);
        await all;
      }),
    );
  }
  for (const socket of sockets) socket.terminate();
  return { median: part(times, 0.5), worst: Math.max(...times) };
}

/** How long others wait for an answer while one edit of very many parts is saved. */
async function oneLargeEdit(port: number, setup: Setup) {
  const edits = Array.from({ length: NOTES }, (_, i): SingleEdit => {
    const edit = bindingEdit(setup, i) as Extract<SingleEdit, { kind: 'set' }>;
    return { ...edit, fields: { ...edit.fields, note: `Note ${i}` } };
  });
  let over = false;
  const waits: number[] = [];
  const asking = (async () => {
    while (!over) waits.push(await took(() => fetch(`http://127.0.0.1:${port}/board`)));
  })();
  const whole = await took(() => post(port, [{ kind: 'together', edits }]));
  over = true;
  await asking;
  return { whole, worst: Math.max(...waits) };
}

/** Measures the store at three sizes; prints a table. */
export async function measureStore(server: string) {
  const rows = [];
  for (const programs of [1, 19, 199]) {
    const found = await measure(server, programs);
    const { bindings, loading, edit, clients, pages, told, held } = found;
    console.log(`${bindings.toLocaleString('en')} bindings measured.`);
    const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`;
    rows.push({
      bindings,
      'an edit ÷ one INSERT (4)': `${(edit.ours / edit.theirs).toFixed(1)} (${ms(edit.ours)} ÷ ${ms(edit.theirs)})`,
      'loading ÷ plain SQL and JSON (3)': `${(loading.ours / loading.theirs).toFixed(1)} (${ms(loading.ours)} ÷ ${ms(loading.theirs)})`,
      [`${CLIENTS} clients: edits a second (300)`]: Math.round(clients.rate),
      '95th percentile (1 s)': ms(clients.p95),
      [`${CLIENTS} pages that hear each other (300)`]: `${Math.round(pages.rate)}, ${ms(pages.p95)}`,
      'not saved': clients.refused + pages.refused,
      [`${SOCKETS} pages told (200 ms)`]: `${ms(told.median)}, worst ${ms(told.worst)}`,
      [`${NOTES} notes in one edit; others wait`]: `${ms(held.whole)}; ${ms(held.worst)}`,
    });
  }
  return rows;
}
