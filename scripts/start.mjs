#!/usr/bin/env node
// One command for everything: packages, database, tables, demo, build, server. Needs only Node. Stays, and brings
// PostgreSQL back should it end.
import { INSTANCE, SCHEME, whoIsThere } from './lib/instance.mjs';
import { alone } from './lib/lock.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { main, Stop, say } from './lib/say.mjs';

const NAMES = { 'another-clone': 'another copy of Nimble Lever', other: 'another program' };
const MENDED_MS = 60_000;

await main(async () => {
  const port = readPort(process.env.PORT);
  if (await isThere(port)) return;
  const running = await alone(async ({ waited }) => {
    // Whoever was waited for may have started what this would start.
    if (waited && (await isThere(port))) return null;
    return begin(port);
  });
  if (running) await stay(running, port);
});

/** Sets up and starts the server; resolves when it serves or has ended. */
async function begin(port) {
  const { ask, database, url } = await setUp();
  try {
    const { spawnServer } = await import('./lib/server.mjs');
    say('Starting the server…');
    const server = spawnServer({
      DATABASE_URL: url,
      PORT: String(port),
      INSTANCE,
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      ...(await accessKey()),
    });
    ask.child = server.child;
    if (ask.asked) server.child.kill('SIGTERM');
    const address = await server.ready;
    if (address) {
      const others = server.elsewhere().map((each) => `From other devices:        ${each}\n`);
      if (others.length > 0)
        others.push('(Each is paired first: in Settings, or by “Use it live…” in Panels.)\n');
      console.log(`\nNimble Lever is served at  ${address}\n${others.join('')}(Ctrl+C stops it.)\n`);
    }
    return { ask, database, server };
  } catch (error) {
    database.stop();
    throw error;
  }
}

/** Stays until the server ends, and keeps its database going meanwhile. */
async function stay({ ask, database, server }, port) {
  const { PORT_TAKEN, UNUSABLE } = await import('./lib/server.mjs');
  const { watch } = await import('./lib/watch.mjs');
  const unwatch = database.given ? () => undefined : watch(database.cluster, 'PostgreSQL');
  try {
    const { code, signal } = await server.exited;
    if (code === PORT_TAKEN) throw portTaken(port, NAMES.other);
    if (code === UNUSABLE) throw new Stop('The server did not start.');
    if (!ask.asked)
      throw new Stop(`The server ended by itself (${signal ?? code}). Start again: nothing saved is lost.`);
    say('Server stopped.');
  } finally {
    unwatch();
    database.stop();
  }
}

/** Installs, starts the database and builds. From here on a signal asks to stop in order. */
async function setUp() {
  ensureNpmPackages();
  const { openAppDatabase } = await import('./lib/appDatabase.mjs');
  const { ensureBuilt } = await import('./lib/build.mjs');
  // Beside the database's making, which waits for other programs.
  const building = ensureBuilt();
  building.catch(() => undefined);
  const database = await openAppDatabase();
  const ask = { asked: false, child: null };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      ask.asked = true;
      ask.child?.kill(signal === 'SIGINT' ? 'SIGINT' : 'SIGTERM');
    });
  }
  try {
    await building;
  } catch (error) {
    database.stop();
    throw error;
  }
  return { ask, database, url: database.url };
}

/** Whether this clone's server is there already; one whose database has ended is mended. */
async function isThere(port) {
  const there = await whoIsThere(port);
  if (there === 'nothing') return false;
  if (there !== 'own' && there !== 'own-sick') throw portTaken(port, NAMES[there]);
  if (there === 'own-sick') await mend(port);
  const { ACCESS_KEY } = await accessKey();
  const address = `${SCHEME}://127.0.0.1:${port}${ACCESS_KEY ? `/?key=${ACCESS_KEY}` : ''}`;
  console.log(`\nNimble Lever is already running:  ${address}\n`);
  return true;
}

async function mend(port) {
  if (process.env.DATABASE_URL) {
    throw new Stop(
      `Nimble Lever runs on port ${port}, but its database does not answer. Start the server of DATABASE_URL; the rest mends itself.`,
    );
  }
  say('Nimble Lever runs, but its database does not answer; mending it…');
  const { mendCluster } = await import('./lib/cluster.mjs');
  await alone(() => mendCluster('app'));
  const { setTimeout: sleep } = await import('node:timers/promises');
  for (let waited = 0; waited < MENDED_MS; waited += 500) {
    if ((await whoIsThere(port)) === 'own') return;
    await sleep(500);
  }
  throw new Stop(
    'The database was started, but the server does not reach it. Stop it (Ctrl+C where it runs) and start again: nothing saved is lost.',
  );
}

/** With ACCESS=key: the key of this clone, made once, so that who has entered need not enter again. */
async function accessKey() {
  if (process.env.ACCESS !== 'key' || process.env.ACCESS_KEY) return {};
  const { readOrMakeKey } = await import('./lib/accessKey.mjs');
  return { ACCESS_KEY: readOrMakeKey() };
}

function readPort(text = '4680') {
  const port = Number(text);
  if (Number.isInteger(port) && port > 0 && port < 65_536) return port;
  throw new Stop(`PORT is “${text}”; it must be a number from 1 to 65535.`);
}

function portTaken(port, by) {
  return new Stop(`Port ${port} is in use by ${by}. Choose another one:\n\n  PORT=${port + 1} npm start\n`);
}
