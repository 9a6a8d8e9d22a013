import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Old entries of the log, many in one: what was done and what takes it back stands in a pack, which is compressed as a
 * whole; the entry itself stays a row, so that it is found as before.
 */
export class Packs1765500000000 implements MigrationInterface {
  readonly name = 'Packs1765500000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE edit_packs (
      set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
      first integer NOT NULL,
      last integer NOT NULL,
      body text NOT NULL,
      pictures text[] NOT NULL,
      PRIMARY KEY (set_up, first),
      CHECK (last >= first)
    )`);
    await runner.query(`ALTER TABLE edits
      ADD COLUMN packed integer,
      ALTER COLUMN edit DROP NOT NULL,
      ALTER COLUMN inverse DROP NOT NULL`);
    await runner.query(`ALTER TABLE edits
      ADD CHECK ((packed IS NULL) = (edit IS NOT NULL)), ADD CHECK ((packed IS NULL) = (inverse IS NOT NULL))`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`UPDATE edits SET packed = NULL, edit = pair->0, inverse = pair->1
      FROM edit_packs, jsonb_each(body::jsonb) AS each(revision, pair)
      WHERE edits.set_up = edit_packs.set_up AND edits.revision = each.revision::integer`);
    await runner.query(`ALTER TABLE edits
      DROP COLUMN packed,
      ALTER COLUMN edit SET NOT NULL,
      ALTER COLUMN inverse SET NOT NULL`);
    await runner.query('DROP TABLE edit_packs');
  }
}
