import type { PartKind } from '@nimble-lever/core/setup';
import type { EntitySchema } from 'typeorm';
import {
  BindingEntity,
  CommandEntity,
  DeviceEntity,
  EditEntity,
  LayerEntity,
  MacroEntity,
  PageEntity,
  ProfileEntity,
  ProgramEntity,
  RadialMenuEntity,
} from './entities.ts';

/**
 * A column as statements need it. TypeORM's metadata is read once for this, so that names are written in one
 * place.
 */
interface Column {
  /** What rows call it. */
  readonly property: string;
  /** What the database calls it. */
  readonly name: string;
  /** As PostgreSQL writes it, for casts of parameters. */
  readonly type: string;
  /** Part of the primary key, by which rows are found and taken away. */
  readonly primary: boolean;
}

/** A table as SQL needs it, from its entity: the one place that says which columns there are. */
export interface Table {
  readonly name: string;
  /** In the order in which parameters are given. */
  readonly columns: readonly Column[];
  /** The columns of the primary key after `set_up`. */
  readonly key: readonly Column[];
}

/** What the SQL needs to know of a table, from the one place that says it. */
function tableOf(entity: EntitySchema): Table {
  const { name, columns } = entity.options;
  const all = Object.entries(columns).flatMap(([property, column]): Column[] =>
    column
      ? [
          {
            property,
            name: column.name ?? property,
            type: String(column.type),
            primary: column.primary === true,
          },
        ]
      : [],
  );
  return { name, columns: all, key: all.filter(({ primary, property }) => primary && property !== 'setUp') };
}

/** The tables a set-up is kept in, what others refer to first. */
export const PART_TABLES = {
  device: tableOf(DeviceEntity as EntitySchema),
  program: tableOf(ProgramEntity as EntitySchema),
  command: tableOf(CommandEntity as EntitySchema),
  layer: tableOf(LayerEntity as EntitySchema),
  page: tableOf(PageEntity as EntitySchema),
  profile: tableOf(ProfileEntity as EntitySchema),
  macro: tableOf(MacroEntity as EntitySchema),
  'radial-menu': tableOf(RadialMenuEntity as EntitySchema),
  binding: tableOf(BindingEntity as EntitySchema),
} as const satisfies Record<PartKind, Table>;

/** The log is written with the parts, in the same statement. */
export const EDITS = tableOf(EditEntity as EntitySchema);

/** A row as it is read and written, by property. */
export type Row = { readonly [property: string]: unknown };

/** The columns of a table as rows of JSON give them: `name type, name type`. */
export function recordOf(columns: readonly Column[]): string {
  return columns.map(({ name, type }) => `"${name}" ${type}`).join(', ');
}

/** What is read of a table, each column under its property. */
export function selected(columns: readonly Column[]): string {
  return columns.map(({ name, property }) => `"${name}" AS "${property}"`).join(', ');
}

/** Rows as JSON text with the names of columns. */
export function recordsJson(columns: readonly Column[], rows: readonly Row[]): string {
  const record = (row: Row) =>
    Object.fromEntries(columns.map(({ name, property }) => [name, row[property] ?? null]));
  return JSON.stringify(rows.map(record));
}

/** The key of a row inside its set-up, as text. */
export function keyOfRow({ key }: Table, row: Row): string {
  return key.map(({ property }) => String(row[property])).join('/');
}
