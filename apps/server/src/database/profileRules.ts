import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Profiles may have a name and rules of their own: several for one program, by window. */
export class ProfileRules1764100000000 implements MigrationInterface {
  readonly name = 'ProfileRules1764100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE profiles ADD COLUMN name text, ADD COLUMN rules jsonb NOT NULL DEFAULT '[]'`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE profiles DROP COLUMN name, DROP COLUMN rules');
  }
}
