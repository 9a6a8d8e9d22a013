import { type Binding, keyOf, type Setup, setupSchema } from '@nimble-lever/core/setup';
import type {
  BindingRow,
  CommandRow,
  DeviceRow,
  LayerRow,
  PartRow,
  ProfileRow,
  ProgramRow,
} from '../database/entities.ts';

/** A set-up as the rows of its tables. */
export interface SetupRows {
  readonly devices: readonly DeviceRow[];
  readonly programs: readonly ProgramRow[];
  readonly commands: readonly CommandRow[];
  readonly layers: readonly LayerRow[];
  readonly profiles: readonly ProfileRow[];
  readonly macros: readonly PartRow[];
  readonly radialMenus: readonly PartRow[];
  readonly bindings: readonly BindingRow[];
}

/** The rows of a set-up. Positions are places in the set-up's own order. */
export function toRows(setUp: string, setup: Setup): SetupRows {
  const commandLists = [
    { program: null, commands: setup.commonCommands },
    ...setup.programs.map(({ id, commands }) => ({ program: id, commands })),
  ];
  return {
    devices: setup.devices.map((device, position) => ({ setUp, position, ...device })),
    programs: setup.programs.map(({ id, name, rules }, position) => ({ setUp, id, position, name, rules })),
    commands: commandLists.flatMap(({ program, commands }) =>
      commands.map((command, position) => ({ setUp, program, position, ...command })),
    ),
    layers: setup.layers.map(({ id, name }, position) => ({ setUp, id, position, name })),
    profiles: Object.values(setup.profiles).map(({ bindings: _bindings, ...profile }) => ({
      setUp,
      ...profile,
    })),
    macros: setup.macros.map((macro, position) => partRow(setUp, position, macro)),
    radialMenus: setup.radialMenus.map((menu, position) => partRow(setUp, position, menu)),
    bindings: Object.values(setup.profiles).flatMap(({ id, bindings }) =>
      Object.entries(bindings).map(([key, binding]) => bindingRow(setUp, id, key, binding)),
    ),
  };
}

function bindingRow(setUp: string, profile: string, key: string, binding: Binding): BindingRow {
  const [layer = '', device = '', control = '', trigger = ''] = key.split('/');
  const { behaviour, face, note } = binding;
  const action = behaviour.kind === 'action' ? behaviour.action : null;
  const command = action?.kind === 'command' ? action.command : null;
  const macro = action?.kind === 'macro' ? action.macro : null;
  const radialMenu = action?.kind === 'radial' ? action.menu : null;
  const place = { setUp, profile, layer, device, control, trigger: trigger as BindingRow['trigger'] };
  return { ...place, behaviour, command, macro, radialMenu, face, note };
}

function partRow(
  setUp: string,
  position: number,
  part: { readonly id: string; readonly name: string },
): PartRow {
  return { setUp, id: part.id, position, name: part.name, body: part };
}

/** The set-up that rows stand for. Throws when they are no sound set-up, which the tables should prevent. */
export function fromRows(name: string, rows: SetupRows): Setup {
  const commandsOf = (owner: string | null) =>
    inOrder(rows.commands.filter(({ program }) => program === owner)).map(
      without('setUp', 'program', 'position'),
    );
  const bindingsOf = (owner: string) =>
    Object.fromEntries(
      rows.bindings
        .filter(({ profile }) => profile === owner)
        .map((row) => [keyOf(row), { behaviour: row.behaviour, face: row.face, note: row.note }]),
    );
  return setupSchema.parse({
    name,
    devices: inOrder(rows.devices).map(without('setUp', 'position')),
    commonCommands: commandsOf(null),
    programs: inOrder(rows.programs).map(({ id, name: programName, rules }) => ({
      id,
      name: programName,
      rules,
      commands: commandsOf(id),
    })),
    layers: inOrder(rows.layers).map(without('setUp', 'position')),
    macros: partsOf(rows.macros),
    radialMenus: partsOf(rows.radialMenus),
    profiles: Object.fromEntries(
      rows.profiles.map((row) => [row.id, { ...without('setUp')(row), bindings: bindingsOf(row.id) }]),
    ),
  });
}

function partsOf(rows: readonly PartRow[]): unknown[] {
  return inOrder(rows).map(({ body }) => body);
}

function inOrder<Row extends { position: number }>(rows: readonly Row[]): Row[] {
  return rows.toSorted((a, b) => a.position - b.position);
}

function without<Name extends string>(...names: readonly Name[]) {
  return (row: object): object =>
    Object.fromEntries(Object.entries(row).filter(([name]) => !names.includes(name as Name)));
}
