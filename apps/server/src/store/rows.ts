import { foldName } from '@nimble-lever/core/devices';
import type { Binding, PartKind, Profile, Program, Setup, UnreadablePart } from '@nimble-lever/core/setup';
import { keyOfRow, PART_TABLES, type Row } from '../database/tables.ts';

/** What differs between two states of a set-up in one table. */
export interface TableChanges {
  /** Keys of rows that are no longer there. */
  readonly gone: Row[];
  readonly changed: Row[];
}
/** What of each table an edit changed. */
export type RowChanges = Readonly<Record<PartKind, TableChanges>>;

/** What stands in a list, so that its place is part of its row. */
type Listed = { readonly id: string };

/**
 * The rows that lead from one state of a set-up to another; from null, all of it. Parts that both share are the same
 * objects, so only what an edit touched is looked at.
 */
export function rowChanges(before: Setup | null, after: Setup): RowChanges {
  const changes: RowChanges = {
    device: { gone: [], changed: [] },
    program: { gone: [], changed: [] },
    command: { gone: [], changed: [] },
    layer: { gone: [], changed: [] },
    page: { gone: [], changed: [] },
    profile: { gone: [], changed: [] },
    macro: { gone: [], changed: [] },
    'radial-menu': { gone: [], changed: [] },
    binding: { gone: [], changed: [] },
  };
  const part = (item: Listed & { name: string }, position: number): Row => ({
    id: item.id,
    position,
    name: item.name,
    body: item,
  });
  list(changes.device, before?.devices, after.devices, (device, position) => ({ ...device, position }));
  list(changes.program, before?.programs, after.programs, programRow);
  list(changes.layer, before?.layers, after.layers, (layer, position) => ({ ...layer, position }));
  list(changes.page, before?.pages, after.pages, (page, position) => ({ ...page, position }));
  list(changes.macro, before?.macros, after.macros, part);
  list(changes['radial-menu'], before?.radialMenus, after.radialMenus, part);
  commands(changes.command, before, after);
  profiles(changes, before?.profiles ?? {}, after);
  if (before?.unreadable !== after.unreadable)
    unreadable(changes, before?.unreadable ?? [], after.unreadable);
  for (const kind of Object.keys(changes) as PartKind[]) keepWritten(kind, changes[kind]);
  return changes;
}

/** A row that is written under the key of one that goes only changes. */
function keepWritten(kind: PartKind, { gone, changed }: TableChanges): void {
  if (gone.length === 0 || changed.length === 0) return;
  const table = PART_TABLES[kind];
  const written = new Set(changed.map((row) => keyOfRow(table, row)));
  const left = gone.filter((row) => !written.has(keyOfRow(table, row)));
  gone.splice(0, gone.length, ...left);
}

/** Rows that came, changed or went, by comparing parts by identity: what an edit did not touch is the same object. */
function list<Item extends Listed>(
  { gone, changed }: TableChanges,
  before: readonly Item[] = [],
  after: readonly Item[],
  rowOf: (item: Item, position: number) => Row,
): void {
  if (before === after) return;
  const old = new Map(before.map((item, position) => [item.id, { item, position }]));
  for (const [position, item] of after.entries()) {
    const known = old.get(item.id);
    old.delete(item.id);
    if (known?.item !== item || known.position !== position) changed.push(rowOf(item, position));
  }
  for (const id of old.keys()) gone.push({ id });
}

/** A program's row: its commands stand in rows of their own. */
function programRow({ id, name, keysBy, colour, icon, rules }: Program, position: number): Row {
  return { id, position, name, nameKey: foldName(name), keysBy, colour, icon, rules };
}

/**
 * Rows of commands that an edit changed. Whole lists are compared by identity first: an edit changes one of
 * two hundred.
 */
function commands(changes: TableChanges, before: Setup | null, after: Setup): void {
  const old = new Map(before?.programs.map((program) => [program.id, program.commands]));
  const own = (program: string | null) => (command: Setup['commonCommands'][number], position: number) => ({
    ...command,
    program,
    position,
  });
  list(changes, before?.commonCommands, after.commonCommands, own(null));
  for (const { id, commands: next } of after.programs) {
    list(changes, old.get(id), next, own(id));
    old.delete(id);
  }
  for (const left of old.values()) for (const { id } of left) changes.gone.push({ id });
}

/**
 * Rows of profiles and bindings that an edit changed; a profile that is the same object has changed nothing.
 */
function profiles(changes: RowChanges, before: Setup['profiles'], { profiles: after, pages }: Setup): void {
  if (before === after) return;
  const pageIds = new Set(pages.map(({ id }) => id));
  for (const profile of Object.values(after)) {
    const old = before[profile.id];
    if (old === profile) continue;
    if (!old || !sameOwn(old, profile)) changes.profile.changed.push(profileRow(profile));
    bindings(changes.binding, profile.id, old?.bindings ?? {}, profile.bindings, pageIds);
  }
  for (const old of Object.values(before)) {
    if (Object.hasOwn(after, old.id)) continue;
    changes.profile.gone.push({ id: old.id });
    bindings(changes.binding, old.id, old.bindings, {}, pageIds);
  }
}

/** A profile's row: its bindings stand in rows of their own. */
function profileRow({ bindings: _bindings, ...row }: Profile): Row {
  return row;
}

/** Whether a profile is the same but for its bindings, which are rows of their own. */
function sameOwn(a: Profile, b: Profile): boolean {
  return a.name === b.name && a.rules === b.rules && a.program === b.program && a.basedOn === b.basedOn;
}

/**
 * Rows of bindings that an edit changed, found by comparing the two maps; thirty thousand take about a
 * millisecond.
 */
function bindings(
  { gone, changed }: TableChanges,
  profile: string,
  before: Profile['bindings'],
  after: Profile['bindings'],
  pages: ReadonlySet<string>,
): void {
  if (before === after) return;
  for (const key in after) {
    const binding = after[key];
    if (binding && before[key] !== binding) changed.push(bindingRow(profile, key, binding, pages));
  }
  for (const key in before) if (!Object.hasOwn(after, key)) gone.push(bindingKey(profile, key));
}

/** The primary key of a binding from its place in the document. */
function bindingKey(profile: string, key: string): Row {
  const [layer, device, control, trigger] = key.split('/');
  return { profile, layer, device, control, trigger };
}

/** What the action names and what it stands on stand beside it, so that the database can vouch for them. */
function bindingRow(
  profile: string,
  key: string,
  { behaviour, face, note }: Binding,
  pages: ReadonlySet<string>,
): Row {
  const place = bindingKey(profile, key);
  const isOnPage = pages.has(String(place.layer));
  const action = behaviour.kind === 'action' ? behaviour.action : null;
  return {
    ...place,
    onLayer: isOnPage ? null : place.layer,
    onPage: isOnPage ? place.layer : null,
    behaviour,
    command: action?.kind === 'command' ? action.command : null,
    macro: action?.kind === 'macro' ? action.macro : null,
    radialMenu: action?.kind === 'radial' ? action.menu : null,
    page: action?.kind === 'page' ? action.page : null,
    face,
    note,
  };
}

/** Parts that cannot be read are rows as they were found. */
function unreadable(
  changes: RowChanges,
  before: readonly UnreadablePart[],
  after: readonly UnreadablePart[],
): void {
  const [old, now] = [new Set(before.map(({ id }) => id)), new Set(after.map(({ id }) => id))];
  for (const { id, part, stored } of before) if (!now.has(id)) changes[part].gone.push(stored);
  for (const { id, part, stored } of after) if (!old.has(id)) changes[part].changed.push(stored);
}
