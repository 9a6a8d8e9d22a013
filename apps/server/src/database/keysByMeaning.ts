import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Shortcuts say what programs read: programs and commands by what they go by, commands with other shortcuts on some
 * layouts, set-ups with other computers' layouts and the one that older shortcuts were made on. Shortcuts themselves are
 * brought up to date as they are read.
 */
export class KeysByMeaning1764500000000 implements MigrationInterface {
  readonly name = 'KeysByMeaning1764500000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE set_ups ADD COLUMN keyboards jsonb NOT NULL DEFAULT '{}', ADD COLUMN made_on text`,
    );
    await runner.query(`ALTER TABLE programs ADD COLUMN keys_by text NOT NULL DEFAULT 'character'`);
    await runner.query(
      `ALTER TABLE commands ADD COLUMN keys_by text, ADD COLUMN on_layout jsonb NOT NULL DEFAULT '{}'`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE commands DROP COLUMN keys_by, DROP COLUMN on_layout');
    await runner.query('ALTER TABLE programs DROP COLUMN keys_by');
    await runner.query('ALTER TABLE set_ups DROP COLUMN keyboards, DROP COLUMN made_on');
  }
}
