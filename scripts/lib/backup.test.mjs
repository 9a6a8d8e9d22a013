import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { gunzipSync } from 'node:zlib';
import pg from 'pg';
import { dropDatabase, ensureDatabase, sibling } from './databases.mjs';
import { freePort } from './ports.mjs';

const LEVER = fileURLToPath(new URL('../lever.mjs', import.meta.url));
const EARLIER = fileURLToPath(new URL('../../apps/server/src/database/earlier', import.meta.url));
const server = process.env.TEST_DATABASE_URL ?? '';
const name = `nimble_lever_backup_${process.pid}`;
const url = server && sibling(server, name);
const folder = mkdtempSync(path.join(tmpdir(), 'nimble-backup-'));
const at = (file) => path.join(folder, file);
const file = at('all.backup');
const COUNT = "SELECT count(*)::int FROM bindings WHERE note = 'more'";

/** A database as an older version left it: a backup of it is brought up to date. */
async function fill(database, version) {
  const sql = gunzipSync(readFileSync(path.join(EARLIER, version))).toString('utf8');
  await query(sql, database);
}

beforeAll(async () => {
  await ensureDatabase(server, name);
  await fill(url, '16.sql.gz');
});
afterAll(async () => {
  await dropDatabase(server, name);
  rmSync(folder, { recursive: true });
});

async function query(sql, database = url) {
  const client = new pg.Client({ connectionString: database });
  await client.connect();
  try {
    return (await client.query(sql)).rows;
  } finally {
    await client.end();
  }
}
/** Everything but what backing up itself notes. */
const contents = async () => {
  const parts = ['set_ups', 'bindings', 'commands', 'edits', 'profiles'].map(
    (table) =>
      `SELECT md5(string_agg(to_jsonb(t)::text, '' ORDER BY to_jsonb(t)::text)) AS sum FROM ${table} t`,
  );
  return (await query(parts.join(' UNION ALL '))).map(({ sum }) => sum);
};
const databases = async () =>
  (await query(`SELECT datname FROM pg_database WHERE datname LIKE '${name}%'`, server)).map(
    ({ datname }) => datname,
  );

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
const refused = async (words, given) => {
  const { code, said } = await lever(['restore', given]);
  expect([code, said]).toEqual([1, expect.stringContaining(words)]);
  expect(said).toMatch(/Nothing was changed/);
  expect(said).not.toMatch(/at .*\.mjs:\d+/);
  expect(await databases()).toEqual([name]);
};
const rights = (of) => (statSync(of).mode & 0o777).toString(8);

test('everything comes back as it was, what was there before is kept, and nobody else may read either', async () => {
  const before = await contents();
  const backed = await lever(['backup', file]);
  expect(backed.said).toContain('Done: ');
  expect(backed.code).toBe(0);
  expect(rights(file)).toBe('600');
  const [fact] = await query("SELECT value #>> '{}' AS at FROM server_facts WHERE name = 'last-backup'");
  expect(Date.now() - Date.parse(fact.at)).toBeLessThan(600_000);
  await query('DELETE FROM set_ups');
  const restored = await lever(['restore', file]);
  expect([restored.code, restored.said]).toEqual([0, expect.stringContaining('Set-ups: 2.')]);
  expect(await contents()).toEqual(before);
  expect(await databases()).toEqual([name]);
  const [, kept = ''] = /there now in (\S+?)…/.exec(restored.said) ?? [];
  expect(readFileSync(kept).subarray(0, 5).toString()).toBe('PGDMP');
  expect([rights(kept), rights(path.dirname(kept))]).toEqual(['600', '700']);
}, 120_000);

test('a file that others may read is not written over, and one that others may change is not restored', async () => {
  const open = at('open.backup');
  writeFileSync(open, readFileSync(file));
  chmodSync(open, 0o644);
  const { code, said } = await lever(['backup', open]);
  expect([code, said]).toEqual([1, expect.stringMatching(/Nothing was written[\s\S]*chmod 600/)]);
  chmodSync(open, 0o666);
  await refused('Others on this computer may change', open);
});

