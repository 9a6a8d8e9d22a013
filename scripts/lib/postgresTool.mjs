import { spawn } from 'node:child_process';
import path from 'node:path';
import { newestPrograms } from './postgres.mjs';

/**
 * Runs one of PostgreSQL's own tools on the database at an address. `why`, where it fails, is the first line it said.
 * The password goes by the environment: arguments are seen by everybody on the computer.
 */
export async function postgresTool(program, address, args) {
  const url = new URL(address);
  const env = {
    ...process.env,
    PGHOST: decodeURIComponent(url.hostname),
    PGPORT: url.port || '5432',
    PGUSER: decodeURIComponent(url.username),
    PGPASSWORD: decodeURIComponent(url.password),
  };
  const child = spawn(path.join(newestPrograms(), program), [`--dbname=${url.pathname.slice(1)}`, ...args], {
    env,
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  let said = '';
  child.stderr.setEncoding('utf8').on('data', (text) => {
    said += text;
  });
  return new Promise((resolve) => {
    child.on('error', ({ message }) => resolve({ ok: false, why: `${program} cannot be run (${message}).` }));
    child.on('close', (code) => {
      const [line = ''] = said.split('\n').filter(Boolean);
      resolve({ ok: code === 0, why: `${line.replace(/^pg_\w+: (error: )?/, '')}.` });
    });
  });
}
