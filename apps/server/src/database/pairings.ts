import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Browsers of other devices that may come in, and the codes that let them. They belong to no set-up. */
export class Pairings1765000000000 implements MigrationInterface {
  readonly name = 'Pairings1765000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE pairing_codes (
      id uuid PRIMARY KEY,
      code text NOT NULL CHECK (code ~ '^[0-9]{6}$'),
      rights jsonb NOT NULL,
      tries integer NOT NULL,
      good_until timestamptz NOT NULL,
      paired_with text
    )`);
    await runner.query(`CREATE TABLE paired_browsers (
      id uuid PRIMARY KEY,
      token text NOT NULL UNIQUE CHECK (token ~ '^[0-9a-f]{64}$'),
      name text NOT NULL,
      rights jsonb NOT NULL,
      paired_at timestamptz NOT NULL,
      seen_at timestamptz NOT NULL
    )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE paired_browsers');
    await runner.query('DROP TABLE pairing_codes');
  }
}
