import { createHash } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import { ensureLocal, LOCAL } from './places.mjs';
import { quiet, run } from './run.mjs';
import { Stop, say } from './say.mjs';

// PostgreSQL refuses to run as root; Debian's package brings this account.
const ACCOUNT = 'postgres';

/**
 * Where a cluster's files are and who owns them. PostgreSQL refuses to run as root: then Debian's
 * `postgres` account owns them, in the clone where it can get there, else in a folder of its own.
 */
export function clusterHome(name) {
  const asRoot = process.getuid?.() === 0;
  const inClone = path.join(ensureLocal(), `postgres-${name}`);
  if (!asRoot) {
    mkdirSync(inClone, { recursive: true, mode: 0o700 });
    return {
      folder: inClone,
      asOwner: (command, args, input) => quiet(command, args, { input }),
      owned: () => undefined,
    };
  }
  if (!quiet('id', ['-u', ACCOUNT]).ok) {
    throw new Stop(
      `PostgreSQL cannot run as root, and there is no account “${ACCOUNT}”. Start as an ordinary user.`,
    );
  }
  const folder = canReach(LOCAL)
    ? inClone
    : path.join('/var/lib/nimble-lever', placeOf(LOCAL), `postgres-${name}`);
  if (!existsSync(folder)) {
    mkdirSync(folder, { recursive: true });
    if (folder !== inClone)
      say(`The account “${ACCOUNT}” cannot get to this clone, so the data is kept in ${folder}.`);
  }
  chmodSync(folder, 0o700);
  run('chown', [ACCOUNT, folder]);
  return {
    folder,
    asOwner: (command, args, input) =>
      quiet('runuser', ['-u', ACCOUNT, '--', command, ...args], { cwd: '/', input }),
    owned: (file) => run('chown', [ACCOUNT, file]),
  };
}

// A folder below one that is closed to the account cannot be used, whatever its own rights.
function canReach(folder) {
  return quiet('runuser', ['-u', ACCOUNT, '--', 'test', '-x', folder], { cwd: '/' }).ok;
}

/** A short name for a clone, the same each time. */
function placeOf(folder) {
  return createHash('sha256').update(folder).digest('hex').slice(0, 12);
}
