import { foldName } from '../devices/index.ts';
import { ok, type Result, refuse } from '../result.ts';
import { type Fault, findFaults, type Refusal, type Setup } from '../setup/index.ts';
import { type Difference, differencesOf } from './differences.ts';
import { withNeeds } from './needs.ts';
import { setupOf, type UnitKind, type Units, unitKey, unitPlace, unitsOf } from './units.ts';

/** A set-up with parts of another. */
export interface Taken {
  readonly setup: Setup;
  /** The keys of parts that had to come along: what is named by those that were wanted, or names what went with them. */
  readonly along: readonly string[];
}

/**
 * Takes parts over from another set-up: each becomes what it is there, or goes where it is not there. What they cannot do
 * without comes along, so that the set-up stays sound.
 *
 * @param wanted keys of parts
 * @returns the first thing that is wrong where even then it would not be sound
 */
export function takeOver(now: Setup, other: Setup, wanted: Iterable<string>): Result<Taken, Refusal> {
  const [own, theirs] = [unitsOf(now), unitsOf(other)];
  const differ = new Map(differencesOf(own, theirs).map((each) => [each.key, each]));
  const asked = new Set(wanted);
  const taken = new Set([...withNeeds(theirs, own, asked)].filter((key) => differ.has(key)));
  for (;;) {
    const { setup, astray } = setupOf(mixed(own, theirs, taken), theirs, now.unreadable);
    const faults = astray.length > 0 ? [] : findFaults(setup);
    const [fault] = faults;
    if (astray.length === 0 && !fault) {
      return ok({ setup, along: [...taken].filter((key) => !asked.has(key)) });
    }
    const needed = [...astray.flatMap(keysAround), ...faults.flatMap((each) => keysOfFault(setup, each))];
    const before = taken.size;
    for (const key of needed) if (differ.has(key)) taken.add(key);
    for (const key of goneWith(differ, theirs, faults)) taken.add(key);
    // How several go together: all of them as they go together there.
    if (taken.size === before) for (const key of alike(differ, needed)) taken.add(key);
    if (taken.size === before) return refuse(fault?.refusal ?? { code: 'unknown-profile', profile: '' });
  }
}

/** Parts of one set-up, some as another has them. */
function mixed(own: Units, theirs: Units, taken: ReadonlySet<string>): Units {
  const units = new Map(own);
  for (const key of taken) {
    if (theirs.has(key)) units.set(key, theirs.get(key));
    else units.delete(key);
  }
  return units;
}

/** A part that belongs to nothing, and what it would belong to: one or the other is wanted too. */
function keysAround(key: string): readonly string[] {
  const { kind, owner } = unitPlace(key);
  return [key, unitKey({ kind: kind === 'command' ? 'program' : 'profile', owner: '', id: owner })];
}

/** All parts in which the two differ that are of the same kinds as some, or say how those are ordered. */
function alike(differ: ReadonlyMap<string, Difference>, keys: readonly string[]): readonly string[] {
  const kinds = new Set(keys.map((key) => unitPlace(key).kind));
  return [...differ.values()].flatMap(({ kind, key }) => (kinds.has(kind) || kind === 'order' ? [key] : []));
}

/** The parts that a fault is in and of. */
function keysOfFault(setup: Setup, { at, refusal }: Fault): readonly string[] {
  const [list, index, inside, key] = at;
  const keys: string[] = [];
  const add = (kind: UnitKind, id: string, owner = '') => keys.push(unitKey({ kind, owner, id }));
  const itemAt = (items: readonly { readonly id: string }[]) => items[Number(index)]?.id ?? '';
  switch (list) {
    case 'devices':
      add('device', itemAt(setup.devices));
      break;
    case 'programs': {
      const program = setup.programs[Number(index)];
      add('program', program?.id ?? '');
      if (inside === 'commands') add('command', program?.commands[Number(key)]?.id ?? '', program?.id);
      break;
    }
    case 'commonCommands':
      add('common-command', itemAt(setup.commonCommands));
      break;
    case 'layers':
      add('layer', itemAt(setup.layers));
      break;
    case 'pages':
      add('page', itemAt(setup.pages));
      break;
    case 'macros':
      add('macro', itemAt(setup.macros));
      break;
    case 'radialMenus':
      add('radial-menu', itemAt(setup.radialMenus));
      break;
    case 'profiles': {
      const profile = String(index);
      add('profile', profile);
      const [, device, control] = String(key ?? '').split('/');
      if (inside === 'bindings' && device) add('control', `${device}/${control}`, profile);
    }
  }
  return [...keys, ...keysNamed(setup, refusal)];
}

