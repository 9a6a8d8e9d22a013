import { randomBytes } from 'node:crypto';
import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { pathToFileURL } from 'node:url';
import pg from 'pg';
import { BESIDE, openAppDatabase, withAdmin } from './appDatabase.mjs';
import { copyData, dataIn, rowsIn } from './archive.mjs';
import { backUpBefore } from './backup.mjs';
import { sibling } from './databases.mjs';
import { alone } from './lock.mjs';
import { SERVER_DIST } from './places.mjs';
import { Stop, say } from './say.mjs';

/** How a file in PostgreSQL's own format begins (PostgreSQL, src/bin/pg_dump/pg_backup_archiver.c). */
const BEGINS = 'PGDMP';
const MIGRATIONS = 'migrations';
/** A connection that is being closed is gone by then. */
const LEAVES_MS = 3_000;

/**
 * Puts everything back as a backup has it: all of it or nothing. Nothing of the file is run: its data goes into tables
 * that this version makes, in a database of its own, which takes the old one's place when it was read through. What is
 * there before is backed up first. No server may run meanwhile.
 */
export async function restore(file) {
  check(file);
  const data = await dataIn(file);
  const done = (await rowsIn(file, MIGRATIONS)).map((columns) => columns.at(-1) ?? '');
  if (!data.has('set_ups') || done.length === 0) {
    throw new Stop(`${file} is no backup of Nimble Lever, or it is damaged. Nothing was changed.`);
  }
  // The lock of the start command, whatever the port: none starts meanwhile.
  await alone(async () => {
    const database = await openAppDatabase();
    try {
      await refuseWhileInUse(database);
      const before = await backUpBefore(database, 'restore');
      say(`Restoring ${file}…`);
      await inPlace(database, before, (url) => fill(url, file, data, done));
      say('Done. Start Nimble Lever again by npm start.');
    } finally {
      database.stop();
    }
  });
}

function check(file) {
  if (!existsSync(file)) throw new Stop(`${file}: There is no such file. Nothing was changed.`);
  const stat = statSync(file);
  if (!stat.isFile() || !isArchive(file)) {
    throw new Stop(`${file} is no backup of Nimble Lever, or it is damaged. Nothing was changed.`);
  }
  if ((stat.mode & 0o022) !== 0) {
    throw new Stop(
      `Others on this computer may change ${file}. Nothing was changed. If it is as you made it, make it yours alone and restore it again:\n\n  chmod 600 ${file}\n`,
    );
  }
}

function isArchive(file) {
  const handle = openSync(file, 'r');
  try {
    const bytes = Buffer.alloc(BEGINS.length);
    readSync(handle, bytes, 0, bytes.length, 0);
    return bytes.toString('latin1') === BEGINS;
  } finally {
    closeSync(handle);
  }
}

/** A server would go on with what it has in memory. */
async function refuseWhileInUse({ admin, name, cluster }) {
  const others = cluster?.others() ?? [];
  if (others.length > 0) {
    throw new Stop(
      `Nimble Lever is running (process ${others.join(', ')}). Stop it first (Ctrl+C where it runs). Nothing was changed.`,
    );
  }
  for (let waited = 0; ; waited += 200) {
    const connected = await withAdmin(admin, async (client) => {
      const { rows } = await client.query(
        `SELECT coalesce(nullif(application_name, ''), 'a program') AS who FROM pg_stat_activity
          WHERE datname = $1 AND pid <> pg_backend_pid()`,
        [name],
      );
      return rows.map(({ who }) => who);
    });
    if (connected.length === 0) return;
    if (waited >= LEAVES_MS) {
      throw new Stop(
        `Something uses the database (${[...new Set(connected)].join(', ')}): Nimble Lever is running, perhaps on another port or computer. Stop it first. Nothing was changed.`,
      );
    }
    await sleep(200);
  }
}

