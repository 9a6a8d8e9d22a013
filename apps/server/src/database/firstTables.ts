import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The first tables, as SQL and not as generated code: what a migration does must not change when the entities
 * do.
 */
const TABLES = [
  `CREATE TABLE set_ups (
    id text PRIMARY KEY,
    name text NOT NULL,
    revision integer NOT NULL DEFAULT 0 CHECK (revision >= 0)
  )`,
  `CREATE TABLE devices (
    set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
    id text NOT NULL,
    position integer NOT NULL,
    name text NOT NULL,
    kind text NOT NULL,
    width double precision NOT NULL,
    height double precision NOT NULL,
    body jsonb NOT NULL,
    controls jsonb NOT NULL,
    PRIMARY KEY (set_up, id)
  )`,
  `CREATE TABLE programs (
    set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
    id text NOT NULL,
    position integer NOT NULL,
    name text NOT NULL,
    name_key text GENERATED ALWAYS AS (lower(name)) STORED,
    rules jsonb NOT NULL,
    PRIMARY KEY (set_up, id),
    UNIQUE (set_up, name_key) DEFERRABLE INITIALLY DEFERRED
  )`,
  `CREATE TABLE commands (
    set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
    id text NOT NULL,
    program text,
    position integer NOT NULL,
    name text NOT NULL,
    shortcut text NOT NULL,
    family text NOT NULL,
    intent text,
    PRIMARY KEY (set_up, id),
    FOREIGN KEY (set_up, program) REFERENCES programs ON DELETE CASCADE DEFERRABLE INITIALLY DEFERRED
  )`,
  `CREATE TABLE layers (
    set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
    id text NOT NULL,
    position integer NOT NULL,
    name text NOT NULL,
    PRIMARY KEY (set_up, id)
  )`,
  `CREATE TABLE profiles (
    set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
    id text NOT NULL,
    program text,
    based_on text,
    PRIMARY KEY (set_up, id),
    FOREIGN KEY (set_up, program) REFERENCES programs DEFERRABLE INITIALLY DEFERRED,
    FOREIGN KEY (set_up, based_on) REFERENCES profiles DEFERRABLE INITIALLY DEFERRED
  )`,
  `CREATE TABLE bindings (
    set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
    profile text NOT NULL,
    layer text NOT NULL,
    device text NOT NULL,
    control text NOT NULL,
    trigger text NOT NULL,
    behaviour jsonb NOT NULL,
    command text,
    face jsonb,
    note text,
    PRIMARY KEY (set_up, profile, layer, device, control, trigger),
    FOREIGN KEY (set_up, profile) REFERENCES profiles DEFERRABLE INITIALLY DEFERRED,
    FOREIGN KEY (set_up, layer) REFERENCES layers DEFERRABLE INITIALLY DEFERRED,
    FOREIGN KEY (set_up, device) REFERENCES devices DEFERRABLE INITIALLY DEFERRED,
    FOREIGN KEY (set_up, command) REFERENCES commands DEFERRABLE INITIALLY DEFERRED
  )`,
  `CREATE TABLE edits (
    set_up text NOT NULL REFERENCES set_ups ON DELETE CASCADE,
    revision integer NOT NULL,
    id uuid NOT NULL,
    edit jsonb NOT NULL,
    inverse jsonb NOT NULL,
    role text NOT NULL CHECK (role IN ('do', 'undo', 'redo')),
    of uuid,
    at timestamptz NOT NULL,
    PRIMARY KEY (set_up, revision),
    UNIQUE (set_up, id)
  )`,
];
/** In the order in which they can be dropped: what refers to another goes first. */
const NAMES = ['edits', 'bindings', 'profiles', 'layers', 'commands', 'programs', 'devices', 'set_ups'];

/** The tables of a set-up and its edit log. References are checked at commit, so an edit may write in any order. */
export class FirstTables1764000000000 implements MigrationInterface {
  readonly name = 'FirstTables1764000000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(table);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of NAMES) await runner.query(`DROP TABLE ${name}`);
  }
}
