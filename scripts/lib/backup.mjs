import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { openServer } from './database.mjs';
import { ensureDatabase, sibling } from './databases.mjs';
import { whoIsThere } from './instance.mjs';
import { ensureLocal } from './places.mjs';
import { ensurePostgres } from './postgres.mjs';
import { postgresTool } from './postgresTool.mjs';
import { Stop, say } from './say.mjs';

/** What the server shows of the last backup. */
const FACT = 'last-backup';
/** How a file in PostgreSQL's own format begins (PostgreSQL, src/bin/pg_dump/pg_backup_archiver.c). */
const BEGINS = 'PGDMP';

/** Writes everything (all set-ups, their logs, pictures and paired browsers) to a file, by `pg_dump`. */
export async function backUp(file) {
  await withDatabase(async (url) => {
    say(`Backing up to ${file}…`);
    await dump(url, file);
    await note(url);
    say(`Done: ${megabytes(file)}.`);
  });
}

/**
 * Puts everything back as a backup has it, by `pg_restore`: all of it or nothing. What is there before is backed up
 * first. The server must not be running: it would go on with what it has in memory.
 */
export async function restore(file) {
  if (!existsSync(file)) throw new Stop(`${file}: There is no such file. Nothing was changed.`);
  if (!(await isBackup(file))) {
    throw new Stop(`${file} is no backup of Nimble Lever, or it is damaged. Nothing was changed.`);
  }
  if ((await whoIsThere(Number(process.env.PORT ?? 4680))) !== 'nothing') {
    throw new Stop('Nimble Lever is running. Stop it first (Ctrl+C where it runs). Nothing was changed.');
  }
  await withDatabase(async (url) => {
    const before = path.join(
      ensureLocal(),
      `before-restore-${new Date().toISOString().replaceAll(':', '-')}.backup`,
    );
    say(`Keeping what is there now in ${before}…`);
    await dump(url, before);
    say(`Restoring ${file}…`);
    const done = await postgresTool('pg_restore', url, [
      '--single-transaction',
      '--exit-on-error',
      '--clean',
      '--if-exists',
      '--no-owner',
      '--no-privileges',
      file,
    ]);
    if (!done.ok) {
      throw new Stop(
        `It could not be restored: ${done.why} Nothing was changed; ${before} has what is there.`,
      );
    }
    say('Done. Start Nimble Lever again by npm start.');
  });
}

async function withDatabase(work) {
  ensurePostgres();
  const server = await openServer('app');
  try {
    if (!server.given) await ensureDatabase(server.url, 'nimble_lever');
    await work(server.given ? server.url : sibling(server.url, 'nimble_lever'));
  } finally {
    server.stop();
  }
}

// Under another name until it is whole: what is cut off never looks like a backup.
async function dump(url, file) {
  const part = `${file}.part`;
  const done = await postgresTool('pg_dump', url, [
    '--format=custom',
    '--no-owner',
    '--no-privileges',
    `--file=${part}`,
  ]);
  if (!done.ok) {
    rmSync(part, { force: true });
    throw new Stop(`It could not be backed up: ${done.why} Nothing was changed.`);
  }
  renameSync(part, file);
}

async function note(url) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query(
      `INSERT INTO server_facts (name, value) VALUES ($1, to_jsonb(now()))
        ON CONFLICT (name) DO UPDATE SET value = EXCLUDED.value`,
      [FACT],
    );
  } finally {
    await client.end();
  }
}

async function isBackup(file) {
  const { openSync, readSync, closeSync } = await import('node:fs');
  const handle = openSync(file, 'r');
  try {
    const bytes = Buffer.alloc(BEGINS.length);
    readSync(handle, bytes, 0, bytes.length, 0);
    return bytes.toString('latin1') === BEGINS;
  } finally {
    closeSync(handle);
  }
}

const megabytes = (file) => `${(statSync(file).size / 1_000_000).toFixed(1)} MB`;