/** The parts that a refusal names; none where it is about how several go together. */
function keysNamed(setup: Setup, refusal: Refusal): readonly string[] {
  const top = (kind: UnitKind, id: string) => unitKey({ kind, owner: '', id });
  const inAnyProgram = (id: string) =>
    setup.programs.map(({ id: owner }) => unitKey({ kind: 'command', owner, id }));
  switch (refusal.code) {
    case 'unknown-profile':
      return [top('profile', refusal.profile)];
    case 'unknown-layer':
      // A layer, or a page in its place.
      return [top('layer', refusal.layer), top('page', refusal.layer)];
    case 'unknown-page':
      return [top('page', refusal.page)];
    case 'unknown-device':
      return [top('device', refusal.device)];
    case 'unknown-program':
      return [top('program', refusal.program)];
    case 'unknown-macro':
      return [top('macro', refusal.macro)];
    case 'unknown-radial-menu':
      return [top('radial-menu', refusal.menu)];
    case 'unknown-command':
      return [...inAnyProgram(refusal.command), top('common-command', refusal.command)];
    case 'id-taken':
      return [...inAnyProgram(refusal.id), top('common-command', refusal.id)];
    // By the names that people see.
    case 'unknown-control':
    case 'control-lacks-trigger':
      return setup.devices.filter(({ name }) => name === refusal.device).map(({ id }) => top('device', id));
    case 'name-taken':
      return setup.programs
        .filter(({ name }) => foldName(name) === refusal.name)
        .map(({ id }) => top('program', id));
    case 'page-kind':
    case 'page-of-other-device':
    case 'page-fixed':
    case 'set-within':
    case 'page-base-circle':
    case 'pages-based-on':
    case 'folder-circle':
    case 'too-deep':
      return setup.pages
        .filter(({ id, name }) => name === refusal.page || id === refusal.page)
        .map(({ id }) => top('page', id));
    case 'cell-outside':
    case 'cells-overlap':
    case 'macro-circle':
    case 'macro-too-long':
    case 'based-on-circle':
    case 'others-based-on':
    case 'everywhere-based':
    case 'everywhere-missing':
    case 'base-layer-missing':
    case 'profile-of-other-program':
    case 'style-needs-release':
    case 'guard-needs-press':
    case 'slide-needs-message':
    case 'still-used':
    case 'nothing-set':
    case 'too-many':
    case 'bad-slot-key':
    case 'item-gone':
    case 'field-gone':
    case 'fields-clash':
    case 'last-one':
    case 'order-fixed':
    case 'turned-already':
    case 'entry-unknown':
    case 'changed-since':
      return [];
  }
}

/** What controls of a device did that goes: all of it at once, not fault by fault. */
function goneWith(
  differ: ReadonlyMap<string, Difference>,
  theirs: Units,
  faults: readonly Fault[],
): readonly string[] {
  const devices = new Set<string>();
  for (const { refusal } of faults) {
    if (refusal.code !== 'unknown-device') continue;
    if (!theirs.has(unitKey({ kind: 'device', owner: '', id: refusal.device }))) devices.add(refusal.device);
  }
  if (devices.size === 0) return [];
  return [...differ.values()].flatMap(({ kind, id, key }) =>
    kind === 'control' && devices.has(id.split('/')[0] ?? '') ? [key] : [],
  );
}
