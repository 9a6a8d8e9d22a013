import { randomUUID } from 'node:crypto';
import { readKeptSetup, SETUP_VERSION } from '@nimble-lever/core/formats';
import { type Author, picturesIn, type Setup } from '@nimble-lever/core/setup';
import type { SnapshotHead, SnapshotKind } from '@nimble-lever/core/vault';
import type { Pool } from 'pg';
import { inTransaction } from './database.ts';
import type { StoredSetup } from './loadSetup.ts';
import { setupOfParts, setupParts } from './setupText.ts';

/** What is said of a state that is kept. */
export interface Keeping {
  readonly kind: SnapshotKind | 'mark';
  readonly name: string | null;
  readonly note: string | null;
  /** Null for what is kept by itself. */
  readonly author: Author | null;
  /** Of a daily one: `2026-11-27`, so that there is one a day. */
  readonly day: string | null;
  /** The entry that led to it, for one that is kept later: by then the database may have another history. */
  readonly entry?: string | undefined;
}

/** A state that is kept to go on from, and not shown. */
export const MARK: Keeping = { kind: 'mark', name: null, note: null, author: null, day: null };

/** A state of a set-up that is kept, to go on from. */
export interface KeptState {
  readonly revision: number;
  readonly version: number;
  /** Ids of its parts by their names. */
  readonly parts: Readonly<Record<string, string>>;
}

/** For as long as parts are kept for a snapshot, none are looked for that nothing refers to. */
const PARTS_LOCK = 468_002;

const HEAD = `id, revision, kind, name, note, author_id AS "authorId", author_name AS "authorName", at`;

/** States of set-ups in the database, each part once, however many states have it. */
export class Snapshots {
  constructor(private readonly pool: Pool) {}

  /**
   * Keeps a state; all or nothing.
   *
   * @returns its id; null where the same is kept by itself already, or the set-up or the entry is gone
   */
  async keep({ id: setUp, revision, setup }: StoredSetup, keeping: Keeping): Promise<string | null> {
    const { kind, name, note, author, day, entry } = keeping;
    const parts = setupParts(setup);
    const ids = Object.fromEntries(parts.map((part) => [part.name, part.id]));
    return inTransaction(this.pool, 'BEGIN', async (client) => {
      await client.query('SELECT pg_advisory_xact_lock_shared($1)', [PARTS_LOCK]);
      const { rows } = await client.query('SELECT id FROM kept_parts WHERE id = ANY($1)', [
        parts.map((part) => part.id),
      ]);
      const there = new Set((rows as { id: string }[]).map((row) => row.id));
      const fresh = parts.filter((part) => !there.has(part.id));
      await client.query(
        `INSERT INTO kept_parts (id, body) SELECT id, body FROM unnest($1::text[], $2::text[]) AS p(id, body)
          ON CONFLICT DO NOTHING`,
        [fresh.map((part) => part.id), fresh.map(({ text }) => text)],
      );
      const kept = await client.query(
        `INSERT INTO snapshots
            (set_up, id, revision, kind, name, note, author_id, author_name, at, day, version, parts, pictures)
          SELECT id, $2, $3, $4, $5, $6, $7, $8, now(), $9, $10, $11, $12 FROM set_ups WHERE id = $1
            AND ($13::uuid IS NULL
              OR EXISTS (SELECT 1 FROM edits WHERE set_up = $1 AND edits.revision = $3 AND edits.id = $13))
          ON CONFLICT DO NOTHING RETURNING id`,
        [
          setUp,
          randomUUID(),
          revision,
          kind,
          name,
          note,
          author?.id,
          author?.name,
          day,
          SETUP_VERSION,
          ids,
          [...picturesIn(setup)],
          entry ?? null,
        ],
      );
      return (kept.rows as { id: string }[])[0]?.id ?? null;
    });
  }

  /** How many a person has made. */
  async countOwn(setUp: string): Promise<number> {
    const { rows } = await this.pool.query(
      `SELECT count(*)::int AS count FROM snapshots WHERE set_up = $1 AND kind = 'own'`,
      [setUp],
    );
    return (rows as { count: number }[])[0]?.count ?? 0;
  }

