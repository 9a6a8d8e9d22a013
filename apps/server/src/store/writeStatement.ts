import { PART_KINDS, type Setup } from '@nimble-lever/core/setup';
import { EDITS, PART_TABLES, type Row, recordOf, recordsJson, type Table } from '../database/tables.ts';
import type { RowChanges } from './rows.ts';

/** The database channel that tells every copy of the server about new revisions. */
export const EDITS_CHANNEL = 'nimble_lever_edits';

/** SQL with its values apart: nothing that was sent ever stands in the text. */
export interface Statement {
  /** Says which parts the text has, so that the same text has the same name. */
  readonly name: string;
  readonly text: string;
  readonly values: unknown[];
}

/** What a set-up has besides its parts. */
type SetupHead = Pick<Setup, 'name' | 'keyboards' | 'madeOn'>;

/** What one statement writes: parts of a set-up, and the entries that changed them. */
export interface Write {
  readonly setUp: string;
  /** The revision the rows were worked out on; with another one nothing is written. */
  readonly base: number;
  /** The revision it must still have; with another one nothing is written. */
  readonly revision: number;
  /** What the set-up has besides its parts. */
  readonly head: SetupHead;
  readonly changes: RowChanges;
  /** Rows of the edit log. */
  readonly edits: readonly Row[];
}

/**
 * One statement that writes a new revision: what the edits touched, their log, and the news of it. Being one, it is a
 * transaction of its own. It gives a row when it wrote, none when the set-up has moved on. Rows go in as JSON, one
 * parameter a table, so their number has no limit; only names of our own tables and columns stand in the text.
 */
export function writeStatement({ setUp, base, revision, head, changes, edits }: Write): Statement {
  const { name, keyboards, madeOn } = head;
  const news = [EDITS_CHANNEL, `${setUp} ${revision}`];
  const values: unknown[] = [setUp, base, revision, name, ...news, JSON.stringify(keyboards), madeOn];
  const place = (value: unknown) => `$${values.push(value)}`;
  /** A bit for each part the statement has. */
  let has = edits.length > 0 ? 1 : 0;
  const parts = [
    `head AS (UPDATE set_ups SET revision = $3, name = $4, keyboards = $7, made_on = $8
      WHERE id = $1 AND revision = $2 RETURNING id)`,
  ];
  for (const [i, kind] of PART_KINDS.entries()) {
    const table = PART_TABLES[kind];
    const { gone, changed } = changes[kind];
    if (gone.length > 0) {
      has += 2 ** (2 * i + 1);
      parts.push(`gone_${table.name} AS (${deletion(table, place(recordsJson(table.key, gone)))})`);
    }
    const written = withoutSetUp(table);
    if (changed.length > 0) {
      has += 2 ** (2 * i + 2);
      parts.push(`new_${table.name} AS (${upsert(table, place(recordsJson(written, changed)))})`);
    }
  }
  if (edits.length > 0) {
    const columns = withoutSetUp(EDITS);
    parts.push(`new_edits AS (${insertion(EDITS, place(recordsJson(columns, edits)))})`);
  }
  const text = `WITH ${parts.join(',\n')} SELECT pg_notify($5, $6) FROM head`;
  return { name: `write-${has}`, text, values };
}

/** One statement that writes a whole new set-up at revision 0. Its row in `set_ups` must be there. */
export function firstWrite(setUp: string, head: SetupHead, changes: RowChanges): Statement {
  return writeStatement({ setUp, base: 0, revision: 0, head, changes, edits: [] });
}

/** The columns that tell parts of one set-up apart. */
function withoutSetUp({ columns }: Table) {
  return columns.filter(({ property }) => property !== 'setUp');
}

/** Column names as SQL; they come from our entities, never from a request. */
const quoted = (columns: Table['columns']) => columns.map(({ name }) => `"${name}"`);

/** Rows are handed over as JSON records: one parameter, however many they are. */
function deletion({ name, key }: Table, records: string): string {
  const same = quoted(key).map((column) => `t.${column} = k.${column}`);
  return `DELETE FROM ${name} t USING head, json_to_recordset(${records}::json) AS k(${recordOf(key)})
    WHERE t.set_up = head.id AND ${same.join(' AND ')}`;
}

/** The same for rows that are new. */
function insertion(table: Table, records: string): string {
  const columns = withoutSetUp(table);
  const names = quoted(columns);
  return `INSERT INTO ${table.name} (set_up, ${names.join(', ')})
    SELECT head.id, ${names.map((column) => `r.${column}`).join(', ')}
    FROM head, json_to_recordset(${records}::json) AS r(${recordOf(columns)})`;
}

/** The same for rows that may be there. */
function upsert(table: Table, records: string): string {
  const keys = new Set(quoted(table.key));
  const rest = quoted(withoutSetUp(table)).filter((column) => !keys.has(column));
  const changes = rest.map((column) => `${column} = EXCLUDED.${column}`);
  return `${insertion(table, records)}
    ON CONFLICT (set_up, ${[...keys].join(', ')}) DO UPDATE SET ${changes.join(', ')}`;
}
