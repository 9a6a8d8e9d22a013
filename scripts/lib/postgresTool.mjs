import { spawn } from 'node:child_process';
import path from 'node:path';
import { newestPrograms } from './postgres.mjs';

/** Of what a tool says is wrong, so much is kept: characters. */
const MOST_SAID = 10_000;

/** Runs one of PostgreSQL's own tools on the database at an address. `why`, where it fails, is the first line it said. */
export async function postgresTool(program, address, args) {
  const { child, ended } = startTool(program, args, address);
  child.stdin.end();
  child.stdout.resume();
  return ended;
}

/**
 * The same, with what it reads and prints at hand; without an address it is for files only. The password goes by the
 * environment: arguments are seen by everybody on the computer.
 */
export function startTool(program, args, address = null) {
  const env = address === null ? process.env : environmentOf(new URL(address));
  const child = spawn(path.join(newestPrograms(), program), args, { env, stdio: ['pipe', 'pipe', 'pipe'] });
  let said = '';
  // One that ends early says why by its code.
  child.stdin.on('error', () => undefined);
  child.stderr.setEncoding('utf8').on('data', (text) => {
    said = (said + text).slice(0, MOST_SAID);
  });
  const ended = new Promise((resolve) => {
    child.on('error', ({ message }) => resolve({ ok: false, why: `${program} cannot be run (${message}).` }));
    child.on('close', (code) => {
      const [line = 'it was ended'] = said.split('\n').filter(Boolean);
      resolve({ ok: code === 0, why: `${line.replace(/^(?:pg_\w+|psql:\S*): (?:error: |ERROR: +)?/, '')}.` });
    });
  });
  return { child, ended };
}

function environmentOf(url) {
  return {
    ...process.env,
    PGHOST: decodeURIComponent(url.hostname),
    PGPORT: url.port || '5432',
    PGUSER: decodeURIComponent(url.username),
    PGPASSWORD: decodeURIComponent(url.password),
    PGDATABASE: decodeURIComponent(url.pathname.slice(1)),
  };
}
