import { type Author, EDIT_FORMAT, editSchema, type LogEntry, type Setup } from '@nimble-lever/core/setup';
import { upcastPair } from '@nimble-lever/core/setup/version1';
import { upcastPair2 } from '@nimble-lever/core/setup/version2';
import type { Moment } from '@nimble-lever/core/vault';
import type { EditRow } from '../database/entities.ts';
import { EDITS, selected } from '../database/tables.ts';
import type { Queryable } from './database.ts';
import { unpacked } from './editPacks.ts';

/** Entries that are read at once: at most so many, and no more than come to so many bytes, but always one. */
export const PAGE_OF_ENTRIES = 500;
/** A page of the log is at most about this long: what is read at once stays small, however large its edits. */
export const PAGE_OF_BYTES = 1_000_000;

/** Stands for whoever made the entries from before edits had an author. Every author may undo those. */
export const NOBODY: Author = { id: '00000000-0000-0000-0000-000000000000', name: 'Before edits had names' };

/** Entries of the log, and whether there are more. */
export interface LogPage {
  /** Oldest first. */
  readonly entries: readonly LogEntry[];
  /** Whether there are more in the direction that was asked for. */
  readonly more: boolean;
}

/** The columns of an entry, as statements name them. */
const COLUMNS = selected(EDITS.columns);
/**
 * How much an entry weighs on the wire, counted by the database so that large ones are not read to be
 * counted.
 */
const BYTES = 'coalesce(packed, octet_length(edit::text) + octet_length(inverse::text))';

/** Reads a page of rows in an order, stopping before they come to too many bytes. */
async function readPage(
  database: Queryable,
  where: string,
  values: readonly unknown[],
  order: 'ASC' | 'DESC',
  count = PAGE_OF_ENTRIES,
): Promise<{ rows: EditRow[]; more: boolean }> {
  const { rows } = await database.query(
    `SELECT * FROM (
      SELECT ${COLUMNS}, sum(${BYTES}) OVER (ORDER BY revision ${order}) AS bytes, row_number() OVER (ORDER BY revision ${order}) AS n
      FROM (SELECT * FROM edits WHERE ${where} ORDER BY revision ${order} LIMIT ${count + 1}) AS page
    ) AS counted WHERE n = 1 OR bytes <= ${PAGE_OF_BYTES} ORDER BY revision ${order}`,
    [...values],
  );
  const found = rows as EditRow[];
  if (found.length > count) return { rows: found.slice(0, count), more: true };
  if (found.length === 0) return { rows: [], more: false };
  const last = found.at(-1)?.revision;
  const beyond = order === 'ASC' ? '>' : '<';
  const next = await database.query(
    `SELECT 1 FROM edits WHERE ${where} AND revision ${beyond} $${values.length + 1} LIMIT 1`,
    [...values, last],
  );
  return { rows: found, more: next.rows.length > 0 };
}

/** Entries after a revision. */
export async function entriesAfter(
  database: Queryable,
  setUp: string,
  revision: number,
  setup: Setup,
): Promise<LogPage> {
  const { rows, more } = await readPage(database, 'set_up = $1 AND revision > $2', [setUp, revision], 'ASC');
  return { entries: await toEntries(database, setUp, rows, setup), more };
}

/** The newest entries before a revision: of an author, or (null) of everyone. */
export async function entriesBefore(
  database: Queryable,
  setUp: string,
  revision: number,
  author: string | null,
  setup: Setup,
  count = PAGE_OF_ENTRIES,
): Promise<LogPage> {
  const [own, values] =
    author === null
      ? ['', [setUp, revision]]
      : [' AND (author_id = $3 OR author_id IS NULL)', [setUp, revision, author]];
  const { rows, more } = await readPage(
    database,
    `set_up = $1 AND revision < $2${own}`,
    values,
    'DESC',
    count,
  );
  return { entries: await toEntries(database, setUp, rows.reverse(), setup), more };
}

