import type { Pool } from 'pg';

/** A picture as it is kept and sent. */
export interface KeptPicture {
  /** SHA-256 of the bytes, in hexadecimal digits. */
  readonly id: string;
  /** Pixels. */
  readonly width: number;
  readonly height: number;
  /** A WebP file. */
  readonly bytes: Uint8Array;
}

/** How long a picture that nothing refers to is kept: days. */
export const UNUSED_DAYS = 30;

/** Pictures in the database, each once, by their content. */
export class PictureStore {
  constructor(private readonly pool: Pool) {}

  /** Keeps a picture; one that is there already counts as used from now on. */
  async add({ id, width, height, bytes }: KeptPicture): Promise<void> {
    await this.pool.query(
      `INSERT INTO pictures (id, width, height, bytes, added_at) VALUES ($1, $2, $3, $4, now())
        ON CONFLICT (id) DO UPDATE SET unused_since = NULL`,
      [id, width, height, Buffer.from(bytes)],
    );
  }

  /** The bytes of a picture, a WebP file; null where it is not kept. */
  async read(id: string): Promise<Uint8Array | null> {
    const { rows } = await this.pool.query('SELECT bytes FROM pictures WHERE id = $1', [id]);
    const [row] = rows as { bytes: Buffer }[];
    return row ? new Uint8Array(row.bytes) : null;
  }

  /** Those of some pictures that are kept. */
  async readAll(ids: readonly string[]): Promise<ReadonlyMap<string, Uint8Array>> {
    const { rows } = await this.pool.query('SELECT id, bytes FROM pictures WHERE id = ANY($1) ORDER BY id', [
      ids,
    ]);
    return new Map((rows as { id: string; bytes: Buffer }[]).map(({ id, bytes }) => [id, bytes]));
  }

  /**
   * Notes which pictures nothing refers to any more, and takes those away that nothing has referred to for 30 days. An
   * entry of the log refers to what it set or took away: undo brings it back.
   *
   * @returns how many were taken away
   */
  async sweep(now: Date): Promise<number> {
    await this.pool.query(
      `WITH named AS (${NAMED})
        UPDATE pictures SET unused_since = CASE WHEN id IN (SELECT id FROM named) THEN NULL ELSE $1::timestamptz END
        WHERE (unused_since IS NULL) <> (id IN (SELECT id FROM named))`,
      [now],
    );
    const { rowCount } = await this.pool.query(
      `DELETE FROM pictures WHERE unused_since <= $1::timestamptz - make_interval(days => ${UNUSED_DAYS})`,
      [now],
    );
    return rowCount ?? 0;
  }
}

/** The ids of pictures that anything refers to. Of entries only those are taken apart that speak of one. */
const NAMED = `
  SELECT face->'picture'->>'id' AS id FROM bindings WHERE jsonb_typeof(face->'picture') = 'object'
  UNION SELECT face->'picture'->>'id' FROM pages WHERE jsonb_typeof(face->'picture') = 'object'
  UNION SELECT picture->>'id' FROM pages WHERE jsonb_typeof(picture) = 'object'
  UNION SELECT panel->'picture'->>'id' FROM devices WHERE jsonb_typeof(panel->'picture') = 'object'
  UNION SELECT control->'cell'->'picture'->>'id' FROM devices, jsonb_array_elements(controls) AS control
    WHERE jsonb_typeof(control->'cell'->'picture') = 'object'
  UNION SELECT unnest(pictures) FROM snapshots
  UNION SELECT unnest(pictures) FROM edit_packs
  UNION SELECT found[1] FROM (
    SELECT edit::text || inverse::text AS text FROM edits
    WHERE edit::text LIKE '%picture": {%' OR inverse::text LIKE '%picture": {%'
  ) AS speaking, regexp_matches(text, '"id": "([0-9a-f]{64})"', 'g') AS found`;
