import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { programsFor } from './postgres.mjs';
import { Stop, say } from './say.mjs';

/** The one role of a cluster. */
export const USER = 'nimble';
const HALF_MADE = 'data-half-made';

/** Whether a folder holds a cluster: PostgreSQL marks it with its version. */
export function holdsCluster({ home, data }) {
  return home.asOwner('test', ['-f', path.join(data, 'PG_VERSION')]).ok;
}

/**
 * Makes the cluster's files where there are none, in a folder beside, which is moved into place when it is whole: what
 * was cut short is made again, and a folder with a cluster in it is never written over.
 */
export function ensureMade(cluster) {
  const { home, data } = cluster;
  const half = path.join(home.folder, HALF_MADE);
  if (holdsCluster(cluster)) return;
  if (existsSync(data) && readdirSync(data).length > 0) {
    throw new Stop(
      `${data} should hold the database, but holds something else. Nothing was changed. Move it elsewhere and start again.`,
    );
  }
  say(`Making a database in ${home.folder}…`);
  rmSync(half, { recursive: true, force: true });
  mkdirSync(half, { recursive: true });
  chmodSync(half, 0o700);
  home.owned(half);
  const settings = [
    '-U',
    USER,
    '--auth=scram-sha-256',
    `--pwfile=${passwordFile(home)}`,
    '-E',
    'UTF8',
    '--locale=C.UTF-8',
  ];
  const made = home.asOwner(path.join(programsFor(cluster), 'initdb'), ['-D', half, ...settings]);
  if (!made.ok) {
    rmSync(half, { recursive: true, force: true });
    throw new Stop(`The database could not be made in ${home.folder}:\n${made.output.slice(-1500)}`);
  }
  rmSync(data, { recursive: true, force: true });
  renameSync(half, data);
}

const passwordFile = (home) => path.join(home.folder, 'password');

/** The password of the cluster's role, made where there is no cluster yet; null where its file is lost. */
export function readPassword(cluster) {
  const { home } = cluster;
  const file = passwordFile(home);
  if (!existsSync(file)) {
    if (holdsCluster(cluster)) return null;
    return writePassword(home);
  }
  const read = home.asOwner('cat', [file]);
  if (!read.ok)
    throw new Stop(`The database's password cannot be read: ${file}\nIt belongs to another user.`);
  return read.output === '' && holdsCluster(cluster) ? null : read.output;
}

function writePassword(home) {
  const password = randomBytes(18).toString('hex');
  writeFileSync(passwordFile(home), password, { mode: 0o600 });
  home.owned(passwordFile(home));
  return password;
}

/**
 * Gives the role another password where its file was lost. Whoever owns the files may: PostgreSQL's single-user mode
 * asks for none. The cluster must not be running.
 */
export function renewPassword(cluster) {
  const { home, data } = cluster;
  say('The file with the database’s password is lost; the database gets a new one.');
  const password = writePassword(home);
  const sql = `ALTER ROLE ${USER} PASSWORD '${password}'\n`;
  const postgres = path.join(programsFor(cluster), 'postgres');
  const done = home.asOwner(postgres, ['--single', '-D', data, 'postgres'], sql);
  if (done.ok && !/ERROR|FATAL/.test(done.output)) return password;
  rmSync(passwordFile(home), { force: true });
  throw new Stop(
    `The database could not be given a new password. Nothing else was changed:\n${done.output.slice(-800)}`,
  );
}