  /** What a person may look at, newest first; marks are ours. */
  async list(setUp: string): Promise<readonly SnapshotHead[]> {
    const { rows } = await this.pool.query(
      `SELECT ${HEAD} FROM snapshots WHERE set_up = $1 AND kind <> 'mark' ORDER BY at DESC, revision DESC`,
      [setUp],
    );
    return (rows as HeadRow[]).map(toHead);
  }

  /** Gives one that a person made another name and note; false where there is none. */
  async rename(setUp: string, id: string, name: string, note: string | null): Promise<boolean> {
    const { rowCount } = await this.pool.query(
      `UPDATE snapshots SET name = $3, note = $4 WHERE set_up = $1 AND id = $2 AND kind = 'own'`,
      [setUp, id, name, note],
    );
    return rowCount === 1;
  }

  /** Takes one away; the edits stay. False where there is none. */
  async remove(setUp: string, id: string): Promise<boolean> {
    const { rowCount } = await this.pool.query(
      `DELETE FROM snapshots WHERE set_up = $1 AND id = $2 AND kind <> 'mark'`,
      [setUp, id],
    );
    return rowCount === 1;
  }

  /** The nearest kept states at or before a revision and at or after it, the nearer one first. */
  async around(setUp: string, revision: number): Promise<readonly KeptState[]> {
    const nearest = (side: '<=' | '>=', order: 'DESC' | 'ASC') =>
      `(SELECT revision, version, parts FROM snapshots WHERE set_up = $1 AND revision ${side} $2
        ORDER BY revision ${order} LIMIT 1)`;
    const { rows } = await this.pool.query(`${nearest('<=', 'DESC')} UNION ALL ${nearest('>=', 'ASC')}`, [
      setUp,
      revision,
    ]);
    const far = (state: KeptState) => Math.abs(state.revision - revision);
    return (rows as KeptState[]).sort((a, b) => far(a) - far(b));
  }

  /** A kept state; null where it cannot be read. */
  async read({ version, parts }: KeptState): Promise<Setup | null> {
    const { rows } = await this.pool.query('SELECT id, body FROM kept_parts WHERE id = ANY($1)', [
      Object.values(parts),
    ]);
    const bodies = new Map((rows as { id: string; body: string }[]).map(({ id, body }) => [id, body]));
    const texts = new Map<string, string>();
    for (const [name, id] of Object.entries(parts)) {
      const text = bodies.get(id);
      if (text === undefined) return null;
      texts.set(name, text);
    }
    return readKeptSetup(version, setupOfParts(texts));
  }

  /**
   * Takes away what was kept by itself for longer than the person wants, and parts that no state has any more.
   *
   * @returns how many states went
   */
  async sweep(now: Date): Promise<number> {
    return inTransaction(this.pool, 'BEGIN', async (client) => {
      await client.query('SELECT pg_advisory_xact_lock($1)', [PARTS_LOCK]);
      const gone = await client.query(
        `DELETE FROM snapshots USING set_ups WHERE set_ups.id = set_up AND kind IN ('import', 'bulk', 'daily')
          AND at < $1::timestamptz - make_interval(days => keep_days)`,
        [now],
      );
      await client.query(`DELETE FROM kept_parts WHERE id NOT IN (
        SELECT part.value FROM snapshots, jsonb_each_text(parts) AS part)`);
      return gone.rowCount ?? 0;
    });
  }
}

/** What of a snapshot is listed, as the database has it. */
interface HeadRow extends Omit<SnapshotHead, 'author' | 'at'> {
  readonly authorId: string | null;
  readonly authorName: string | null;
  readonly at: Date;
}

function toHead({ authorId, authorName, at, ...head }: HeadRow): SnapshotHead {
  const author = authorId === null || authorName === null ? null : { id: authorId, name: authorName };
  return { ...head, author, at: at.toISOString() };
}
