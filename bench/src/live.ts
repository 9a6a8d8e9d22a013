import { randomUUID } from 'node:crypto';
import { demoSetup } from '@nimble-lever/core/setup';
import { type Clock, Remotes, Session } from '@nimble-lever/session';
import { WebSocket } from 'ws';
import { DEMO_ID } from '../../apps/server/src/server.ts';
import { dropDatabase, ensureDatabase, sibling } from '../../scripts/lib/databases.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { spawnServer } from '../../scripts/lib/server.mjs';

/** Presses measured one by one, and those before them. */
const PRESSES = 2000;
const WARM_UP = 300;
/** Panels at once, how often each presses, and for how long: milliseconds. */
const PANELS = 200;
const EVERY_MS = 100;
const LASTS_MS = 4000;

/** Milliseconds, of many. */
interface Spread {
  readonly median: number;
  readonly p95: number;
}
/** What is known of presses on panels in other browsers. */
export interface LiveTimes {
  /** From a press until the panel hears that it was carried out. */
  readonly press: Spread;
  /** A ping of the same connection and its answer: one way there and back, as a press has two. */
  readonly ping: Spread;
  readonly many: Spread & { readonly sent: number; readonly carriedOut: number };
}

/** Presses of panels that a desk carries out, by way of the server, beside pings of the same connections. */
export async function measureLive(server: string): Promise<LiveTimes> {
  const name = `nimble_lever_bench_${randomUUID().replaceAll('-', '')}`;
  await ensureDatabase(server, name);
  const port = await freePort();
  const settings = {
    DATABASE_URL: sibling(server, name),
    PORT: String(port),
    LOG_LEVEL: 'error',
    WEB_DIST: '',
  };
  const running = spawnServer(settings, { quietly: true });
  await running.ready;
  const desk = await openDesk(port);
  try {
    const one = await openPanel(port);
    const [presses, pings]: [number[], number[]] = [[], []];
    for (let i = 0; i < WARM_UP + PRESSES; i++) {
      const [press, ping] = [await one.press(), await one.ping()];
      // One sender may not say more than 2,000 things a second.
      await pause(1);
      if (i < WARM_UP) continue;
      presses.push(press);
      pings.push(ping);
    }
    one.close();
    return { press: spread(presses), ping: spread(pings), many: await manyPanels(port) };
  } finally {
    desk.close();
    running.child.kill('SIGTERM');
    await running.exited;
    await dropDatabase(server, name);
  }
}

/** Many panels press at the same time, each at its own moments. */
async function manyPanels(port: number) {
  const panels = await Promise.all(Array.from({ length: PANELS }, () => openPanel(port)));
  const times: number[] = [];
  let sent = 0;
  const ended = panels.map(async (panel, i) => {
    await pause((EVERY_MS * i) / PANELS);
    const until = performance.now() + LASTS_MS;
    const all: Promise<unknown>[] = [];
    while (performance.now() < until) {
      sent += 1;
      all.push(panel.press().then((ms) => times.push(ms)));
      await pause(EVERY_MS);
    }
    await Promise.all(all);
    panel.close();
  });
  await Promise.all(ended);
  return { ...spread(times), sent, carriedOut: times.length };
}

/** A desk as a page hosts one: the same engine and remotes, with nothing drawn. */
async function openDesk(port: number): Promise<WebSocket> {
  const socket = await connect(port);
  const clock: Clock = {
    now: () => performance.now(),
    wakeAt: (at, call) => {
      const timer = setTimeout(call, Math.max(0, at - performance.now()));
      return () => clearTimeout(timer);
    },
  };
  const session = new Session({
    clock,
    carrier: { carryOut: () => undefined, front: () => null },
    told: () => undefined,
    failed: () => undefined,
  });
  session.use(demoSetup());
  const remotes = new Remotes(session, clock);
  socket.on('message', (data) => {
    const message = JSON.parse(String(data));
    if (message.kind === 'remote-joined') remotes.join(message.remote);
    if (message.kind === 'remote-left') remotes.leave(message.remote);
    if (message.kind !== 'remote-input') return;
    const { remote, seq, t, input } = message;
    if (remotes.take(remote, t, input) && input.kind === 'down')
      socket.send(JSON.stringify({ kind: 'done', remote, seq }));
  });
  const desk = { id: randomUUID(), name: 'Bench', kind: 'practice', can: ['keys'] };
  socket.send(JSON.stringify({ kind: 'here', desk }));
  return socket;
}

/** A panel: what it presses comes up in the same breath, so that every press is one. */
async function openPanel(port: number) {
  const socket = await connect(port);
  const waiting = new Map<number, () => void>();
  let seq = 0;
  const joined = new Promise<void>((resolve) => {
    socket.on('message', (data) => {
      const message = JSON.parse(String(data));
      if (message.kind === 'joined') resolve();
      if (message.kind === 'done') waiting.get(message.seq)?.();
      waiting.delete(message.seq);
    });
  });
  socket.send(JSON.stringify({ kind: 'join', desk: null, name: 'Panel', devices: ['wall-panel'] }));
  await joined;
  const use = (kind: 'down' | 'up') => {
    seq += 1;
    const input = { kind, device: 'wall-panel', control: 'cell-12' };
    socket.send(JSON.stringify({ kind: 'input', seq, t: performance.now(), input }));
    return seq;
  };
  return {
    press: async () => {
      const began = performance.now();
      const carriedOut = new Promise<void>((resolve) => waiting.set(use('down'), resolve));
      use('up');
      await carriedOut;
      return performance.now() - began;
    },
    ping: async () => {
      const began = performance.now();
      const answered = new Promise((resolve) => socket.once('pong', resolve));
      socket.ping();
      await answered;
      return performance.now() - began;
    },
    close: () => socket.close(),
  };
}

async function connect(port: number): Promise<WebSocket> {
  const socket = new WebSocket(`ws://127.0.0.1:${port}/api/live?setUp=${DEMO_ID}`);
  await new Promise((resolve, reject) => {
    socket.once('open', resolve);
    socket.once('error', reject);
  });
  return socket;
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

function spread(times: readonly number[]): Spread {
  const ordered = times.toSorted((a, b) => a - b);
  const at = (share: number) => ordered[Math.floor(ordered.length * share)] ?? 0;
  return { median: at(0.5), p95: at(0.95) };
}
