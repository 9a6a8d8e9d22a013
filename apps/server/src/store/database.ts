import type { Pool, PoolClient } from 'pg';
import type { DataSource } from 'typeorm';

/** What queries go to: the pool, or one connection of it. */
export interface Queryable {
  query(text: string, values?: readonly unknown[]): Promise<{ rows: object[] }>;
  /** A named query is planned once a connection. */
  query(named: { name: string; text: string; values: unknown[] }): Promise<{ rows: object[] }>;
}

/** The connections that the data source keeps. A query that fails gives its connection up. */
export function poolOf(source: DataSource): Pool {
  return (source.driver as unknown as { master: Pool }).master;
}

/**
 * Runs work in one transaction on one connection. After an error the connection is given up: what it was doing is not
 * known.
 */
export async function inTransaction<Value>(
  pool: Pool,
  begin: string,
  work: (client: PoolClient) => Promise<Value>,
): Promise<Value> {
  const client = await pool.connect();
  try {
    await client.query(begin);
    const value = await work(client);
    await client.query('COMMIT');
    client.release();
    return value;
  } catch (error) {
    client.release(true);
    throw error;
  }
}

/** Errors that say the database cannot be reached or does not work now, not that it refused something. */
const AWAY =
  /^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND|EHOSTUNREACH|57P0\d|57014|08\d{3}|53\d{3}|25006|XX\d{3}|58\d{3})$/;
/** Errors without a code that mean the connection is gone: the driver tells these only in words. */
const AWAY_WORDS = /timeout|Connection terminated|connection error|not queryable|Cannot use a pool after/i;

/** Whether an error means that the database is away for now. */
export function isAway(error: unknown): boolean {
  const code = (error as { code?: unknown } | null)?.code;
  if (typeof code === 'string') return AWAY.test(code);
  return error instanceof Error && AWAY_WORDS.test(error.message);
}

/** Whether a unique index refused a row that is there already: an entry of the log that was sent twice. */
export function isRepeated(error: unknown): boolean {
  const { code, table } = (error ?? {}) as { code?: unknown; table?: unknown };
  return code === '23505' && table === 'edits';
}
