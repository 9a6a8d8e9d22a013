import type { FilePart } from '../formats/index.ts';
import type { Result } from '../result.ts';
import {
  type NamedKind,
  type Refusal,
  type Renames,
  renamed,
  type Setup,
  type Slot,
} from '../setup/index.ts';
import { type Mapping, mapDevices } from './deviceMapping.ts';
import { type Difference, differencesOf } from './differences.ts';
import { type DifferenceWords, differenceWords } from './differenceWords.ts';
import { matchIds } from './matchIds.ts';
import { partKeys } from './outgoing.ts';
import { type Taken, takeOver } from './takeOver.ts';
import { type UnitKind, unitKey, unitPlace, unitsOf } from './units.ts';

/** What is done with a part that comes: taken as it comes, left as one's own is, or taken beside one's own. */
export const CHOICES = ['take', 'mine', 'both'] as const;
/** What is done with a part that comes. */
export type Choice = (typeof CHOICES)[number];

/** A part that comes and is not here, or otherwise. */
export interface ComingPart extends DifferenceWords {
  readonly key: string;
  readonly kind: UnitKind;
  /** Whether there is something else in its place here. */
  readonly change: 'new' | 'otherwise';
  readonly choices: readonly Choice[];
}

/** What a file would bring, as it would be here. */
export interface Incoming {
  /** With the ids it would have here, on the devices that are here. */
  readonly setup: Setup;
  readonly parts: readonly ComingPart[];
  /** How many parts are here already just as they come. */
  readonly same: number;
  /** What has no place on the devices here, by the ids it came with. */
  readonly lost: readonly Slot[];
}

/** The kinds of things of which there can be two. */
const TWICE: ReadonlySet<UnitKind> = new Set(['program', 'macro', 'radial-menu']);

/** Works out what a file would bring to a set-up. */
export function planIncoming(
  now: Setup,
  file: { readonly setup: Setup; readonly part: FilePart | null },
  mapping: Mapping,
): Incoming {
  const mapped = mapDevices(now, file.setup, mapping);
  const { setup, renames } = matchIds(now, mapped.setup);
  const [from, to] = [unitsOf(now), unitsOf(setup)];
  const compared = { from: now, to: setup, fromUnits: from, toUnits: to };
  const { part } = file;
  const isAbout = part
    ? new Set(partKeys(setup, { ...part, id: partId(part, mapped.ids, renames) }))
    : new Set([...to.keys()].filter((key) => isTaken(key)));
  const differ = new Map(differencesOf(from, to).map((each) => [each.key, each]));
  const parts = [...isAbout].flatMap((key): ComingPart[] => {
    const difference = differ.get(key);
    // Nothing goes because it does not come; and how what is here is ordered is one's own.
    if (!difference || difference.change === 'removed') return [];
    if (difference.kind === 'order' && from.has(key)) return [];
    const isNew = difference.change === 'added';
    const choices: Choice[] = isNew ? ['take', 'mine'] : ['take', 'mine', ...both(difference)];
    const { kind } = difference;
    return [
      { key, kind, change: isNew ? 'new' : 'otherwise', choices, ...differenceWords(compared, difference) },
    ];
  });
  const same = [...isAbout].filter((key) => to.has(key) && !differ.has(key)).length;
  return { setup, parts, same, lost: mapped.lost };
}

const both = ({ kind }: Difference): readonly Choice[] => (TWICE.has(kind) ? ['both'] : []);

/** What a set-up is called, and the computers it knows, stay one's own. */
function isTaken(key: string): boolean {
  return unitPlace(key).kind !== 'setup';
}

/** The id that what the file is about has here. */
function partId({ kind, id }: FilePart, devices: ReadonlyMap<string, string>, renames: Renames): string {
  return kind === 'device' ? (devices.get(id) ?? id) : renames(kind, id);
}

/** What is proposed: all that is new, and nothing in the place of what is here. */
export function proposeChoices({ parts }: Incoming): ReadonlyMap<string, Choice> {
  return new Map(parts.map(({ key, change }) => [key, change === 'new' ? 'take' : 'mine']));
}

