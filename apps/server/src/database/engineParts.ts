import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Macros and radial menus have the same columns: what the database asks about is a column, the rest one
 * document.
 */
const TABLES = ['macros', 'radial_menus'] as const;

/** Settings and descriptors of devices, macros, radial menus, and the bindings that name them. */
export class EngineParts1764200000000 implements MigrationInterface {
  readonly name = 'EngineParts1764200000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE devices ADD COLUMN settings jsonb NOT NULL DEFAULT '{}', ADD COLUMN descriptor text`,
    );
    for (const table of TABLES) {
      await runner.query(`CREATE TABLE ${table} (
        set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
        id text NOT NULL,
        position integer NOT NULL,
        name text NOT NULL,
        body jsonb NOT NULL,
        PRIMARY KEY (set_up, id)
      )`);
    }
    await runner.query('ALTER TABLE bindings ADD COLUMN macro text, ADD COLUMN radial_menu text');
    await runner.query(`ALTER TABLE bindings
      ADD FOREIGN KEY (set_up, macro) REFERENCES macros DEFERRABLE INITIALLY DEFERRED,
      ADD FOREIGN KEY (set_up, radial_menu) REFERENCES radial_menus DEFERRABLE INITIALLY DEFERRED`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE bindings DROP COLUMN macro, DROP COLUMN radial_menu');
    for (const table of TABLES) await runner.query(`DROP TABLE ${table}`);
    await runner.query('ALTER TABLE devices DROP COLUMN settings, DROP COLUMN descriptor');
  }
}
