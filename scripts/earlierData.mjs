// Keeps a database as this version makes it, for the tests of those to come: run it before adding a migration. Everything
// goes through the server's own API. `earlierData.test.ts` knows what the edits are.
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';
import { main, Stop, say } from './lib/say.mjs';

const NAME = 'nimble_lever_earlier_data';

await main(async () => {
  ensureNpmPackages({ forTests: true });
  const { openServer } = await import('./lib/database.mjs');
  const { dropDatabase, ensureDatabase, sibling } = await import('./lib/databases.mjs');
  const { ensureBuilt } = await import('./lib/build.mjs');
  const { freePort } = await import('./lib/ports.mjs');
  const { spawnServer } = await import('./lib/server.mjs');
  await ensureBuilt();
  const database = await openServer('test');
  const url = sibling(database.url, NAME);
  try {
    await dropDatabase(database.url, NAME);
    await ensureDatabase(database.url, NAME);
    const server = spawnServer({ DATABASE_URL: url, PORT: String(await freePort()), LOG_LEVEL: 'warn' });
    const address = await server.ready;
    if (!address) throw new Stop('The server did not start.');
    try {
      await fill(new URL(address).origin);
    } finally {
      server.child.kill('SIGTERM');
      await server.exited;
    }
    await keep(url);
  } finally {
    await dropDatabase(database.url, NAME);
    database.stop();
  }
});

// Five edits, of which the fourth is undone by the fifth; what there is besides a set-up, once each.
async function fill(origin) {
  const ask = async (method, where, body, type = 'application/json') => {
    const response = await fetch(`${origin}/api/${where}`, {
      method,
      headers: { 'content-type': type, origin },
      ...(body && { body: type === 'application/json' ? JSON.stringify(body) : body }),
    });
    if (!response.ok) throw new Stop(`${method} ${where}: ${await response.text()}`);
    return response.json();
  };
  const author = { id: randomUUID(), name: 'Bench' };
  const [{ id }] = await ask('GET', 'set-ups');
  const { setup } = await ask('GET', `set-ups/${id}`);
  const program = setup.programs[1];
  const [first, second] = Object.entries(setup.profiles)
    .filter(([, profile]) => profile.program)
    .flatMap(([profile, { bindings }]) =>
      Object.entries(bindings).map(([slot, binding]) => ({
        at: `profiles/${profile}/bindings/${slot}`,
        binding,
      })),
    );
  const undone = randomUUID();
  const edits = [
    [randomUUID(), { kind: 'set', at: first.at, fields: { behaviour: second.binding.behaviour } }],
    [randomUUID(), { kind: 'set', at: `programs/${program.id}`, fields: { name: `${program.name} two` } }],
    [randomUUID(), { kind: 'set', at: second.at, fields: { note: 'Seen by hand' } }],
    [undone, { kind: 'remove', at: first.at }],
  ];
  await ask('POST', `set-ups/${id}/edits`, {
    after: 0,
    entries: [
      ...edits.map(([entry, edit], base) => ({ id: entry, role: 'do', edit, author, base })),
      { id: randomUUID(), role: 'undo', of: undone, author, base: edits.length },
    ],
  });
  await ask('POST', 'pictures', readFileSync(path.join(ROOT, 'apps/web/public/icon-192.png')), 'image/png');
  const { code } = await ask('POST', 'pairings/codes', { may: 'everything' });
  await ask('POST', 'pair', { code, name: 'Tablet' });
  await ask('POST', `set-ups/${id}/snapshots`, { name: 'Five edits', note: null, author });
  const empty = await ask('POST', 'set-ups', { name: 'Empty', begin: { from: 'empty' } });
  await ask('DELETE', `set-ups/${empty.id}`);
}

async function keep(url) {
  const { default: pg } = await import('pg');
  const { postgresTool } = await import('./lib/postgresTool.mjs');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query('SELECT count(*)::int AS count FROM migrations');
  await client.end();
  const folder = mkdtempSync(path.join(tmpdir(), 'earlier-'));
  const plain = path.join(folder, 'dump.sql');
  const done = await postgresTool('pg_dump', url, [
    '--inserts',
    '--no-owner',
    '--no-privileges',
    `--file=${plain}`,
  ]);
  if (!done.ok) throw new Stop(done.why);
  const file = path.join(
    ROOT,
    'apps/server/src/database/earlier',
    `${String(rows[0].count).padStart(2, '0')}.sql.gz`,
  );
  // What begins with a backslash is for PostgreSQL's own shell only.
  const sql = readFileSync(plain, 'utf8').replace(/^\\.*\n/gm, '');
  writeFileSync(file, gzipSync(sql, { level: 9 }));
  rmSync(folder, { recursive: true });
  say(`Kept in ${path.relative(ROOT, file)}.`);
}
