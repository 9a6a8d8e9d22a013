import type { Device } from '../devices/index.ts';
import { type Setup, sameJson, settled } from '../setup/index.ts';

/** The kinds of parts in which set-ups are compared and taken over. */
export const UNIT_KINDS = [
  'setup',
  'device',
  'program',
  'command',
  'common-command',
  'profile',
  'control',
  'layer',
  'page',
  'macro',
  'radial-menu',
  'order',
] as const;
/** A kind of part. */
export type UnitKind = (typeof UNIT_KINDS)[number];

/** A part of a set-up that is compared, and taken over, as one. */
export interface UnitPlace {
  readonly kind: UnitKind;
  /** Of a command its program, of what a control does its profile, of an order the program whose commands it is of. */
  readonly owner: string;
  /** Its id; of what a control does `device/control`; of an order the name of the list. */
  readonly id: string;
}

/** A place as one text; ids have no colons. */
export const unitKey = ({ kind, owner, id }: UnitPlace): string => `${kind}:${owner}:${id}`;

/** The place that a text stands for. */
export function unitPlace(key: string): UnitPlace {
  const [kind = '', owner = '', id = ''] = key.split(':');
  return { kind: kind as UnitKind, owner, id };
}

/** The lists of a set-up whose items are parts each. */
const LISTS = {
  device: 'devices',
  program: 'programs',
  'common-command': 'commonCommands',
  layer: 'layers',
  page: 'pages',
  macro: 'macros',
  'radial-menu': 'radialMenus',
} as const satisfies Partial<Record<UnitKind, keyof Setup>>;
type ListKind = keyof typeof LISTS;
const LIST_KINDS = Object.keys(LISTS) as readonly ListKind[];

/** Parts by their keys, each as plain data. */
export type Units = ReadonlyMap<string, unknown>;

type WithId = { readonly id: string };

/** A set-up taken apart. What cannot be read in it is left out: it is nobody's to take. */
export function unitsOf(setup: Setup): Units {
  const units = new Map<string, unknown>();
  const add = (kind: UnitKind, owner: string, id: string, value: unknown) =>
    units.set(unitKey({ kind, owner, id }), value);
  const { name, keyboards, madeOn } = setup;
  add('setup', '', '', { name, keyboards, madeOn });
  for (const kind of LIST_KINDS) {
    const list: readonly WithId[] = setup[LISTS[kind]];
    for (const item of list) if (kind !== 'program' && kind !== 'device') add(kind, '', item.id, item);
    add('order', '', LISTS[kind], idsOf(list));
  }
  for (const device of setup.devices) add('device', '', device.id, withoutOutlines(device));
  for (const { commands, ...program } of setup.programs) {
    add('program', '', program.id, program);
    for (const command of commands) add('command', program.id, command.id, command);
    add('order', program.id, 'commands', idsOf(commands));
  }
  for (const { bindings, ...profile } of Object.values(setup.profiles)) {
    add('profile', '', profile.id, profile);
    for (const [key, binding] of Object.entries(bindings)) {
      const [layer, device, control, trigger] = key.split('/');
      const at = unitKey({ kind: 'control', owner: profile.id, id: `${device}/${control}` });
      const own = (units.get(at) as Record<string, unknown> | undefined) ?? {};
      own[`${layer}/${trigger}`] = binding;
      units.set(at, own);
    }
  }
  return units;
}

/** Parts put together, and those that belong to something that is not among them. */
export interface Together {
  readonly setup: Setup;
  readonly astray: readonly string[];
}

/** Puts parts together again; orders say how lists go, what they do not name goes where `orders` of the other has it. */
export function setupOf(units: Units, others: Units, unreadable: Setup['unreadable']): Together {
  const lists: Record<string, WithId[]> = {};
  const commands = new Map<string, WithId[]>();
  const profiles: Record<string, { bindings: Record<string, unknown> }> = {};
  const astray: string[] = [];
  for (const kind of LIST_KINDS) lists[LISTS[kind]] = [];
  for (const [key, value] of units) {
    const { kind, owner, id } = unitPlace(key);
    if (kind in LISTS) lists[LISTS[kind as ListKind]]?.push(value as WithId);
    else if (kind === 'command') commands.set(owner, [...(commands.get(owner) ?? []), value as WithId]);
    else if (kind === 'profile') profiles[id] = { ...(value as object), bindings: {} };
  }
  for (const [key, value] of units) {
    const { kind, owner, id } = unitPlace(key);
    if (kind !== 'control') continue;
    const bindings = profiles[owner]?.bindings;
    if (!bindings) astray.push(key);
    else {
      for (const [at, binding] of Object.entries(value as object)) {
        const [layer, trigger] = at.split('/');
        bindings[`${layer}/${id}/${trigger}`] = binding;
      }
    }
  }
  const inOrder = (owner: string, name: string, list: readonly WithId[]) => {
    const order = unitKey({ kind: 'order', owner, id: name });
    return sorted(list, (units.get(order) ?? []) as string[], (others.get(order) ?? []) as string[]);
  };
  const programs = inOrder('', 'programs', lists.programs ?? []).map((program) => {
    const own = commands.get(program.id) ?? [];
    commands.delete(program.id);
    return { ...program, commands: inOrder(program.id, 'commands', own) };
  });
  for (const [owner, left] of commands)
    astray.push(...left.map(({ id }) => unitKey({ kind: 'command', owner, id })));
  const rest = Object.fromEntries(
    Object.entries(lists).map(([name, list]) => [name, inOrder('', name, list)]),
  );
  const head = units.get(unitKey({ kind: 'setup', owner: '', id: '' })) as object;
  const setup = { ...head, ...rest, programs, profiles, unreadable } as unknown as Setup;
  return { setup: settled(setup), astray };
}

/** Where the cells of a panel lie says how they are outlined, with the grids of its pages: that is no part of the device. */
function withoutOutlines(device: Device): object {
  if (!device.panel) return device;
  const controls = device.controls.map((control) => {
    if (!control.cell) return control;
    const { shape: _shape, cap: _cap, ...rest } = control;
    return rest;
  });
  return { ...device, controls };
}

const idsOf = (list: readonly WithId[]) => list.map(({ id }) => id);

/** Items in the order of a list of ids; what it does not name comes after what it follows in another. */
function sorted(
  list: readonly WithId[],
  first: readonly string[],
  then: readonly string[],
): readonly WithId[] {
  const items = new Map(list.map((item) => [item.id, item]));
  const order = first.filter((id) => items.has(id));
  const placed = new Set(order);
  for (const [i, id] of then.entries()) {
    if (!items.has(id) || placed.has(id)) continue;
    const before = then.slice(0, i).findLast((other) => placed.has(other));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id);
    placed.add(id);
  }
  const left = list.filter(({ id }) => !placed.has(id));
  return [...order.flatMap((id) => items.get(id) ?? []), ...left];
}

/** Whether a part is the same in two set-ups. An order is where what both have goes the same way. */
export function sameUnit(key: string, a: unknown, b: unknown): boolean {
  if (unitPlace(key).kind !== 'order' || a === undefined || b === undefined) return sameJson(a, b);
  const [own, other] = [a as readonly string[], b as readonly string[]];
  const common = (list: readonly string[], of: ReadonlySet<string>) => list.filter((id) => of.has(id));
  return sameJson(common(own, new Set(other)), common(other, new Set(own)));
}
