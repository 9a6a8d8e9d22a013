import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { ensureDebianPackage } from './packages.mjs';
import { quiet } from './run.mjs';
import { Stop } from './say.mjs';

const DEBIAN = '/usr/lib/postgresql';

/** Installs Debian's PostgreSQL where none is. */
export function ensurePostgres() {
  ensureDebianPackage('postgresql', () => installed().length > 0);
}

/** PostgreSQL's programs (initdb, pg_ctl) that are installed, newest version first. */
function installed() {
  const versions = existsSync(DEBIAN) ? readdirSync(DEBIAN) : [];
  const found = versions
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => ({ version, folder: path.join(DEBIAN, version, 'bin') }));
  const asked = quiet('pg_config', ['--bindir']);
  if (asked.ok) {
    const version = /PostgreSQL (\d+)/.exec(quiet('pg_config', ['--version']).output)?.[1] ?? '';
    found.push({ version, folder: asked.output });
  }
  return found.filter(({ folder }) => existsSync(path.join(folder, 'initdb')));
}

/** The folder of the newest programs: they back up servers of their own version and older ones. */
export function newestPrograms() {
  return installed()[0]?.folder ?? '';
}

/** The folder of the programs that fit a cluster: those of the version that made it; for a new one the newest. */
export function programsFor({ home, data }) {
  const all = installed();
  const read = home.asOwner('cat', [path.join(data, 'PG_VERSION')]);
  if (!read.ok) return all[0]?.folder ?? '';
  const fitting = all.find(({ version }) => version === read.output);
  if (fitting) return fitting.folder;
  const here = all.map(({ version }) => version).join(', ');
  throw new Stop(
    `The database in ${data} was made by PostgreSQL ${read.output}; installed is ${here}. Nothing was changed. Install that version (on Debian: postgresql-${read.output}), or move the folder elsewhere to begin with a new, empty database.`,
  );
}
