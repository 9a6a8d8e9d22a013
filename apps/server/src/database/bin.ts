import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Set-ups in the order in which they were made, and since when one is in the bin. */
export class Bin1765300000000 implements MigrationInterface {
  readonly name = 'Bin1765300000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE set_ups
      ADD COLUMN created_at timestamptz NOT NULL DEFAULT now(),
      ADD COLUMN binned_at timestamptz`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE set_ups DROP COLUMN created_at, DROP COLUMN binned_at');
  }
}
