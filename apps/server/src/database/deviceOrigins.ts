import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Which device of the catalogue one came as, whether it runs on a battery, and what memory it has of its own. */
export class DeviceOrigins1764300000000 implements MigrationInterface {
  readonly name = 'DeviceOrigins1764300000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      'ALTER TABLE devices ADD COLUMN model text, ADD COLUMN battery boolean NOT NULL DEFAULT false, ADD COLUMN memory jsonb',
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE devices DROP COLUMN model, DROP COLUMN battery, DROP COLUMN memory');
  }
}