/** The set-up with what was chosen of what comes. */
export function takeIn(
  now: Setup,
  { setup, parts }: Incoming,
  choices: ReadonlyMap<string, Choice>,
): Result<Taken, Refusal> {
  const chosen = parts.map(({ key }) => [key, choices.get(key) ?? 'mine'] as const);
  const beside = chosen.flatMap(([key, choice]) => (choice === 'both' ? [key] : []));
  const renames = besideRenames(now, setup, beside);
  const other = named(renamed(setup, renames), renames, setup, now);
  const wanted = new Set(
    chosen.flatMap(([key, choice]) => (choice === 'take' ? [renamedKey(key, renames)] : [])),
  );
  for (const key of beside) {
    const { kind, id } = unitPlace(key);
    const next = renames(kind as NamedKind, id);
    const keys =
      kind === 'program' ? partKeys(other, { kind, id: next }) : [unitKey({ kind, owner: '', id: next })];
    for (const each of keys) wanted.add(each);
  }
  return takeOver(now, other, wanted);
}

/** New ids for what is taken beside one's own: of a program also those of its commands and profiles. */
function besideRenames(now: Setup, setup: Setup, keys: readonly string[]): Renames {
  const ids = new Map<string, string>();
  // Each kind has ids of its own.
  const taken = new Set(
    [...unitsOf(now).keys(), ...unitsOf(setup).keys()].map((key) => {
      const { kind, id } = unitPlace(key);
      return `${kind === 'common-command' ? 'command' : kind} ${id}`;
    }),
  );
  const give = (kind: NamedKind, id: string) => {
    let next = id;
    for (let n = 2; taken.has(`${kind} ${next}`); n++) next = `${id.slice(0, 50)}-${n}`;
    taken.add(`${kind} ${next}`);
    ids.set(`${kind} ${id}`, next);
  };
  for (const key of keys) {
    const { kind, id } = unitPlace(key);
    give(kind as NamedKind, id);
    if (kind !== 'program') continue;
    for (const { id: command } of setup.programs.find((program) => program.id === id)?.commands ?? [])
      give('command', command);
    for (const profile of Object.values(setup.profiles))
      if (profile.program === id) give('profile', profile.id);
  }
  return (kind, id) => ids.get(`${kind} ${id}`) ?? id;
}

/** Beside one's own it is called otherwise too: `Larkframe 2`. */
function named(other: Setup, renames: Renames, before: Setup, now: Setup): Setup {
  const names = new Set([...now.programs, ...now.macros, ...now.radialMenus].map(({ name }) => name));
  const call = <Own extends { readonly id: string; readonly name: string }>(
    kind: NamedKind,
    list: readonly Own[],
    old: readonly Own[],
  ): Own[] =>
    list.map((item, i) => {
      const was = old[i];
      if (!was || renames(kind, was.id) === was.id) return item;
      let name = item.name;
      for (let n = 2; names.has(name); n++) name = `${item.name.slice(0, 55)} ${n}`;
      names.add(name);
      return { ...item, name };
    });
  return {
    ...other,
    programs: call('program', other.programs, before.programs),
    macros: call('macro', other.macros, before.macros),
    radialMenus: call('radial-menu', other.radialMenus, before.radialMenus),
  };
}

/** The key that a part has under other ids. */
function renamedKey(key: string, renames: Renames): string {
  const place = unitPlace(key);
  const { kind, owner, id } = place;
  switch (kind) {
    case 'command':
      return unitKey({ kind, owner: renames('program', owner), id: renames('command', id) });
    case 'common-command':
      return unitKey({ kind, owner, id: renames('command', id) });
    case 'control':
      return unitKey({ kind, owner: renames('profile', owner), id });
    case 'device':
    case 'program':
    case 'profile':
    case 'layer':
    case 'page':
    case 'macro':
    case 'radial-menu':
      return unitKey({ kind, owner, id: renames(kind, id) });
    case 'order':
      return unitKey({ kind, owner: owner === '' ? '' : renames('program', owner), id });
    case 'setup':
      return key;
  }
}
