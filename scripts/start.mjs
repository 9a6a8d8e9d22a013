#!/usr/bin/env node
// One command for everything: packages, database, tables, demo, build, server. Needs only Node.
import { INSTANCE, whoIsThere } from './lib/instance.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { main, Stop, say } from './lib/say.mjs';

const NAMES = { 'another-clone': 'another copy of Nimble Lever', other: 'another program' };

await main(async () => {
  const port = readPort(process.env.PORT);
  const there = await whoIsThere(port);
  if (there === 'own') {
    console.log(`\nNimble Lever is already running:  http://127.0.0.1:${port}\n`);
    return;
  }
  if (there !== 'nothing') throw portTaken(port, NAMES[there]);

  ensureNpmPackages();
  const { openServer } = await import('./lib/database.mjs');
  const { ensureDatabase, sibling } = await import('./lib/databases.mjs');
  const { ensureBuilt } = await import('./lib/build.mjs');
  const { PORT_TAKEN, spawnServer } = await import('./lib/server.mjs');

  const database = await openServer('app');
  const wish = { asked: false, child: null };
  const ask = (signal) => {
    wish.asked = true;
    wish.child?.kill(signal === 'SIGINT' ? 'SIGINT' : 'SIGTERM');
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => ask(signal));
  try {
    if (!database.given) await ensureDatabase(database.url, 'nimble_lever');
    ensureBuilt();
    if (wish.asked) return;
    say('Starting the server…');
    const url = database.given ? database.url : sibling(database.url, 'nimble_lever');
    const server = spawnServer({
      DATABASE_URL: url,
      PORT: String(port),
      INSTANCE,
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    });
    wish.child = server.child;
    const address = await server.ready;
    if (address) console.log(`\nNimble Lever is served at  ${address}\n(Ctrl+C stops it.)\n`);
    const { code, signal } = await server.exited;
    if (code === PORT_TAKEN) throw portTaken(port, NAMES.other);
    if (!wish.asked)
      throw new Stop(`The server ended by itself (${signal ?? code}). Start again: nothing saved is lost.`);
    say('Server stopped.');
  } finally {
    database.stop();
  }
});

function readPort(text = '4680') {
  const port = Number(text);
  if (Number.isInteger(port) && port > 0 && port < 65_536) return port;
  throw new Stop(`PORT is “${text}”; it must be a number from 1 to 65535.`);
}

function portTaken(port, by) {
  return new Stop(`Port ${port} is in use by ${by}. Choose another one:\n\n  PORT=${port + 1} npm start\n`);
}
