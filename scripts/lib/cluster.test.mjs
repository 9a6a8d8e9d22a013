// A real cluster in a folder of its own, and what may become of one.
import { spawn } from 'node:child_process';
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { nameOf } from './processes.mjs';

let local;
beforeAll(() => {
  local = mkdtempSync(path.join(tmpdir(), 'nimble-lever-cluster-'));
  chmodSync(local, 0o755);
});
afterAll(async () => {
  await say(`stopPostmaster(clusterOf('app'));`);
  rmSync(local, { recursive: true, force: true });
});

const lib = path.join(__dirname);
const home = () => path.join(local, 'postgres-app');
const data = () => path.join(home(), 'data');

/** Runs a few lines in a process of their own, as a command would; gives what it printed. */
function say(lines, folder = local) {
  const program = `
    import { clusterOf, mendCluster, startCluster } from '${lib}/cluster.mjs';
    import { runningPort, stopPostmaster } from '${lib}/postmaster.mjs';
    import { openAppDatabase } from '${lib}/appDatabase.mjs';
    import { alone } from '${lib}/lock.mjs';
    import { main } from '${lib}/say.mjs';
    import { setTimeout as sleep } from 'node:timers/promises';
    import pg from 'pg';
    const ask = async (url, sql) => {
      const client = new pg.Client({ connectionString: url });
      await client.connect();
      const { rows } = await client.query(sql);
      await client.end();
      return rows;
    };
    await main(async () => { ${lines} });
    process.exit(process.exitCode ?? 0);`;
  return new Promise((resolve) => {
    const child = spawn(process.execPath, ['--input-type=module', '-e', program], {
      env: { ...process.env, LOCAL_DIR: folder },
      cwd: path.join(lib, '../..'),
    });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (output += text));
    child.on('close', (code) => resolve({ code, output }));
  });
}
const START = `const { urlOf, port } = await startCluster('app'); const url = urlOf('postgres');`;
const killed = async () => {
  const pid = Number(readFileSync(path.join(data(), 'postmaster.pid'), 'utf8').split('\n')[0]);
  process.kill(pid, 'SIGKILL');
  while (nameOf(pid) !== null) await new Promise((resolve) => setTimeout(resolve, 20));
};

test('a cluster is made, started, left running for others, and killed it comes back on its port with its data', async () => {
  const first = await say(
    `${START} await ask(url, 'CREATE TABLE kept AS SELECT 7 AS n'); console.log('port', port);`,
  );
  expect(first.output).toMatch(/Making a database[\s\S]*started on 127\.0\.0\.1/);
  const [, port] = /port (\d+)/.exec(first.output) ?? [];
  expect(Number(port)).toBeLessThan(32_768);
  await killed();
  const mended = await say(`console.log(await mendCluster('app'), runningPort(clusterOf('app')));`);
  expect(mended.output).toContain(`true ${port}`);
  const again = await say(
    `${START} console.log(JSON.stringify(await ask(url, 'SELECT n FROM kept')), port);`,
  );
  expect(again.output).toContain(`[{"n":7}] ${port}`);
  expect((await say(`console.log(await mendCluster('app'))`)).output).toContain('false');
}, 120_000);

test('whatever else is deleted, a folder with a cluster in it is never made anew', async () => {
  for (const name of ['port', 'users', 'log'])
    rmSync(path.join(home(), name), { recursive: true, force: true });
  const { output } = await say(`${START} console.log(JSON.stringify(await ask(url, 'SELECT n FROM kept')));`);
  expect(output).not.toContain('Making a database');
  expect(output).toContain('[{"n":7}]');
}, 60_000);

test('a lost password is made anew, with everything kept', async () => {
  rmSync(path.join(home(), 'password'));
  const { output } = await say(`${START} console.log(JSON.stringify(await ask(url, 'SELECT n FROM kept')));`);
  expect(output).toMatch(/password is lost[\s\S]*\[\{"n":7\}\]/);
}, 60_000);

