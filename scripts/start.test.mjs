// The start command itself, on data of its own.
import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from './lib/ports.mjs';

const ROOT = path.resolve(__dirname, '..');
let local;
let port;
beforeAll(async () => {
  local = mkdtempSync(path.join(tmpdir(), 'nimble-lever-start-'));
  chmodSync(local, 0o755);
  port = await freePort();
});
afterAll(() => rmSync(local, { recursive: true, force: true }));

/** Runs the start command; `until` resolves when it has printed something, `ended` with what it printed in all. */
function start() {
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd: ROOT,
    env: { ...process.env, LOCAL_DIR: local, PORT: String(port), DATABASE_URL: '', LOG_LEVEL: 'fatal' },
  });
  const said = { text: '' };
  for (const stream of [child.stdout, child.stderr]) {
    stream.on('data', (data) => {
      said.text += data;
    });
  }
  const ended = new Promise((resolve) => child.once('close', (code) => resolve({ code, output: said.text })));
  const until = async (pattern) => {
    while (!pattern.test(said.text)) {
      if (child.exitCode !== null) throw new Error(`It ended: ${said.text}`);
      await pause(50);
    }
  };
  return { child, ended, until };
}
/** The command line on the same data, with nothing said of the port. */
function lever(...words) {
  const env = { ...process.env, LOCAL_DIR: local, DATABASE_URL: '' };
  const done = spawnSync(process.execPath, ['scripts/lever.mjs', ...words], {
    cwd: ROOT,
    env,
    encoding: 'utf8',
  });
  return { status: done.status, said: `${done.stdout}${done.stderr}` };
}
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const database = async () => {
  const answer = await fetch(`http://127.0.0.1:${port}/api/health`, { signal: AbortSignal.timeout(20_000) });
  return (await answer.json()).database;
};
const killPostgres = () => {
  const pid = readFileSync(path.join(local, 'postgres-app/data/postmaster.pid'), 'utf8').split('\n')[0];
  process.kill(Number(pid), 'SIGKILL');
};

test('of two that start at once one waits and finds it running; a database that ends is brought back, by the command or by the next one', async () => {
  const [first, second] = [start(), start()];
  const one = await Promise.race([first.ended.then(() => first), second.ended.then(() => second)]);
  const other = one === first ? second : first;
  const { code, output } = await one.ended;
  expect(code).toBe(0);
  expect(output).toMatch(/is setting this clone up; waiting for it[\s\S]*already running/);
  await other.until(/is served at/);

  killPostgres();
  await other.until(/PostgreSQL has ended; starting it again[\s\S]*PostgreSQL runs again/);
  while ((await database()) !== 'up') await pause(100);

  // The command that would bring it back is held up: the next one mends it.
  other.child.kill('SIGSTOP');
  killPostgres();
  while ((await database()) !== 'down') await pause(100);
  const mended = await start().ended;
  expect(mended.code).toBe(0);
  expect(mended.output).toMatch(/does not answer; mending it[\s\S]*already running/);
  expect(await database()).toBe('up');

  other.child.kill('SIGCONT');

  // On whatever port the server is: nothing takes its database's place.
  const file = path.join(local, 'all.backup');
  expect(lever('backup', file)).toMatchObject({ status: 0 });
  const refused = lever('restore', file);
  expect(refused).toMatchObject({
    status: 1,
    said: expect.stringContaining('Nimble Lever is running (process '),
  });

  other.child.kill('SIGINT');
  const stopped = await other.ended;
  expect(stopped.output).toMatch(/Server stopped[\s\S]*PostgreSQL stopped/);
}, 180_000);

test('a port that something else has is said, and what to do', async () => {
  const { createServer } = await import('node:http');
  const server = createServer((_request, response) => response.end('hello'));
  await new Promise((resolve) => server.listen(port, '127.0.0.1', resolve));
  const { code, output } = await start().ended;
  server.close();
  expect(code).toBe(1);
  expect(output).toContain(`Port ${port} is in use by another program. Choose another one`);
});
