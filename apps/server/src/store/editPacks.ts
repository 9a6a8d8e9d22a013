import type { Pool } from 'pg';
import type { EditRow } from '../database/entities.ts';
import { inTransaction, type Queryable } from './database.ts';

/** So many entries are in a pack. */
export const PACK = 200;
/** The newest entries are not packed: they are what is read, undone and told of day by day. */
export const LOOSE = 2_000;

/**
 * Packs the entries of a set-up that are old enough, a pack at a time: an entry is in a pack or a row of its own, whatever
 * happens meanwhile.
 *
 * @returns how many entries were packed
 */
export async function packOld(pool: Pool, setUp: string, newest: number): Promise<number> {
  let packed = 0;
  for (let first = 1; first + PACK - 1 <= newest - LOOSE; first += PACK) {
    packed += await packRun(pool, setUp, first, first + PACK - 1);
  }
  return packed;
}

/** Packs one run, unless that was done before. */
async function packRun(pool: Pool, setUp: string, first: number, last: number): Promise<number> {
  const run = [setUp, first, last];
  const done = await pool.query('SELECT 1 FROM edit_packs WHERE set_up = $1 AND first = $2', [setUp, first]);
  if (done.rows.length > 0) return 0;
  return inTransaction(pool, 'BEGIN', async (client) => {
    const kept = await client.query(
      `INSERT INTO edit_packs (set_up, first, last, body, pictures)
        SELECT $1, $2, $3, json_object_agg(revision, json_build_array(edit, inverse))::text,
          ARRAY(SELECT DISTINCT found[1] FROM edits, regexp_matches(
            edit::text || inverse::text, '"id": "([0-9a-f]{64})"', 'g') AS found
            WHERE set_up = $1 AND revision BETWEEN $2 AND $3)
        FROM edits WHERE set_up = $1 AND revision BETWEEN $2 AND $3 AND packed IS NULL
        HAVING count(*) > 0
        ON CONFLICT DO NOTHING RETURNING first`,
      run,
    );
    if (kept.rows.length === 0) return 0;
    const { rowCount } = await client.query(
      `UPDATE edits SET packed = octet_length(edit::text) + octet_length(inverse::text), edit = NULL, inverse = NULL
        WHERE set_up = $1 AND revision BETWEEN $2 AND $3 AND packed IS NULL`,
      run,
    );
    return rowCount ?? 0;
  });
}

/** Rows of the log with what stands in packs put in again. */
export async function unpacked(
  database: Queryable,
  setUp: string,
  rows: readonly EditRow[],
): Promise<readonly EditRow[]> {
  const away = rows.filter(({ packed }) => packed !== null).map(({ revision }) => revision);
  if (away.length === 0) return rows;
  const found = await database.query(
    `SELECT body FROM edit_packs WHERE set_up = $1
      AND EXISTS (SELECT 1 FROM unnest($2::integer[]) AS wanted WHERE wanted BETWEEN first AND last)`,
    [setUp, away],
  );
  const pairs = new Map<string, readonly [edit: unknown, inverse: unknown]>();
  for (const { body } of found.rows as { body: string }[]) {
    for (const [revision, pair] of Object.entries(JSON.parse(body) as Record<string, [unknown, unknown]>))
      pairs.set(revision, pair);
  }
  return rows.map((row) => {
    const [edit, inverse] = pairs.get(String(row.revision)) ?? [row.edit, row.inverse];
    return row.packed === null ? row : { ...row, edit, inverse };
  });
}
