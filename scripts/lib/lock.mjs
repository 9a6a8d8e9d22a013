import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { ensureLocal, LOCAL } from './places.mjs';
import { say } from './say.mjs';

const PAUSE_MS = 300;
const NAME = createHash('sha256').update(LOCAL).digest('hex').slice(0, 32);

/**
 * Does work that only one command may do in this clone at a time; another one waits, and says for whom. The lock is
 * an abstract socket (unix(7)): the system frees it when its process ends, however that happens.
 */
export async function alone(work, what = path.basename(process.argv[1] ?? 'a command', '.mjs')) {
  const file = path.join(ensureLocal(), 'at-it');
  let said = false;
  let lock = await take();
  while (!lock) {
    if (!said) say(`${whoIn(file)} is setting this clone up; waiting for it…`);
    said = true;
    await sleep(PAUSE_MS);
    lock = await take();
  }
  writeFileSync(file, `${what} (process ${process.pid})`);
  try {
    return await work({ waited: said });
  } finally {
    await new Promise((resolve) => lock.close(resolve));
  }
}

function take() {
  return new Promise((resolve, reject) => {
    const server = createServer((socket) => socket.destroy());
    server.once('error', (error) => (error.code === 'EADDRINUSE' ? resolve(null) : reject(error)));
    server.listen(`\0nimble-lever-${NAME}`, () => resolve(server));
  });
}

function whoIn(file) {
  try {
    return `“${readFileSync(file, 'utf8')}”`;
  } catch {
    return 'Another command';
  }
}
