import type { Device } from '../devices/index.ts';
import {
  type Binding,
  type Macro,
  namedByAction,
  namedByBinding,
  namedByMacro,
  type Page,
  type Profile,
  type RadialMenu,
  type Reference,
} from '../setup/index.ts';
import { type UnitKind, type Units, unitKey, unitPlace } from './units.ts';

const top = (kind: UnitKind, id: string): string => unitKey({ kind, owner: '', id });

/** Where a reference leads: a command, which is a program's or common, to wherever the set-up has it. */
function keyOf({ kind, id }: Reference, commands: ReadonlyMap<string, string>): string {
  return kind === 'command' ? (commands.get(id) ?? top('common-command', id)) : top(kind, id);
}

/** The keys of parts that a part names. */
function namedBy(units: Units, key: string, commands: ReadonlyMap<string, string>): readonly string[] {
  const { kind, owner, id } = unitPlace(key);
  const value = units.get(key);
  const all = (references: readonly Reference[]) => references.map((each) => keyOf(each, commands));
  const some = (of: UnitKind, ids: readonly (string | null)[]) =>
    ids.flatMap((each) => (each === null ? [] : [top(of, each)]));
  switch (kind) {
    case 'control': {
      const does = Object.entries(value as Readonly<Record<string, Binding>>);
      // A layer, or a page in its place: the one there is counts.
      const layers = does.map(([at]) => at.split('/')[0] ?? '');
      return [
        top('profile', owner),
        top('device', id.split('/')[0] ?? ''),
        ...some('layer', layers),
        ...some('page', layers),
        ...does.flatMap(([, binding]) => all(namedByBinding(binding))),
      ];
    }
    case 'profile': {
      const { program, basedOn } = value as Profile;
      return [...some('program', [program]), ...some('profile', [basedOn])];
    }
    case 'command':
      return [top('program', owner)];
    case 'page': {
      const { device, program, within, basedOn } = value as Page;
      return [top('device', device), ...some('program', [program]), ...some('page', [within, basedOn])];
    }
    case 'macro':
      return all(namedByMacro(value as Macro));
    case 'radial-menu': {
      const { program, items } = value as RadialMenu;
      return [...some('program', [program]), ...items.flatMap(({ action }) => all(namedByAction(action)))];
    }
    case 'device':
      return some(
        'page',
        (value as Device).controls.map(({ cell }) => cell?.page ?? null),
      );
    case 'setup':
    case 'program':
    case 'common-command':
    case 'layer':
    case 'order':
      return [];
  }
}

/**
 * The keys of parts of a set-up with all that they name, what those name, and so on, as far as another set-up does not
 * have it.
 */
export function withNeeds(units: Units, own: Units, wanted: Iterable<string>): ReadonlySet<string> {
  const commands = new Map<string, string>();
  for (const key of units.keys()) {
    const { kind, id } = unitPlace(key);
    if (kind === 'command' || kind === 'common-command') commands.set(id, key);
  }
  const found = new Set(wanted);
  const waiting = [...found];
  for (let key = waiting.pop(); key !== undefined; key = waiting.pop()) {
    if (!units.has(key)) continue;
    for (const next of namedBy(units, key, commands)) {
      if (found.has(next) || own.has(next) || !units.has(next)) continue;
      found.add(next);
      waiting.push(next);
    }
  }
  return found;
}