/** Makes a database beside, has it filled, and puts it in the old one's place. Whatever fails, the old one stays. */
async function inPlace({ admin, url, name, role }, before, work) {
  const mark = randomBytes(4).toString('hex');
  const [made, old] = [`${name}${BESIDE}${mark}_new`, `${name}${BESIDE}${mark}_old`];
  const sql = pg.escapeIdentifier;
  await withAdmin(admin, async (client) => {
    await client
      .query(`CREATE DATABASE ${sql(made)} TEMPLATE template0${role ? ` OWNER ${sql(role)}` : ''}`)
      .catch((error) => {
        if (error.code !== '42501') throw error;
        throw new Stop(
          'The account of DATABASE_URL may not make databases, which restoring needs. Nothing was changed. Give it CREATEDB, or use another account.',
        );
      });
    try {
      await work(sibling(url, made));
      await refuseOthersTables(url, sibling(url, made));
      // Both or neither, whatever happens meanwhile.
      await client.query('BEGIN');
      await client.query(`ALTER DATABASE ${sql(name)} RENAME TO ${sql(old)}`);
      await client.query(`ALTER DATABASE ${sql(made)} RENAME TO ${sql(name)}`);
      await client.query('COMMIT');
    } catch (error) {
      await client.query('ROLLBACK');
      await client.query(`DROP DATABASE IF EXISTS ${sql(made)} WITH (FORCE)`);
      throw told(error, before);
    }
    await client.query(`DROP DATABASE ${sql(old)} WITH (FORCE)`);
  });
}

/** A database that holds something else as well would lose it. */
async function refuseOthersTables(there, made) {
  const tables = (url) =>
    withAdmin(url, async (client) => {
      const { rows } = await client.query(
        `SELECT format('%s.%s', n.nspname, c.relname) AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
          WHERE c.relkind IN ('r', 'p', 'v', 'm', 'f') AND n.nspname !~ '^(pg_|information_schema$)'`,
      );
      return rows.map(({ name }) => name);
    });
  const ours = new Set(await tables(made));
  const others = (await tables(there)).filter((name) => !ours.has(name));
  if (others.length > 0) {
    throw new Stop(
      `The database holds more than Nimble Lever's own tables (${others.slice(0, 5).join(', ')}), which restoring would take away. Nothing was changed. Use a database of its own.`,
    );
  }
}

/** Said in words; `before` has what is there. */
function told(error, before) {
  if (error instanceof Stop) return error;
  // PostgreSQL, appendix A: object_in_use.
  const why =
    error.code === '55006'
      ? 'Something has begun to use the database meanwhile. Stop it and try again.'
      : error.message;
  return new Stop(`It could not be restored: ${why} Nothing was changed; ${before} has what is there.`);
}

/** Makes the tables as the backup's version had them, copies its data, brings them up to date and reads all of it. */
async function fill(url, file, data, done) {
  const { ensureServer } = await import('./build.mjs');
  await ensureServer({ quietly: true });
  const restored = pathToFileURL(path.join(SERVER_DIST, 'restored.mjs')).href;
  const { makeTables, checkRestored } = await import(restored);
  const tables = await makeTables(url, done);
  const known = new Set([MIGRATIONS, ...tables.map((table) => table.name)]);
  const strange = [...data.keys()].filter((name) => !known.has(name));
  if (strange.length > 0) {
    throw new Stop(
      `${file} has data of tables that Nimble Lever does not have (${strange.join(', ')}). Nothing was changed.`,
    );
  }
  const ours = tables.filter((table) => data.has(table.name)).map(({ name }) => [name, data.get(name)]);
  await copyData(file, new Map(ours), url);
  const { setUps, unreadable } = await checkRestored(url);
  if (setUps === 0) throw new Stop(`${file} has no set-up in it. Nothing was changed.`);
  say(
    `Set-ups: ${setUps}${unreadable > 0 ? `; parts that cannot be read, kept as they are: ${unreadable}` : ''}.`,
  );
}
