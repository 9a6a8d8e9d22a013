import { createHmac } from 'node:crypto';
import pg from 'pg';
import { openServer } from './database.mjs';
import { sibling } from './databases.mjs';
import { Stop, say } from './say.mjs';

/** The role that the server works with: it owns its database and nothing else. */
export const APP_ROLE = 'nimble_app';
export const APP_DATABASE = 'nimble_lever';
/** What restoring makes beside it is called so; with the clone's lock taken, it is left from one that was cut short. */
export const BESIDE = '_beside_';

/**
 * The database that the server keeps everything in: the one `DATABASE_URL` names, or one on a cluster of this clone's
 * own, which is made, or brought over from a version that worked with the cluster's superuser. `url` is the server's,
 * `admin` that of who may make and rename databases.
 */
export async function openAppDatabase() {
  const server = await openServer('app');
  if (server.given) {
    const name = decodeURIComponent(new URL(server.url).pathname.slice(1));
    return { ...server, admin: sibling(server.url, 'postgres'), name, role: null };
  }
  try {
    const password = await prepare(server.url);
    const url = new URL(sibling(server.url, APP_DATABASE));
    url.username = APP_ROLE;
    url.password = password;
    return { ...server, url: url.href, admin: server.url, name: APP_DATABASE, role: APP_ROLE };
  } catch (error) {
    server.stop();
    throw error;
  }
}

/** Makes role and database where they are missing; gives the role's password. */
async function prepare(admin) {
  // Of the superuser's, so that there is one file to keep; it does not lead back to that.
  const password = createHmac('sha256', decodeURIComponent(new URL(admin).password))
    .update(APP_ROLE)
    .digest('hex');
  await withAdmin(admin, async (client) => {
    const role = await client.query('SELECT 1 FROM pg_roles WHERE rolname = $1', [APP_ROLE]);
    if (role.rowCount === 0) await client.query(`CREATE ROLE ${APP_ROLE}`);
    await client.query(
      `ALTER ROLE ${APP_ROLE} LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION NOBYPASSRLS PASSWORD '${password}'`,
    );
    const { rows } = await client.query(
      'SELECT pg_get_userbyid(datdba) AS owner FROM pg_database WHERE datname = $1',
      [APP_DATABASE],
    );
    const [database] = rows;
    const left = await client.query('SELECT datname FROM pg_database WHERE starts_with(datname, $1)', [
      `${APP_DATABASE}${BESIDE}`,
    ]);
    for (const { datname } of left.rows) {
      await client.query(`DROP DATABASE ${client.escapeIdentifier(datname)} WITH (FORCE)`);
    }
    if (!database) await client.query(`CREATE DATABASE ${APP_DATABASE} OWNER ${APP_ROLE}`);
    else if (database.owner !== APP_ROLE) await handOver(admin, client);
  });
  return password;
}

/** The database's owner comes last: what was cut short is done again. */
async function handOver(admin, client) {
  say('The database is handed over to an account that may do nothing else…');
  await withAdmin(sibling(admin, APP_DATABASE), async (inside) => {
    await inside.query('BEGIN');
    // As PostgreSQL names them; what belongs to a table (its indexes, its sequences, its row type) goes with it.
    const { rows } = await inside.query(
      `SELECT format('ALTER %s %I.%I OWNER TO ${APP_ROLE}',
          CASE c.relkind WHEN 'S' THEN 'SEQUENCE' WHEN 'v' THEN 'VIEW' WHEN 'm' THEN 'MATERIALIZED VIEW'
            WHEN 'f' THEN 'FOREIGN TABLE' ELSE 'TABLE' END, n.nspname, c.relname) AS sql
        FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace
        WHERE c.relkind IN ('r', 'p', 'S', 'v', 'm', 'f') AND n.nspname = 'public'
          AND NOT EXISTS (SELECT 1 FROM pg_depend d WHERE d.classid = 'pg_class'::regclass AND d.objid = c.oid
            AND d.refclassid = 'pg_class'::regclass AND d.deptype IN ('a', 'i'))
      UNION ALL
      SELECT format('ALTER ROUTINE %s OWNER TO ${APP_ROLE}', p.oid::regprocedure)
        FROM pg_proc p JOIN pg_namespace n ON n.oid = p.pronamespace WHERE n.nspname = 'public'
      UNION ALL SELECT 'ALTER SCHEMA public OWNER TO ${APP_ROLE}'`,
    );
    for (const { sql } of rows) await inside.query(sql);
    await inside.query('COMMIT');
  });
  await client.query(`ALTER DATABASE ${APP_DATABASE} OWNER TO ${APP_ROLE}`);
}

/** A connection of who may make databases, for one piece of work. */
export async function withAdmin(url, work) {
  const client = new pg.Client({ connectionString: url });
  try {
    await client.connect();
  } catch (error) {
    await client.end().catch(() => undefined);
    throw refused(error);
  }
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** PostgreSQL's codes of errors, appendix A: a wrong password, a wrong account, no database of that name, no right. */
function refused(error) {
  if (error.code === '28P01' || error.code === '28000') {
    return new Stop(
      process.env.DATABASE_URL
        ? 'The database server refused the name or password. Nothing was changed. Correct DATABASE_URL.'
        : 'The database refused its password: the file “password” beside its data holds another one. Nothing was changed. Stop every Nimble Lever of this clone, remove that file and start again: a new one is made.',
    );
  }
  if (error.code === 'ECONNREFUSED' || error.code === '3D000' || error.code === '42501') {
    return new Stop(`The database server cannot be used: ${error.message}. Nothing was changed.`);
  }
  return error;
}