/** When each edit was made, and by whom, oldest first: some hundred thousand in a few tenths of a second. */
export async function allMoments(database: Queryable, setUp: string): Promise<Moment[]> {
  // Numbers, as reading a hundred thousand times from text takes longer than all else.
  const { rows } = await database.query(
    `SELECT revision, extract(epoch FROM at)::float8 * 1000 AS at, author_id AS "authorId", author_name AS "authorName"
      FROM edits WHERE set_up = $1 ORDER BY revision`,
    [setUp],
  );
  const authors = new Map<string, Author>();
  return (rows as (Omit<EditRow, 'at'> & { at: number })[]).map((row) => {
    const key = `${row.authorId} ${row.authorName}`;
    const author = authors.get(key) ?? authorOf(row);
    authors.set(key, author);
    return { revision: row.revision, at: row.at, author };
  });
}

/** Entries with these ids, and the undos and redos of them, oldest first. */
export async function entriesAbout(
  database: Queryable,
  setUp: string,
  ids: readonly string[],
  setup: Setup,
): Promise<readonly LogEntry[]> {
  if (ids.length === 0) return [];
  const { rows } = await database.query(
    `SELECT ${COLUMNS} FROM edits WHERE set_up = $1 AND (id = ANY($2::uuid[]) OR of = ANY($2::uuid[])) ORDER BY revision`,
    [setUp, [...ids]],
  );
  return toEntries(database, setUp, rows as EditRow[], setup);
}

/** Rows as entries, what is packed of them unpacked. */
async function toEntries(
  database: Queryable,
  setUp: string,
  rows: readonly EditRow[],
  setup: Setup,
): Promise<readonly LogEntry[]> {
  return (await unpacked(database, setUp, rows)).map((row) => toEntry(row, setup));
}

/** Which of these entries are saved already, and under which revision. */
export async function savedAmong(
  database: Queryable,
  setUp: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, number>> {
  if (ids.length === 0) return new Map();
  const { rows } = await database.query(
    'SELECT id, revision FROM edits WHERE set_up = $1 AND id = ANY($2::uuid[])',
    [setUp, [...ids]],
  );
  return new Map((rows as { id: string; revision: number }[]).map(({ id, revision }) => [id, revision]));
}

/** An entry as everyone reads it, brought up to date. What cannot be read is null, and the entry stays. */
function toEntry(row: EditRow, setup: Setup): LogEntry {
  const author = authorOf(row);
  const { id, revision, role, of, base, at } = row;
  return { id, revision, role, of, base, author, at: at.toISOString(), ...editsOf(row, setup) };
}

function authorOf({ authorId, authorName }: Pick<EditRow, 'authorId' | 'authorName'>): Author {
  return authorId === null ? NOBODY : { id: authorId, name: authorName ?? NOBODY.name };
}

/** What of an entry cannot be read. */
const UNREADABLE = { edit: null, inverse: null };

/** Brought up to date where it is old; an entry that cannot be read says so and stops nobody. */
function editsOf({ format, edit, inverse }: EditRow, setup: Setup): Pick<LogEntry, 'edit' | 'inverse'> {
  if (format === 1) return upcastPair(setup, { edit, inverse }) ?? UNREADABLE;
  if (format === 2) return upcastPair2(setup, { edit, inverse }) ?? UNREADABLE;
  const [forth, back] = [editSchema.safeParse(edit), editSchema.safeParse(inverse)];
  if (format !== EDIT_FORMAT || !forth.success || !back.success) return UNREADABLE;
  return { edit: forth.data, inverse: back.data };
}

/** An entry as its row. */
export function toRow({ author, edit, inverse, ...entry }: LogEntry) {
  return {
    ...entry,
    format: EDIT_FORMAT,
    edit,
    inverse,
    packed: null,
    authorId: author.id,
    authorName: author.name,
  };
}
