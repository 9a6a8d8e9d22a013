import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { dropDatabase, ensureDatabase, sibling } from './databases.mjs';
import { freePort } from './ports.mjs';

const LEVER = fileURLToPath(new URL('../lever.mjs', import.meta.url));
const server = process.env.TEST_DATABASE_URL ?? '';
const name = `nimble_lever_backup_${process.pid}`;
const url = server && sibling(server, name);
const folder = mkdtempSync(path.join(tmpdir(), 'nimble-backup-'));
const file = path.join(folder, 'all.backup');

beforeAll(async () => {
  await ensureDatabase(server, name);
  await query('CREATE TABLE server_facts (name text PRIMARY KEY, value jsonb NOT NULL)');
  await query('CREATE TABLE set_ups (id text PRIMARY KEY)');
  await query("INSERT INTO set_ups SELECT 'set-up-' || n FROM generate_series(1, 20000) n");
});
afterAll(async () => {
  await dropDatabase(server, name);
  rmSync(folder, { recursive: true });
});

async function query(sql) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(sql)).rows;
  } finally {
    await client.end();
  }
}

/** Runs the command; `killAfter` ends it and all it started as a crash would, after so many milliseconds. */
async function lever(words, { killAfter = null } = {}) {
  const child = spawn(process.execPath, [LEVER, ...words], {
    env: { ...process.env, DATABASE_URL: url, PORT: String(await freePort()), LOCAL_DIR: folder },
    detached: true,
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) {
    stream.on('data', (text) => {
      said += text;
    });
  }
  const ended = new Promise((resolve) => child.on('close', (code) => resolve({ code, said })));
  if (killAfter !== null) {
    await sleep(killAfter);
    try {
      process.kill(-child.pid, 'SIGKILL');
    } catch {
      // It was done before.
    }
  }
  return ended;
}

const count = async () => Number((await query('SELECT count(*) FROM set_ups'))[0].count);

test('everything comes back as it was, and what was there before is kept', async () => {
  const backed = await lever(['backup', file]);
  expect(backed.said).toContain('Done: ');
  expect(backed.code).toBe(0);
  const [fact] = await query("SELECT value #>> '{}' AS at FROM server_facts WHERE name = 'last-backup'");
  expect(Date.now() - Date.parse(fact.at)).toBeLessThan(600_000);
  await query('DELETE FROM set_ups');
  const restored = await lever(['restore', file]);
  expect(restored.said).toContain('Keeping what is there now in ');
  expect(restored.code).toBe(0);
  expect(await count()).toBe(20_000);
  const [, kept = ''] = /there now in (\S+?)…/.exec(restored.said) ?? [];
  expect(readFileSync(kept).subarray(0, 5).toString()).toBe('PGDMP');
});

test('what is no backup, cut off or not there is refused, and nothing is changed', async () => {
  const cut = path.join(folder, 'cut.backup');
  writeFileSync(cut, readFileSync(file).subarray(0, 3000));
  const none = path.join(folder, 'none.backup');
  writeFileSync(none, 'hello');
  for (const [given, words] of [
    [cut, 'It could not be restored: '],
    [none, 'is no backup of Nimble Lever'],
    [path.join(folder, 'gone.backup'), 'There is no such file.'],
  ]) {
    const { code, said } = await lever(['restore', given]);
    expect([code, said]).toEqual([1, expect.stringContaining(words)]);
    expect(said).toContain('Nothing was changed');
    expect(await count()).toBe(20_000);
  }
});

test('killed while it restores, it has restored all or nothing', async () => {
  await query("INSERT INTO set_ups SELECT 'more-' || n FROM generate_series(1, 5000) n");
  for (const killAfter of [500, 900, 1100, 1300, 1500, 1800]) {
    await lever(['restore', file], { killAfter });
    // A server process of PostgreSQL may still be at what it was asked.
    for (let tries = 0; tries < 50; tries++) {
      const [{ busy }] = await query(
        `SELECT count(*)::int AS busy FROM pg_stat_activity
          WHERE datname = current_database() AND application_name = 'pg_restore'`,
      );
      if (busy === 0) break;
      await sleep(100);
    }
    expect([20_000, 25_000]).toContain(await count());
    await query(
      "INSERT INTO set_ups SELECT 'more-' || n FROM generate_series(1, 5000) n ON CONFLICT DO NOTHING",
    );
  }
});
