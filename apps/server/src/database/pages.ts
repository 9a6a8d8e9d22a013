import {
  finderIn,
  type OldParts,
  type PageFinder,
  type PagePlan,
  planPages,
  withPageActions,
} from '@nimble-lever/core/setup/version2';
import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A binding as it is looked for in the table. */
interface BindingPlace {
  readonly profile: string;
  readonly layer: string;
  readonly device: string;
  readonly control: string;
  readonly trigger: string;
  readonly behaviour: unknown;
}

/** Everything of a binding but where it stands; the layer it is on is handed in. */
const REST = 'device, control, trigger, behaviour, command, face, note, macro, radial_menu';

/**
 * Pages of devices: a layer that was shown as a page becomes a folder, with what is bound on it. Entries of the log are
 * brought up to date as they are read.
 */
export class Pages1764700000000 implements MigrationInterface {
  readonly name = 'Pages1764700000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE pages (
      set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
      id text NOT NULL,
      position integer NOT NULL,
      device text NOT NULL,
      kind text NOT NULL,
      name text NOT NULL,
      program text,
      within text,
      face jsonb,
      shows_through boolean NOT NULL,
      follows boolean NOT NULL,
      PRIMARY KEY (set_up, id),
      FOREIGN KEY (set_up, device) REFERENCES devices DEFERRABLE INITIALLY DEFERRED,
      FOREIGN KEY (set_up, program) REFERENCES programs DEFERRABLE INITIALLY DEFERRED,
      FOREIGN KEY (set_up, within) REFERENCES pages DEFERRABLE INITIALLY DEFERRED
    )`);
    await runner.query(
      'ALTER TABLE bindings ADD COLUMN on_layer text, ADD COLUMN on_page text, ADD COLUMN page text',
    );
    await runner.query('ALTER TABLE bindings DROP CONSTRAINT bindings_set_up_layer_fkey');
    await runner.query('DROP INDEX bindings_layer');
    await runner.query('UPDATE bindings SET on_layer = layer');
    for (const { id } of (await runner.query('SELECT id FROM set_ups')) as { id: string }[])
      await this.#makeFolders(runner, id);
    // What was written in this transaction is checked before tables change.
    await runner.query('SET CONSTRAINTS ALL IMMEDIATE');
    await runner.query('SET CONSTRAINTS ALL DEFERRED');
    await runner.query(`ALTER TABLE bindings
      ADD CHECK (num_nonnulls(on_layer, on_page) = 1 AND layer = COALESCE(on_layer, on_page)),
      ADD FOREIGN KEY (set_up, on_layer) REFERENCES layers DEFERRABLE INITIALLY DEFERRED,
      ADD FOREIGN KEY (set_up, on_page) REFERENCES pages DEFERRABLE INITIALLY DEFERRED,
      ADD FOREIGN KEY (set_up, page) REFERENCES pages DEFERRABLE INITIALLY DEFERRED`);
    for (const [name, on] of Object.entries(INDEXES)) await runner.query(`CREATE INDEX ${name} ON ${on}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of Object.keys(INDEXES)) await runner.query(`DROP INDEX ${name}`);
    await runner.query('DELETE FROM bindings WHERE on_page IS NOT NULL OR page IS NOT NULL');
    await runner.query('SET CONSTRAINTS ALL IMMEDIATE');
    await runner.query('ALTER TABLE bindings DROP COLUMN on_layer, DROP COLUMN on_page, DROP COLUMN page');
    await runner.query(`ALTER TABLE bindings
      ADD FOREIGN KEY (set_up, layer) REFERENCES layers DEFERRABLE INITIALLY DEFERRED`);
    await runner.query('CREATE INDEX bindings_layer ON bindings (set_up, layer)');
    await runner.query('DROP TABLE pages');
  }

  /** The layers of a set-up that were shown as pages. */
  async #makeFolders(runner: QueryRunner, setUp: string): Promise<void> {
    const bindings = (await runner.query(
      'SELECT profile, layer, device, control, trigger, behaviour FROM bindings WHERE set_up = $1',
      [setUp],
    )) as BindingPlace[];
    const plan = planPages(await oldParts(runner, setUp, bindings));
    for (const [position, { page }] of plan.shown.entries()) {
      await runner.query(
        `INSERT INTO pages (set_up, id, position, device, kind, name, shows_through, follows)
          VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
        [setUp, page.id, position, page.device, page.kind, page.name, page.showsThrough, page.follows],
      );
    }
    await rewriteActions(runner, setUp, bindings, finderIn(plan));
    await moveBindings(runner, setUp, plan);
  }
}

/** References without an index make every removal look through the whole table. */
const INDEXES = {
  pages_device: 'pages (set_up, device)',
  pages_program: 'pages (set_up, program) WHERE program IS NOT NULL',
  pages_within: 'pages (set_up, within) WHERE within IS NOT NULL',
  bindings_on_layer: 'bindings (set_up, on_layer) WHERE on_layer IS NOT NULL',
  bindings_on_page: 'bindings (set_up, on_page) WHERE on_page IS NOT NULL',
  bindings_page: 'bindings (set_up, page) WHERE page IS NOT NULL',
} as const;

/** A set-up as a document of that time has it, as far as pages go. */
async function oldParts(
  runner: QueryRunner,
  setUp: string,
  bindings: readonly BindingPlace[],
): Promise<OldParts> {
  const rows = (table: string, columns: string) =>
    runner.query(`SELECT ${columns} FROM ${table} WHERE set_up = $1 ORDER BY position`, [setUp]);
  const profiles: Record<string, { bindings: Record<string, unknown> }> = {};
  for (const { profile, layer, device, control, trigger, behaviour } of bindings) {
    const own = profiles[profile] ?? { bindings: {} };
    profiles[profile] = own;
    own.bindings[`${layer}/${device}/${control}/${trigger}`] = { behaviour };
  }
  return {
    layers: await rows('layers', 'id, name'),
    macros: await rows('macros', 'body'),
    radialMenus: await rows('radial_menus', 'body'),
    profiles,
  };
}

/** What bindings and items of menus do, as it is written now. */
async function rewriteActions(
  runner: QueryRunner,
  setUp: string,
  bindings: readonly BindingPlace[],
  find: PageFinder,
): Promise<void> {
  for (const { profile, layer, device, control, trigger, behaviour } of bindings) {
    const now = JSON.stringify(withPageActions(behaviour, device, find));
    if (now === JSON.stringify(behaviour)) continue;
    const { action } = JSON.parse(now) as { action?: { page?: unknown } };
    await runner.query(
      `UPDATE bindings SET behaviour = $7, page = $8
        WHERE (set_up, profile, layer, device, control, trigger) = ($1, $2, $3, $4, $5, $6)`,
      [setUp, profile, layer, device, control, trigger, now, action?.page ?? null],
    );
  }
  const menus = (await runner.query('SELECT id, body FROM radial_menus WHERE set_up = $1', [setUp])) as {
    id: string;
    body: unknown;
  }[];
  for (const { id, body } of menus) {
    const now = JSON.stringify(withPageActions(body, null, find));
    if (now === JSON.stringify(body)) continue;
    await runner.query('UPDATE radial_menus SET body = $3 WHERE set_up = $1 AND id = $2', [setUp, id, now]);
  }
}

/** From layers to folders; a layer with nothing left goes. */
async function moveBindings(runner: QueryRunner, setUp: string, plan: PagePlan): Promise<void> {
  for (const { layer, page, moves } of plan.shown) {
    await runner.query(
      `INSERT INTO bindings (set_up, profile, layer, on_page, page, ${REST})
        SELECT set_up, profile, $4, $4, page, ${REST} FROM bindings
        WHERE set_up = $1 AND layer = $2 AND device = $3`,
      [setUp, layer, page.device, page.id],
    );
    if (!moves) continue;
    await runner.query('DELETE FROM bindings WHERE set_up = $1 AND layer = $2 AND device = $3', [
      setUp,
      layer,
      page.device,
    ]);
  }
  for (const layer of plan.layersGone)
    await runner.query('DELETE FROM layers WHERE set_up = $1 AND id = $2', [setUp, layer]);
}
