import type { EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';
import {
  BindingEntity,
  CommandEntity,
  DeviceEntity,
  LayerEntity,
  MacroEntity,
  ProfileEntity,
  ProgramEntity,
  RadialMenuEntity,
} from '../database/entities.ts';
import type { SetupRows } from './rows.ts';

/** Rows written in one statement; a statement takes at most 65,535 parameters. */
const CHUNK = 500;

const TABLES: readonly { name: keyof SetupRows; entity: EntitySchema; key: readonly string[] }[] = [
  { name: 'devices', entity: DeviceEntity, key: ['setUp', 'id'] },
  { name: 'programs', entity: ProgramEntity, key: ['setUp', 'id'] },
  { name: 'commands', entity: CommandEntity, key: ['setUp', 'id'] },
  { name: 'layers', entity: LayerEntity, key: ['setUp', 'id'] },
  { name: 'profiles', entity: ProfileEntity, key: ['setUp', 'id'] },
  { name: 'macros', entity: MacroEntity, key: ['setUp', 'id'] },
  { name: 'radialMenus', entity: RadialMenuEntity, key: ['setUp', 'id'] },
  {
    name: 'bindings',
    entity: BindingEntity,
    key: ['setUp', 'profile', 'layer', 'device', 'control', 'trigger'],
  },
];

/** Writes what differs between two states of a set-up's rows, and nothing else. */
export async function writeRows(
  manager: EntityManager,
  before: SetupRows | null,
  after: SetupRows,
): Promise<void> {
  for (const { name, entity, key } of TABLES) {
    const { gone, changed } = difference(before?.[name] ?? [], after[name], key);
    for (const row of gone) await manager.delete(entity, row);
    for (let i = 0; i < changed.length; i += CHUNK) {
      await manager.upsert(entity, changed.slice(i, i + CHUNK), [...key]);
    }
  }
}

function difference(
  before: readonly ObjectLiteral[],
  after: readonly ObjectLiteral[],
  key: readonly string[],
) {
  const keyText = (row: ObjectLiteral) => key.map((name) => row[name]).join('/');
  const old = new Map(before.map((row) => [keyText(row), row]));
  const changed = after.filter((row) => !sameRow(old.get(keyText(row)), row));
  for (const row of after) old.delete(keyText(row));
  const gone = [...old.values()].map((row) => Object.fromEntries(key.map((name) => [name, row[name]])));
  return { gone, changed };
}

function sameRow(a: ObjectLiteral | undefined, b: ObjectLiteral): boolean {
  return a !== undefined && Object.keys(b).every((name) => a[name] === b[name]);
}
