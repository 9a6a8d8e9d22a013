import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Set-ups as they were at a revision. The parts of one are kept by their content, each once, as most of a set-up stays the
 * same from one to the next.
 */
export class Snapshots1765200000000 implements MigrationInterface {
  readonly name = 'Snapshots1765200000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE kept_parts (
      id text PRIMARY KEY CHECK (id ~ '^[0-9a-f]{64}$'),
      body text NOT NULL
    )`);
    await runner.query(`CREATE TABLE snapshots (
      set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
      id uuid NOT NULL,
      revision integer NOT NULL,
      kind text NOT NULL CHECK (kind IN ('own', 'import', 'bulk', 'daily', 'mark')),
      name text,
      note text,
      author_id uuid,
      author_name text,
      at timestamptz NOT NULL,
      day date,
      version integer NOT NULL,
      parts jsonb NOT NULL,
      pictures text[] NOT NULL,
      PRIMARY KEY (set_up, id),
      CHECK ((kind = 'own') = (name IS NOT NULL)),
      CHECK ((kind = 'daily') = (day IS NOT NULL))
    )`);
    for (const [name, on] of Object.entries(INDEXES)) await runner.query(`CREATE ${name} ON ${on}`);
    await runner.query('ALTER TABLE set_ups ADD COLUMN keep_days integer CHECK (keep_days > 0)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE set_ups DROP COLUMN keep_days');
    await runner.query('DROP TABLE snapshots');
    await runner.query('DROP TABLE kept_parts');
  }
}

/** What is kept by itself is kept once: a state, and a day. */
const INDEXES = {
  'INDEX snapshots_revision': 'snapshots (set_up, revision)',
  'UNIQUE INDEX snapshots_once': `snapshots (set_up, revision, kind) WHERE kind <> 'own'`,
  'UNIQUE INDEX snapshots_daily': 'snapshots (set_up, day)',
} as const;
