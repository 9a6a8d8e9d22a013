import {
  type Binding,
  basesOf,
  bindingChanges,
  commandAt,
  commandIds,
  type Edit,
  itemAt,
  keyOf,
  namedByAction,
  namedByBinding,
  namedByMacro,
  pagesBelow,
  type Reference,
  type Setup,
  type SingleEdit,
  type Slot,
  slotOf,
  together,
} from '../setup/index.ts';
import { inOrder } from './inOrder.ts';

/** What goes when something is removed with all that hangs on it, and the edit that does it. */
export interface Removal {
  readonly edit: Edit;
  /** How many of each go. */
  readonly commands: number;
  readonly profiles: number;
  /** Of profiles that go, and of those that stay. */
  readonly bindings: number;
  /** By name: they make no sense without it. */
  readonly macros: readonly string[];
  readonly menus: readonly string[];
  /** By name, folders in folders too. */
  readonly pages: readonly string[];
  /** Pages that stay, by name, and were based on one that goes: they are based on what it was based on, or on none. */
  readonly rebased: readonly string[];
}

/** What hangs on something: by kind and id, as `kind/id`. */
type Going = Set<string>;
const keyOfThing = ({ kind, id }: Reference) => `${kind}/${id}`;

/**
 * Removes a program with its commands and profiles and all that makes no sense without them: what runs one of its commands,
 * macros that go to it, menus and pages of it. Profiles that are based on one of its own stay, based on nothing.
 */
export function removeProgram(setup: Setup, id: string): Removal {
  const program = setup.programs.find((each) => each.id === id);
  const commands = (program?.commands ?? []).map(
    (command): Reference => ({ kind: 'command', id: command.id }),
  );
  const profiles = Object.values(setup.profiles)
    .filter((profile) => profile.program === id)
    .map((profile): Reference => ({ kind: 'profile', id: profile.id }));
  const menus = setup.radialMenus
    .filter((menu) => menu.program === id)
    .map((menu): Reference => ({ kind: 'radial-menu', id: menu.id }));
  const pages = setup.pages
    .filter((page) => page.program === id)
    .flatMap((page) => pageWithin(setup, page.id));
  const things = [{ kind: 'program', id } as const, ...commands, ...profiles, ...menus, ...pages];
  return removalOf(setup, things, program ? [{ kind: 'remove', at: itemAt.program(id) }] : []);
}

/** Removes a profile that is not its program's only one, with what chooses it; profiles based on it stay, based on nothing. */
export function removeProfile(setup: Setup, id: string): Removal {
  return removalOf(setup, [{ kind: 'profile', id }], [{ kind: 'remove', at: itemAt.profile(id) }]);
}

/** Removes a device with its pages and what is bound to it, and all that names it or them. */
export function removeDevice(setup: Setup, id: string): Removal {
  const pages = setup.pages.filter(({ device }) => device === id);
  const things = [
    { kind: 'device', id } as const,
    ...pages.map((page) => ({ kind: 'page', id: page.id }) as const),
  ];
  return removalOf(setup, things, [{ kind: 'remove', at: itemAt.device(id) }]);
}

/**
 * Removes a page with the folders in it, what is bound on them and what opens or chooses them. Pages that are based on it
 * stay, without its cells.
 */
export function removePage(setup: Setup, id: string): Removal {
  return removalOf(setup, pageWithin(setup, id), [{ kind: 'remove', at: itemAt.page(id) }]);
}

/** A page and the folders in it. */
function pageWithin(setup: Setup, id: string): readonly Reference[] {
  return [id, ...pagesBelow(setup, id).map((page) => page.id)].map((page) => ({ kind: 'page', id: page }));
}

/** Removes commands of a program, or common ones, with all that runs them. */
export function removeCommands(setup: Setup, program: string | null, ids: readonly string[]): Removal {
  const owner = program === null ? null : { id: program };
  const known = new Set(commandIds(setup));
  const there = ids.filter((id) => known.has(id));
  const removed = there.map((id): SingleEdit => ({ kind: 'remove', at: commandAt(owner, { id }) }));
  return removalOf(
    setup,
    there.map((id) => ({ kind: 'command', id })),
    removed,
  );
}

