import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Commands that cannot be taken back, with notes; programs with a colour and a sign of their own. */
export class CommandNotes1764600000000 implements MigrationInterface {
  readonly name = 'CommandNotes1764600000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE programs ADD COLUMN colour text, ADD COLUMN icon text');
    await runner.query(
      'ALTER TABLE commands ADD COLUMN risky boolean NOT NULL DEFAULT false, ADD COLUMN note text',
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE commands DROP COLUMN risky, DROP COLUMN note');
    await runner.query('ALTER TABLE programs DROP COLUMN colour, DROP COLUMN icon');
  }
}
