import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { ensureDebianPackage } from './packages.mjs';
import { quiet } from './run.mjs';

const DEBIAN = '/usr/lib/postgresql';

/** The folder of PostgreSQL's own programs (initdb, pg_ctl), installed where it is missing. */
export function ensurePostgres() {
  ensureDebianPackage('postgresql', () => findPrograms() !== null);
  return findPrograms();
}

function findPrograms() {
  const versions = existsSync(DEBIAN) ? readdirSync(DEBIAN) : [];
  const folders = versions
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => path.join(DEBIAN, version, 'bin'));
  const asked = quiet('pg_config', ['--bindir']);
  if (asked.ok) folders.push(asked.output);
  return folders.find((folder) => existsSync(path.join(folder, 'initdb'))) ?? null;
}
