import { rmSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { freePort, isFree } from './ports.mjs';
import { programsFor } from './postgres.mjs';
import { nameOf } from './processes.mjs';
import { Stop } from './say.mjs';
import { troubleIn } from './trouble.mjs';

const TRIES = 20;
const PAUSE_MS = 500;

/** The port a cluster's server runs on; null where none runs. A file that a copied folder brought along counts not. */
export function runningPort({ home, data }) {
  const read = home.asOwner('cat', [path.join(data, 'postmaster.pid')]);
  if (!read.ok) return null;
  const [pid, folder, , port] = read.output.split('\n');
  const runs = folder === data && nameOf(Number(pid)) === 'postgres';
  return runs && Number(port) > 0 ? Number(port) : null;
}

/**
 * Starts a cluster's server. On the port it should have where that is given, else on any free one. Tries again only
 * while processes of a crashed one are still there or another program holds the port; anything else is told at once.
 */
export async function startPostmaster(cluster, wanted = null) {
  const { home, data, log } = cluster;
  const pgCtl = path.join(programsFor(cluster), 'pg_ctl');
  for (let tries = 1; ; tries++) {
    dropStalePid(cluster);
    const port = wanted ?? (await freePort());
    const settings = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories= ${cluster.settings}`;
    const before = sizeOf(cluster);
    const args = ['start', '-w', '-t', '60', '-s', '-D', data, '-l', log, '-o', settings];
    const started = home.asOwner(pgCtl, args);
    if (started.ok) return port;
    const running = runningPort(cluster);
    if (running !== null) return running;
    const said = `${started.output}\n${home.asOwner('tail', ['-c', `+${before + 1}`, log]).output}`;
    const trouble = troubleIn(said);
    const passes = trouble === 'in-use' || (wanted !== null && !(await isFree(wanted)));
    if (!passes || tries >= TRIES)
      throw new Stop(trouble === 'in-use' ? inUse(log, said) : trouble.words(cluster, said));
    await sleep(PAUSE_MS);
  }
}

function inUse(log, said) {
  return `PostgreSQL did not start: something of it is still in use. Its log is ${log}:\n${said.trim().slice(-800)}`;
}

function sizeOf({ home, log }) {
  return Number(home.asOwner('stat', ['-c', '%s', log]).output) || 0;
}

/** A pid file whose process is gone, is some other program now, or serves another folder would be in the way. */
function dropStalePid(cluster) {
  if (runningPort(cluster) === null) rmSync(path.join(cluster.data, 'postmaster.pid'), { force: true });
}

/** Stops a cluster's server; whether it was running. */
export function stopPostmaster(cluster) {
  const { home, data } = cluster;
  return home.asOwner(path.join(programsFor(cluster), 'pg_ctl'), [
    'stop',
    '-w',
    '-s',
    '-m',
    'fast',
    '-D',
    data,
  ]).ok;
}
