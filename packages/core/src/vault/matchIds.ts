import { foldName, freeId } from '../devices/index.ts';
import {
  type Command,
  EVERYWHERE,
  type NamedKind,
  profileOf,
  type Renames,
  renamed,
  type Setup,
} from '../setup/index.ts';

/** What comes, under the ids that one's own things of the same names have, and what the ids became. */
export interface Matched {
  readonly setup: Setup;
  readonly renames: Renames;
}

/**
 * Gives what comes the ids of what it is here: programs and commands go by their names, as the same program was typed in
 * twice by two people. What has an id that means something else here gets another.
 */
export function matchIds(now: Setup, coming: Setup): Matched {
  const ids = new Map<string, string>();
  const renames: Renames = (kind, id) => ids.get(`${kind} ${id}`) ?? id;
  const set = (kind: NamedKind, id: string, next: string) => ids.set(`${kind} ${id}`, next);
  const sameName = <Own extends { readonly name: string }>(list: readonly Own[], name: string) =>
    list.find((own) => foldName(own.name) === foldName(name));

  const owners = ownersOf(now);
  const taken = new Set([...owners.keys(), ...ownersOf(coming).keys()]);
  /** Commands of a list: by id, else by name; an id that is another list's here is no longer theirs. */
  const matchCommands = (owner: string, own: readonly Command[], list: readonly Command[]) => {
    const used = new Set<string>();
    for (const { id, name } of list) {
      const known = own.find((each) => each.id === id) ?? sameName(own, name);
      const isOthers = owners.has(id) && owners.get(id) !== owner;
      const next = known && !used.has(known.id) ? known.id : isOthers ? freeId(name, taken, 'command') : id;
      used.add(next);
      taken.add(next);
      set('command', id, next);
    }
  };
  matchCommands(COMMON, now.commonCommands, coming.commonCommands);
  for (const program of coming.programs) {
    const known = sameName(now.programs, program.name) ?? now.programs.find(({ id }) => id === program.id);
    set('program', program.id, known?.id ?? program.id);
    matchCommands(known?.id ?? program.id, known?.commands ?? [], program.commands);
    const [theirs, own] = [profileOf(coming, program.id), known && profileOf(now, known.id)];
    if (theirs && own) set('profile', theirs.id, own.id);
  }
  const profiles = new Set([...Object.keys(now.profiles), ...Object.keys(coming.profiles)]);
  for (const { id, program } of Object.values(coming.profiles)) {
    if (id === EVERYWHERE || ids.has(`profile ${id}`)) continue;
    const own = now.profiles[id];
    const isOther =
      own !== undefined && own.program !== (program === null ? null : renames('program', program));
    if (isOther) set('profile', id, added(profiles, freeId(id, profiles, 'profile')));
  }
  // Layers and pages share their ids, and a page is of one device.
  const places = new Set(
    [...now.layers, ...now.pages, ...coming.layers, ...coming.pages].map(({ id }) => id),
  );
  for (const { id } of coming.layers) {
    if (now.pages.some((page) => page.id === id))
      set('layer', id, added(places, freeId(id, places, 'layer')));
  }
  for (const { id, device } of coming.pages) {
    const own = now.pages.find((page) => page.id === id);
    const isOther = own ? own.device !== device : now.layers.some((layer) => layer.id === id);
    if (isOther) set('page', id, added(places, freeId(id, places, 'page')));
  }
  return { setup: renamed(coming, renames), renames };
}

const COMMON = '';

/** Whose each command is: a program's, or common. */
function ownersOf({ commonCommands, programs }: Setup): ReadonlyMap<string, string> {
  return new Map([
    ...commonCommands.map(({ id }) => [id, COMMON] as const),
    ...programs.flatMap((program) => program.commands.map(({ id }) => [id, program.id] as const)),
  ]);
}

function added(ids: Set<string>, id: string): string {
  ids.add(id);
  return id;
}
