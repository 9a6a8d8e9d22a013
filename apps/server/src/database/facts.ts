import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is noted about the server itself: when it was backed up last. */
export class Facts1765400000000 implements MigrationInterface {
  readonly name = 'Facts1765400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('CREATE TABLE server_facts (name text PRIMARY KEY, value jsonb NOT NULL)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE server_facts');
  }
}