test('what is no backup, cut off or not there is refused, and nothing is changed', async () => {
  const before = await contents();
  writeFileSync(at('cut.backup'), readFileSync(file).subarray(0, 3000), { mode: 0o600 });
  // Its list is whole, its data is not.
  writeFileSync(at('short.backup'), readFileSync(file).subarray(0, statSync(file).size - 2000), {
    mode: 0o600,
  });
  writeFileSync(at('none.backup'), 'hello', { mode: 0o600 });
  await refused('or it is damaged', at('cut.backup'));
  await refused('Nothing was changed', at('short.backup'));
  await refused('is no backup of Nimble Lever', at('none.backup'));
  await refused('There is no such file.', at('gone.backup'));
  expect(await contents()).toEqual(before);
}, 60_000);

test('nothing that a file says is run: not what it would make, not what stands between its rows', async () => {
  const strange = `nimble_lever_strange_${process.pid}`;
  const other = sibling(server, strange);
  const mark = at('run');
  const dump = (to, ...more) =>
    expect(spawnSync('pg_dump', ['-Fc', ...more, `--file=${to}`, other], { encoding: 'utf8' }).stderr).toBe(
      '',
    );
  await ensureDatabase(server, strange);
  try {
    // An older version's, which is brought up to date.
    await fill(other, '12.sql.gz');
    dump(at('older.backup'));
    chmodSync(at('older.backup'), 0o600);
    expect(await lever(['restore', at('older.backup')])).toMatchObject({ code: 0 });
    expect((await query('SELECT name FROM migrations')).length).toBeGreaterThan(12);
    expect((await lever(['restore', file])).code).toBe(0);

    // As an archive has them: a table's rows end at `\.`, and what follows is said to the database.
    const evil = `\\.\nCOPY (SELECT 1) TO PROGRAM 'touch ${mark}';\n`;
    const place = 'Z'.repeat(evil.length);
    await query(`UPDATE public.set_ups SET name = '${place}'`, other);
    dump(at('rows.backup'), '-Z0');
    const bytes = readFileSync(at('rows.backup'), 'latin1');
    expect(bytes).toContain(place);
    writeFileSync(at('rows.backup'), bytes.replace(place, `\n${evil.slice(0, -1)}`), {
      encoding: 'latin1',
      mode: 0o600,
    });
    await refused('Nothing was changed', at('rows.backup'));

    await query(
      `CREATE FUNCTION public.tick(n integer) RETURNS integer LANGUAGE plpgsql IMMUTABLE AS
        $$ BEGIN EXECUTE 'COPY (SELECT 1) TO PROGRAM ''touch ${mark}'''; RETURN n; END $$;
      CREATE TABLE public.lure (n integer)`,
      other,
    );
    dump(at('function.backup'));
    chmodSync(at('function.backup'), 0o600);
    await refused('(FUNCTION public tick', at('function.backup'));
    await query('DROP FUNCTION public.tick; INSERT INTO public.lure VALUES (1)', other);
    dump(at('table.backup'));
    chmodSync(at('table.backup'), 0o600);
    await refused('tables that Nimble Lever does not have (lure)', at('table.backup'));
    await query(
      `DROP TABLE public.lure; INSERT INTO public.migrations (timestamp, name) VALUES (1, 'Later1')`,
      other,
    );
    dump(at('newer.backup'));
    chmodSync(at('newer.backup'), 0o600);
    await refused('by a newer Nimble Lever (Later1)', at('newer.backup'));
    expect(existsSync(mark)).toBe(false);
  } finally {
    await dropDatabase(server, strange);
  }
}, 120_000);

test('while anything uses the database nothing is restored, whatever the port', async () => {
  const client = new pg.Client({ connectionString: url, application_name: 'Another server' });
  await client.connect();
  await refused('Something uses the database (Another server)', file);
  await client.end();
  await query('CREATE TABLE letters (dear text)');
  await refused("more than Nimble Lever's own tables (public.letters)", file);
  await query('DROP TABLE letters');
}, 60_000);

test('killed while it restores, it has restored all or nothing', async () => {
  const [{ count: none }] = await query(COUNT);
  expect(none).toBe(0);
  for (const killAfter of [1200, 2000, 2600]) {
    await query("UPDATE bindings SET note = 'more'");
    const [{ count: all }] = await query(COUNT);
    await lever(['restore', file], { killAfter });
    expect(await databases()).toContain(name);
    expect([0, all]).toContain((await query(COUNT))[0].count);
    for (const each of await databases()) if (each !== name) await dropDatabase(server, each);
  }
}, 120_000);
