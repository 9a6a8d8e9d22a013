import { spawn } from 'node:child_process';
import path from 'node:path';
import { ROOT, SERVER_DIST, WEB_DIST } from './places.mjs';

/** Exit code with which the server says that its port is in use. */
export const PORT_TAKEN = 98;

/** Exit code with which it says that the database cannot be used; it has told why. */
export const UNUSABLE = 97;

/**
 * Starts the server in a process group of its own, so that Ctrl+C reaches only this process, which then
 * stops things in order. `ready` resolves with the address, or with null when the server ended before; then `elsewhere`
 * gives those for other devices.
 */
export function spawnServer(settings, { quietly = false } = {}) {
  const child = spawn(process.execPath, ['--enable-source-maps', path.join(SERVER_DIST, 'main.mjs')], {
    cwd: ROOT,
    env: { ...process.env, WEB_DIST, ...settings },
    stdio: ['ignore', quietly ? 'ignore' : 'inherit', 'inherit', 'ipc'],
    detached: true,
  });
  let elsewhere = [];
  const exited = new Promise((resolve) => child.once('exit', (code, signal) => resolve({ code, signal })));
  const ready = new Promise((resolve) => {
    child.once('message', ({ address, entrance, elsewhere: others }) => {
      elsewhere = others;
      resolve(entrance ?? address);
    });
    exited.then(() => resolve(null));
  });
  return { child, ready, exited, elsewhere: () => elsewhere };
}