test('the server’s account owns its database and may do nothing else, also where an older version made it; a wrong password is told', async () => {
  const { output } = await say(`${START}
    await ask(url, 'CREATE DATABASE nimble_lever');
    await ask(urlOf('nimble_lever'), 'CREATE TABLE set_ups (n serial PRIMARY KEY); INSERT INTO set_ups DEFAULT VALUES; CREATE VIEW seen AS SELECT n FROM set_ups');
    await ask(url, 'CREATE DATABASE nimble_lever_beside_ab12_new');
    for (let turn = 0; turn < 2; turn++) {
      const app = await openAppDatabase();
      const [who] = await ask(app.url, 'SELECT current_user AS who, rolsuper OR rolcreatedb OR rolcreaterole AS more FROM pg_roles WHERE rolname = current_user');
      await ask(app.url, 'ALTER TABLE set_ups ADD COLUMN name text; ALTER TABLE set_ups DROP COLUMN name; INSERT INTO set_ups DEFAULT VALUES; DROP VIEW IF EXISTS seen');
      const program = await ask(app.url, "COPY (SELECT 1) TO PROGRAM 'true'").catch(({ message }) => message);
      console.log(who.who, who.more, program);
    }
    console.log(JSON.stringify(await ask(url, "SELECT datname FROM pg_database WHERE datname LIKE 'nimble%'")));`);
  expect(output.match(/nimble_app false (?:must be superuser|permission denied)/g)).toHaveLength(2);
  expect(output.match(/handed over/g)).toHaveLength(1);
  expect(output).toContain('[{"datname":"nimble_lever"}]');

  const password = readFileSync(path.join(home(), 'password'));
  writeFileSync(path.join(home(), 'password'), 'wrong');
  const told = await say('await openAppDatabase();');
  expect(told).toMatchObject({
    code: 1,
    output: expect.stringMatching(/refused its password[\s\S]*remove that file/),
  });
  expect(told.output).not.toMatch(/at .*\.mjs:\d+/);
  writeFileSync(path.join(home(), 'password'), password);
  // Whoever leaves last stops it; the next test finds it running.
  await say(START);
}, 60_000);

test('a folder copied from a running cluster is no running cluster', async () => {
  const copy = path.join(local, 'copied');
  mkdirSync(path.join(copy, 'postgres-app'), { recursive: true });
  chmodSync(copy, 0o755);
  cpSync(path.join(data(), 'postmaster.pid'), path.join(copy, 'postgres-app/data/postmaster.pid'));
  const { output } = await say(`console.log(runningPort(clusterOf('app')))`, copy);
  expect(output.trim()).toBe('null');
  expect((await say(`console.log(runningPort(clusterOf('app')))`)).output.trim()).toMatch(/^\d+$/);
}, 60_000);

test('another version, other contents and damage are told in words, at once, and nothing is changed', async () => {
  await say(`stopPostmaster(clusterOf('app'));`);
  const told = async (words) => {
    const { code, output } = await say(START);
    expect(code).toBe(1);
    expect(output).toMatch(words);
    expect(output).toContain('Nothing was changed');
    expect(output).not.toMatch(/at .*\.mjs:\d+/);
  };
  const version = readFileSync(path.join(data(), 'PG_VERSION'), 'utf8');
  writeFileSync(path.join(data(), 'PG_VERSION'), '99\n');
  await told(/made by PostgreSQL 99; installed is \d+/);
  writeFileSync(path.join(data(), 'PG_VERSION'), version);

  const control = path.join(data(), 'global/pg_control');
  const whole = readFileSync(control);
  truncateSync(control, 100);
  await told(/files are damaged/);
  writeFileSync(control, whole);

  renameSync(data(), `${data()}-aside`);
  mkdirSync(data());
  writeFileSync(path.join(data(), 'letter.txt'), 'dear');
  await told(/holds something else/);
  expect(existsSync(path.join(data(), 'letter.txt'))).toBe(true);
  rmSync(data(), { recursive: true });
  renameSync(`${data()}-aside`, data());
  const { output } = await say(`${START} console.log(JSON.stringify(await ask(url, 'SELECT n FROM kept')));`);
  expect(output).toContain('[{"n":7}]');
}, 120_000);

test('of two commands at once one waits and says for whom; one that is killed lets go', async () => {
  const lines = (name) =>
    `await alone(async ({ waited }) => { console.log('${name} in', waited); await sleep(1500); console.log('${name} out'); }, '${name}');`;
  const first = say(lines('first'));
  await new Promise((resolve) => setTimeout(resolve, 700));
  const second = await say(lines('second'));
  expect((await first).output).toContain('first in false');
  expect(second.output).toMatch(/“first \(process \d+\)” is setting this clone up[\s\S]*second in true/);
  const dying = say(`await alone(async () => { process.kill(process.pid, 'SIGKILL'); });`);
  await dying;
  expect((await say(lines('third'))).output).toContain('third in false');
}, 60_000);