function removalOf(setup: Setup, things: readonly Reference[], last: readonly SingleEdit[]): Removal {
  const going: Going = new Set(things.map(keyOfThing));
  const names = (list: readonly Reference[]) => list.some((each) => going.has(keyOfThing(each)));
  const isGoing = (kind: Reference['kind'], id: string) => going.has(keyOfThing({ kind, id }));
  // Macros run one another and menus open one another: until nothing more goes.
  for (let before = -1; before !== going.size; ) {
    before = going.size;
    for (const macro of setup.macros)
      if (names(namedByMacro(macro))) going.add(keyOfThing({ kind: 'macro', id: macro.id }));
    for (const { id, items } of setup.radialMenus)
      if (items.every(({ action }) => names(namedByAction(action))))
        going.add(keyOfThing({ kind: 'radial-menu', id }));
  }
  const macros = setup.macros.filter(({ id }) => isGoing('macro', id));
  const menus = setup.radialMenus.filter(({ id }) => isGoing('radial-menu', id));
  const profiles = Object.values(setup.profiles);
  const bound = profiles.flatMap(({ id, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]): [Slot, Binding][] => {
      const slot = slotOf(id, key);
      return slot ? [[slot, binding]] : [];
    }),
  );
  const touched = bound.filter(([, binding]) => names(namedByBinding(binding)));
  const items = setup.radialMenus.flatMap((menu) =>
    isGoing('radial-menu', menu.id)
      ? []
      : menu.items
          .filter(({ action }) => names(namedByAction(action)))
          .map(
            (item): SingleEdit => ({ kind: 'remove', at: `${itemAt.radialMenu(menu.id)}/items/${item.id}` }),
          ),
  );
  const based = profiles.filter(
    ({ id, basedOn }) => basedOn !== null && isGoing('profile', basedOn) && !isGoing('profile', id),
  );
  const rebased = setup.pages.filter(
    ({ id, basedOn }) => basedOn !== null && isGoing('page', basedOn) && !isGoing('page', id),
  );
  const edits: SingleEdit[] = [
    ...touched.flatMap(([slot, binding]) => bindingChanges(slot, binding, without(binding, names))),
    ...items,
    // What runs or opens another goes first.
    ...inOrder(macros, namedByMacro).map(({ id }): SingleEdit => ({ kind: 'remove', at: itemAt.macro(id) })),
    ...inOrder(menus, (menu) => menu.items.flatMap(({ action }) => namedByAction(action))).map(
      ({ id }): SingleEdit => ({ kind: 'remove', at: itemAt.radialMenu(id) }),
    ),
    ...based.map(
      ({ id }): SingleEdit => ({ kind: 'set', at: itemAt.profile(id), fields: { basedOn: null } }),
    ),
    ...rebased.map(({ id }): SingleEdit => {
      const stays = basesOf(setup, id).find((base) => !isGoing('page', base)) ?? null;
      return { kind: 'set', at: itemAt.page(id), fields: { basedOn: stays } };
    }),
    ...last,
  ];
  const lost = new Set(
    [
      ...bound.filter(
        ([slot]) =>
          isGoing('profile', slot.profile) || isGoing('page', slot.layer) || isGoing('device', slot.device),
      ),
      ...touched.filter(([, binding]) => without(binding, names) === null),
    ].map(([slot]) => `${slot.profile} ${keyOf(slot)}`),
  );
  return {
    edit: together(edits),
    commands: things.filter(({ kind }) => kind === 'command').length,
    profiles: things.filter(({ kind }) => kind === 'profile').length,
    bindings: lost.size,
    macros: macros.map(({ name }) => name),
    menus: menus.map(({ name }) => name),
    pages: setup.pages.filter((page) => isGoing('page', page.id)).map(({ name }) => name),
    rebased: rebased.map(({ name }) => name),
  };
}

/** A binding without what goes: off stays off, a choice of profiles keeps those that stay; others are nothing. */
function without(binding: Binding, names: (list: readonly Reference[]) => boolean): Binding | null {
  const { behaviour } = binding;
  switch (behaviour.kind) {
    case 'native':
      return binding;
    case 'off': {
      const heardBy = behaviour.heardBy.filter((id) => !names([{ kind: 'program', id }]));
      const sends = behaviour.sends && names(namedByAction(behaviour.sends)) ? null : behaviour.sends;
      return { ...binding, behaviour: { ...behaviour, heardBy, sends } };
    }
    case 'action': {
      const { action, target } = behaviour;
      if (target && names([{ kind: 'program', id: target.program }])) return null;
      if (action.kind !== 'profile') return names(namedByAction(action)) ? null : binding;
      const profiles = action.profiles.filter((id) => !names([{ kind: 'profile', id }]));
      if (profiles.length === 0) return null;
      return { ...binding, behaviour: { ...behaviour, action: { ...action, profiles } } };
    }
  }
}
