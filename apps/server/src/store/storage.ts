import type { Storage } from '@nimble-lever/core/vault';
import type { Pool } from 'pg';

/** What is kept on the disk, how long, and when it was backed up last. */
export async function readStorage(pool: Pool): Promise<Storage> {
  const { rows } = await pool.query(`SELECT
    pg_total_relation_size('edits') + pg_total_relation_size('edit_packs') AS edits,
    pg_total_relation_size('snapshots') + pg_total_relation_size('kept_parts') AS snapshots,
    pg_total_relation_size('pictures') AS pictures,
    pg_database_size(current_database()) AS "all",
    (SELECT value #>> '{}' FROM server_facts WHERE name = 'last-backup') AS backup`);
  const [row] = rows as {
    edits: string;
    snapshots: string;
    pictures: string;
    all: string;
    backup: string | null;
  }[];
  const kept = await pool.query('SELECT id, keep_days AS days FROM set_ups ORDER BY created_at, id');
  return {
    // The driver gives numbers of eight bytes as texts.
    bytes: {
      edits: Number(row?.edits ?? 0),
      snapshots: Number(row?.snapshots ?? 0),
      pictures: Number(row?.pictures ?? 0),
      all: Number(row?.all ?? 0),
    },
    backedUpAt: row?.backup ? new Date(row.backup).toISOString() : null,
    keeps: kept.rows as { id: string; days: number | null }[],
  };
}

/** How long what is kept by itself is kept, in days; null: for ever. False where there is no such set-up. */
export async function keepFor(pool: Pool, setUp: string, days: number | null): Promise<boolean> {
  const { rowCount } = await pool.query('UPDATE set_ups SET keep_days = $2 WHERE id = $1', [setUp, days]);
  return rowCount === 1;
}
