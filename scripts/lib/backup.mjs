import { chmodSync, existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { openAppDatabase, withAdmin } from './appDatabase.mjs';
import { alone } from './lock.mjs';
import { ensureLocal } from './places.mjs';
import { postgresTool } from './postgresTool.mjs';
import { Stop, say } from './say.mjs';

/** What the server shows of the last backup. */
const FACT = 'last-backup';

/**
 * Writes everything (all set-ups, their logs, pictures and paired browsers) to a file, by `pg_dump`. Only its owner can
 * read it.
 */
export async function backUp(file) {
  if (existsSync(file) && (statSync(file).mode & 0o077) !== 0) {
    throw new Stop(
      `${file} is there already, and others on this computer may read it; a backup holds all you have arranged. Nothing was written. Choose another name, or make it yours alone first:\n\n  chmod 600 ${file}\n`,
    );
  }
  const database = await alone(openAppDatabase);
  try {
    say(`Backing up to ${file}…`);
    mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 });
    await dump(database, file);
    await note(database);
    say(`Done: ${megabytes(file)}.`);
  } finally {
    database.stop();
  }
}

// Under another name until it is whole: what is cut off never looks like a backup.
async function dump({ url }, file) {
  const part = `${file}.part`;
  rmSync(part, { force: true });
  // What is made from here on nobody else can read.
  process.umask(0o077);
  const args = ['--format=custom', '--no-owner', '--no-privileges', '--table=public.*', `--file=${part}`];
  const done = await postgresTool('pg_dump', url, args);
  if (!done.ok) {
    rmSync(part, { force: true });
    throw new Stop(`It could not be backed up: ${done.why} Nothing was changed.`);
  }
  chmodSync(part, 0o600);
  renameSync(part, file);
}

async function note({ url }) {
  await withAdmin(url, (client) =>
    client.query(
      `INSERT INTO server_facts (name, value) VALUES ($1, to_jsonb(now()))
        ON CONFLICT (name) DO UPDATE SET value = EXCLUDED.value`,
      [FACT],
    ),
  );
}

/** Keeps what is there before something takes its place; gives the file. */
export async function backUpBefore(database, what) {
  const folder = path.join(ensureLocal(), 'backups');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  chmodSync(folder, 0o700);
  const file = path.join(folder, `before-${what}-${new Date().toISOString().replaceAll(':', '-')}.backup`);
  say(`Keeping what is there now in ${file}…`);
  await dump(database, file);
  return file;
}

const megabytes = (file) => `${(statSync(file).size / 1_000_000).toFixed(1)} MB`;
