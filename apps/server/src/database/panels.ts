import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Panels divided by grids: that of the device, those of its pages, and the pictures under their cells. */
export class Panels1764900000000 implements MigrationInterface {
  readonly name = 'Panels1764900000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE devices ADD COLUMN panel jsonb');
    await runner.query('ALTER TABLE pages ADD COLUMN grid jsonb, ADD COLUMN picture jsonb');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE pages DROP COLUMN grid, DROP COLUMN picture');
    await runner.query('ALTER TABLE devices DROP COLUMN panel');
  }
}
