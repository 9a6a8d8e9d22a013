import { macroWithIds, menuWithIds, rulesWithIds } from '@nimble-lever/core/setup/version1';
import type { MigrationInterface, QueryRunner } from 'typeorm';

/** References without an index make every removal look through the whole table. */
const INDEXES = {
  commands_program: 'commands (set_up, program)',
  profiles_program: 'profiles (set_up, program)',
  profiles_based_on: 'profiles (set_up, based_on)',
  bindings_layer: 'bindings (set_up, layer)',
  bindings_device: 'bindings (set_up, device)',
  bindings_command: 'bindings (set_up, command) WHERE command IS NOT NULL',
  bindings_macro: 'bindings (set_up, macro) WHERE macro IS NOT NULL',
  bindings_radial_menu: 'bindings (set_up, radial_menu) WHERE radial_menu IS NOT NULL',
  edits_of: 'edits (set_up, of) WHERE of IS NOT NULL',
  edits_author: 'edits (set_up, author_id, revision)',
} as const;

/**
 * What an edit of the first version may hold: it is rewritten by name, and not read by today's schemas, which
 * will change.
 */
type Json = { readonly [name: string]: unknown };
const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null;

/**
 * Edits that name fields: entries get a format, an author and what the author had seen; rules, steps and items of
 * radial menus get ids. Names are compared as the product compares them, not as the database does.
 */
export class EditsByField1764400000000 implements MigrationInterface {
  readonly name = 'EditsByField1764400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE programs ALTER COLUMN name_key DROP EXPRESSION');
    await runner.query('ALTER TABLE programs ALTER COLUMN name_key SET NOT NULL');
    await runner.query(`ALTER TABLE edits
      ADD COLUMN format integer NOT NULL DEFAULT 1,
      ADD COLUMN author_id uuid,
      ADD COLUMN author_name text,
      ADD COLUMN base integer NOT NULL DEFAULT 0`);
    await runner.query('ALTER TABLE edits ALTER COLUMN format DROP DEFAULT, ALTER COLUMN base DROP DEFAULT');
    for (const [name, on] of Object.entries(INDEXES)) await runner.query(`CREATE INDEX ${name} ON ${on}`);
    await this.#number(runner, 'programs', 'rules', (rules) => rulesWithIds({ rules }).rules);
    await this.#number(runner, 'profiles', 'rules', (rules) => rulesWithIds({ rules }).rules);
    await this.#number(runner, 'macros', 'body', (body) => (isObject(body) ? macroWithIds(body) : body));
    await this.#number(runner, 'radial_menus', 'body', (body) => (isObject(body) ? menuWithIds(body) : body));
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of Object.keys(INDEXES)) await runner.query(`DROP INDEX ${name}`);
    await runner.query(
      'ALTER TABLE edits DROP COLUMN format, DROP COLUMN author_id, DROP COLUMN author_name, DROP COLUMN base',
    );
    await runner.query('ALTER TABLE programs DROP COLUMN name_key');
    await runner.query(
      'ALTER TABLE programs ADD COLUMN name_key text GENERATED ALWAYS AS (lower(name)) STORED',
    );
    await runner.query('ALTER TABLE programs ADD UNIQUE (set_up, name_key) DEFERRABLE INITIALLY DEFERRED');
  }

  async #number(
    runner: QueryRunner,
    table: string,
    column: string,
    change: (value: unknown) => unknown,
  ): Promise<void> {
    const rows: { set_up: string; id: string; value: unknown }[] = await runner.query(
      `SELECT set_up, id, ${column} AS value FROM ${table}`,
    );
    for (const { set_up, id, value } of rows) {
      await runner.query(`UPDATE ${table} SET ${column} = $3 WHERE set_up = $1 AND id = $2`, [
        set_up,
        id,
        JSON.stringify(change(value)),
      ]);
    }
  }
}
