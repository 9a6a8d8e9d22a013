import { PART_KINDS, type PartKind, type Setup } from '@nimble-lever/core/setup';
import type { Pool } from 'pg';
import { PART_TABLES, type Row, selected } from '../database/tables.ts';
import { inTransaction } from './database.ts';
import { readSetup, type StoredHead, type StoredRows } from './readSetup.ts';

/** A set-up as the database has it, at a revision. */
export interface StoredSetup {
  readonly id: string;
  /** How many edits have made it what it is. */
  readonly revision: number;
  readonly setup: Setup;
}

/** Which history a state is of: a database put in the place of another may come to the same revision another way. */
export interface History {
  /** When the set-up was made. */
  readonly made: string;
  /** The entry that led to its revision; null where it is as it began. */
  readonly last: string | null;
}

/** A set-up as it was read, and the history that led to it. */
export interface LoadedSetup {
  readonly stored: StoredSetup;
  readonly history: History;
}

/** Columns that tell the history of the set-up of parameter 1 up to the revision of parameter 2. */
export const HISTORY = `created_at::text AS made,
  (SELECT edits.id FROM edits WHERE set_up = $1 AND edits.revision = $2) AS last`;

/** Reads a set-up with its revision, one round trip a table, in one consistent view; null when there is none. */
export async function loadSetup(pool: Pool, id: string): Promise<LoadedSetup | null> {
  return inTransaction(pool, 'BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY', async (client) => {
    const head = await client.query(
      'SELECT name, revision, keyboards, made_on AS "madeOn" FROM set_ups WHERE id = $1',
      [id],
    );
    const [row] = head.rows as (StoredHead & { revision: number })[];
    if (!row) return null;
    const told = await client.query(`SELECT ${HISTORY} FROM set_ups WHERE id = $1`, [id, row.revision]);
    const [history] = told.rows as [History];
    const tables: Partial<Record<PartKind, readonly Row[]>> = {};
    for (const kind of PART_KINDS) {
      const { name, columns } = PART_TABLES[kind];
      const own = columns.filter(({ property }) => property !== 'setUp');
      const found = await client.query(`SELECT ${selected(own)} FROM ${name} WHERE set_up = $1`, [id]);
      tables[kind] = found.rows;
    }
    return { history, stored: { id, revision: row.revision, setup: readSetup(row, tables as StoredRows) } };
  });
}
