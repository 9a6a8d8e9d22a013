import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Pictures of faces, by their content. They belong to no set-up: the same one may be in several. */
export class Pictures1764800000000 implements MigrationInterface {
  readonly name = 'Pictures1764800000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE pictures (
      id text PRIMARY KEY CHECK (id ~ '^[0-9a-f]{64}$'),
      width integer NOT NULL,
      height integer NOT NULL,
      bytes bytea NOT NULL,
      added_at timestamptz NOT NULL,
      unused_since timestamptz
    )`);
    // WebP is compressed already.
    await runner.query('ALTER TABLE pictures ALTER COLUMN bytes SET STORAGE EXTERNAL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE pictures');
  }
}
