import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Pages of a panel that have the cells of another page, too. */
export class PageBases1765100000000 implements MigrationInterface {
  readonly name = 'PageBases1765100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE pages ADD COLUMN based_on text,
      ADD CONSTRAINT pages_based_on FOREIGN KEY (set_up, based_on) REFERENCES pages DEFERRABLE INITIALLY DEFERRED`);
    // References without an index make every removal look through the whole table.
    await runner.query('CREATE INDEX pages_based_on ON pages (set_up, based_on) WHERE based_on IS NOT NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX pages_based_on');
    await runner.query('ALTER TABLE pages DROP COLUMN based_on');
  }
}
