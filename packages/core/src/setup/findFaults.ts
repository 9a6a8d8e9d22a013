import { foldName } from '../devices/index.ts';
import { checkAction } from './checkAction.ts';
import { faultsOfCells } from './checkCells.ts';
import { faultsOfMacros } from './checkMacros.ts';
import { faultsOfPages } from './checkPages.ts';
import { faultOfProfile } from './checkSetup.ts';
import type { Fault } from './fault.ts';
import { isBlock, type MacroStep } from './macro.ts';
import type { Refusal } from './refusal.ts';
import { BASE_LAYER, EVERYWHERE, menuOwner, type Profile, type Setup } from './setup.ts';

/** Where in the set-up something is, as names and numbers from the top. */
type Path = Fault['at'];
/** A name or id with where it stands. */
interface Named {
  readonly at: Path;
  readonly value: string;
}

/** Everything in a set-up that refers to nothing or stands twice. A sound set-up gives an empty list. */
export function checkSetup(setup: Setup): readonly Refusal[] {
  return findFaults(setup).map(({ refusal }) => refusal);
}

/** The same, each with where it is: the path of the very thing. */
export function findFaults(setup: Setup): readonly Fault[] {
  return [
    ...faultsOfWhole(setup),
    ...faultsOfIds(setup),
    ...faultsOfPages(setup),
    ...faultsOfCells(setup),
    ...Object.entries(setup.profiles).flatMap(([id, profile]) =>
      placed(['profiles', id], faultsOfProfile(setup, id, profile)),
    ),
    ...faultsOfMenus(setup),
    ...faultsOfMacros(setup),
  ];
}

/** Paths from inside a thing, as paths from the set-up. */
function placed(above: Path, faults: readonly Fault[]): readonly Fault[] {
  return faults.map(({ at, refusal }) => ({ at: [...above, ...at], refusal }));
}

/** What must be there once. */
function faultsOfWhole(setup: Setup): readonly Fault[] {
  const faults: Fault[] = [];
  if (setup.profiles[EVERYWHERE]?.program !== null) {
    faults.push({ at: ['profiles', EVERYWHERE], refusal: { code: 'everywhere-missing' } });
  }
  if (setup.layers[0]?.id !== BASE_LAYER) {
    faults.push({ at: ['layers', 0], refusal: { code: 'base-layer-missing' } });
  }
  const names = setup.programs.map(({ name }, i) => ({
    at: ['programs', i, 'name'],
    value: foldName(name),
  }));
  return [
    ...faults,
    ...repeated(names).map(({ at, value }): Fault => ({ at, refusal: { code: 'name-taken', name: value } })),
  ];
}

/** Ids that stand twice where each may stand once. */
function faultsOfIds(setup: Setup): readonly Fault[] {
  const { devices, programs, layers, pages, macros, radialMenus, profiles } = setup;
  const commands = [
    ...idsOf(['commonCommands'], setup.commonCommands),
    ...programs.flatMap((program, i) => idsOf(['programs', i, 'commands'], program.commands)),
  ];
  const lists = [
    idsOf(['devices'], devices),
    idsOf(['programs'], programs),
    // A page stands in a slot's key where a layer does.
    [...idsOf(['layers'], layers), ...idsOf(['pages'], pages)],
    idsOf(['macros'], macros),
    idsOf(['radialMenus'], radialMenus),
    commands,
    ...devices.map(({ controls }, i) => idsOf(['devices', i, 'controls'], controls)),
    ...programs.map(({ rules }, i) => idsOf(['programs', i, 'rules'], rules)),
    ...Object.entries(profiles).map(([id, { rules }]) => idsOf(['profiles', id, 'rules'], rules)),
    ...radialMenus.map(({ items }, i) => idsOf(['radialMenus', i, 'items'], items)),
    ...macros.map(({ steps }, i) => stepIds(['macros', i, 'steps'], steps)),
  ];
  return lists.flatMap((list) =>
    repeated(list).map(({ at, value }): Fault => ({ at, refusal: { code: 'id-taken', id: value } })),
  );
}

/** Its own, and the first of its bindings that is wrong. */
function faultsOfProfile(setup: Setup, key: string, profile: Profile): readonly Fault[] {
  const faults: Fault[] = [];
  const { id, program } = profile;
  if (id !== key) faults.push({ at: ['id'], refusal: { code: 'unknown-profile', profile: key } });
  if (program === null && key !== EVERYWHERE) {
    faults.push({ at: ['program'], refusal: { code: 'profile-of-other-program', profile: key } });
  }
  if (program !== null && !setup.programs.some((each) => each.id === program)) {
    faults.push({ at: ['program'], refusal: { code: 'unknown-program', program } });
  }
  const fault = faultOfProfile(setup, profile);
  return fault ? [...faults, fault] : faults;
}

/** Items may do what the menu's program may, or Everywhere. */
function faultsOfMenus(setup: Setup): readonly Fault[] {
  return setup.radialMenus.flatMap((menu, i): readonly Fault[] => {
    const { program, items } = menu;
    if (program !== null && !setup.programs.some(({ id }) => id === program)) {
      return [{ at: ['radialMenus', i, 'program'], refusal: { code: 'unknown-program', program } }];
    }
    const owner = menuOwner(setup, menu);
    if (!owner) return [];
    return items.flatMap(({ action }, j): readonly Fault[] => {
      const refusal = checkAction(setup, owner, action);
      return refusal ? [{ at: ['radialMenus', i, 'items', j, 'action'], refusal }] : [];
    });
  });
}

/** Where each id of a list stands. */
function idsOf(above: Path, list: readonly { readonly id: string }[]): readonly Named[] {
  return list.map(({ id }, i) => ({ at: [...above, i, 'id'], value: id }));
}

/** The ids of steps, those inside others too. */
function stepIds(above: Path, steps: readonly MacroStep[]): readonly Named[] {
  return steps.flatMap((step, i) => [
    { at: [...above, i, 'id'], value: step.id },
    ...(isBlock(step) ? stepIds([...above, i, 'steps'], step.steps) : []),
  ]);
}

/** The second of those that stand twice, each value once. */
function repeated(values: readonly Named[]): readonly Named[] {
  const seen = new Set<string>();
  const twice = new Map<string, Named>();
  for (const named of values) {
    if (seen.has(named.value) && !twice.has(named.value)) twice.set(named.value, named);
    seen.add(named.value);
  }
  return [...twice.values()];
}
