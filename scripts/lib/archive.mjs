import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { startTool } from './postgresTool.mjs';
import { Stop } from './say.mjs';

/**
 * What a database of ours is made of, as pg_restore lists it (PostgreSQL, "pg_restore", option --list). Only data is
 * ever taken from an archive: an archive's own statements can run anything.
 */
const KINDS = [
  'TABLE DATA',
  'TABLE',
  'SEQUENCE OWNED BY',
  'SEQUENCE SET',
  'SEQUENCE',
  'DEFAULT',
  'FK CONSTRAINT',
  'CONSTRAINT',
  'INDEX',
];
const ENTRY = new RegExp(`^(\\d+); \\d+ \\d+ (${KINDS.join('|')}) public ([a-z_]+)(?: .*)?$`);
/** An archive of ours has some hundred entries: characters. */
const MOST_LISTED = 1_000_000;
const DATA = 'TABLE DATA';

/** The data in an archive: each table's name, and by which number pg_restore knows it. Refuses an archive of anything else. */
export async function dataIn(file) {
  const lines = (await said(['--list', file], MOST_LISTED)).split('\n');
  const data = new Map();
  for (const line of lines) {
    if (line === '' || line.startsWith(';')) continue;
    const [, number, kind, table] = ENTRY.exec(line) ?? [];
    if (!number || (kind === DATA && data.has(table))) {
      const what = line.replace(/^\d+; \d+ \d+ /, '').slice(0, 100);
      throw new Stop(
        `${file} holds what Nimble Lever never makes (${what}), so it is no backup of it. Nothing was changed.`,
      );
    }
    if (kind === DATA) data.set(table, number);
  }
  return data;
}

/** The rows of one small table of an archive, each as the texts of its columns. */
export async function rowsIn(file, table) {
  const lines = (await said(['--data-only', `--table=${table}`, '--file=-', file], MOST_LISTED)).split('\n');
  const begin = lines.findIndex((line) => COPY.exec(line)?.[1] === table);
  const end = lines.indexOf('\\.', begin);
  return begin < 0 || end < 0 ? [] : lines.slice(begin + 1, end).map((line) => line.split('\t'));
}

/**
 * Copies the data of tables into a database, in their order, all of it or nothing.
 *
 * @param tables names of ours, each with its number
 */
export async function copyData(file, tables, url) {
  const folder = mkdtempSync(path.join(tmpdir(), 'nimble-restore-'));
  try {
    const list = path.join(folder, 'list');
    writeFileSync(
      list,
      [...tables].map(([name, number]) => `${number}; 0 0 ${DATA} public ${name} -\n`).join(''),
    );
    return await copyListed(file, list, new Set(tables.keys()), url);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

async function copyListed(file, list, tables, url) {
  const restore = startTool('pg_restore', ['--data-only', `--use-list=${list}`, '--file=-', file]);
  restore.child.stdin.end();
  const psql = startTool(
    'psql',
    ['--no-psqlrc', '--quiet', '--single-transaction', '--set=ON_ERROR_STOP=1', '--file=-'],
    url,
  );
  psql.child.stdout.resume();
  // Whichever of the two ends early says why by its code.
  await pipeline(restore.child.stdout, onlyData(tables), psql.child.stdin).catch(() => undefined);
  const [read, written] = await Promise.all([restore.ended, psql.ended]);
  if (!read.ok) throw new Stop(`${file} is damaged: ${read.why} Nothing was changed.`);
  if (!written.ok) throw new Stop(`It could not be restored: ${written.why} Nothing was changed.`);
}

const COPY = /^COPY public\.([a-z_]+) \(((?:"?[a-z_]+"?(?:, )?)+)\) FROM stdin;$/;

/**
 * Lets through what lies between a COPY of one of the tables and its end, under a statement of our own. Whatever
 * else is said there reaches nobody.
 */
function onlyData(tables) {
  let pieces = [];
  let isData = false;
  const line = (bytes, push) => {
    if (isData) {
      push(bytes);
      if (bytes.equals(END)) isData = false;
      return;
    }
    const [, name, columns] =
      bytes.length < 10_000 ? (COPY.exec(bytes.toString('latin1').trimEnd()) ?? []) : [];
    if (!name || !tables.has(name)) return;
    isData = true;
    const quoted = columns.split(', ').map((column) => `"${column.replaceAll('"', '')}"`);
    push(Buffer.from(`COPY public."${name}" (${quoted.join(', ')}) FROM stdin;\n`));
  };
  return new Transform({
    transform(chunk, _encoding, done) {
      let from = 0;
      for (let at = chunk.indexOf(10); at >= 0; at = chunk.indexOf(10, from)) {
        pieces.push(chunk.subarray(from, at + 1));
        from = at + 1;
        line(pieces.length === 1 ? pieces[0] : Buffer.concat(pieces), (bytes) => this.push(bytes));
        pieces = [];
      }
      if (from < chunk.length) pieces.push(chunk.subarray(from));
      done();
    },
  });
}
const END = Buffer.from('\\.\n');

/** What pg_restore prints about an archive, at most so many characters of it. */
async function said(args, most) {
  const { child, ended } = startTool('pg_restore', args);
  let text = '';
  child.stdin.end();
  child.stdout.setEncoding('utf8').on('data', (part) => {
    text += part;
    if (text.length > most) child.kill('SIGKILL');
  });
  const { ok, why } = await ended;
  if (!ok) throw new Stop(`This is no backup of Nimble Lever, or it is damaged: ${why} Nothing was changed.`);
  return text;
}
