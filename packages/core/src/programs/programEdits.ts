import { cutName, foldName, freeId } from '../devices/index.ts';
import {
  type Action,
  type Binding,
  bindingChanges,
  type Command,
  commandAt,
  commandIds,
  type Edit,
  executableRule,
  itemAt,
  newProfile,
  newProgram,
  type Program,
  profileOf,
  profilesByProgram,
  type Setup,
  type SingleEdit,
  slotOf,
  together,
} from '../setup/index.ts';

/** An edit that makes something, and what it is called in the set-up afterwards. */
export interface Made {
  readonly id: string;
  readonly edit: Edit;
}

/** A name that no program has yet: the one given, or with a number. */
export function freeProgramName({ programs }: Setup, wanted: string): string {
  const taken = new Set(programs.map(({ name }) => foldName(name)));
  let name = cutName(wanted);
  for (let i = 2; taken.has(foldName(name)); i++) name = `${cutName(wanted, 56)} ${i}`;
  return name;
}

/** What a program is made from: a name, the rule that finds its windows, and what it can do. */
export type NewProgram = Pick<Program, 'name'> & Partial<Pick<Program, 'rules' | 'commands' | 'keysBy'>>;

/**
 * Adds a program behind all others, with a profile of its own, so that it has its column at once. Commands get ids that
 * nobody has.
 *
 * @param executable finds its windows where it is given and no rules are
 */
export function addProgram(setup: Setup, given: NewProgram, executable: string | null): Made {
  const name = freeProgramName(setup, given.name);
  const id = freeProgramId(setup, name);
  const rules = given.rules ?? (executable === null ? [] : [executableRule(executable)]);
  const commands = withFreeIds(setup, id, given.commands ?? []).map(({ command }) => command);
  const item = newProgram({ ...given, id, name, rules, commands });
  return { id, edit: together([...added(setup, item), addProfile(id)]) };
}

/** Adds a copy of a program with its commands and all its profiles, after it; bindings name the copy's commands. */
export function copyProgram(setup: Setup, program: string): Made | null {
  const found = setup.programs.find(({ id }) => id === program);
  if (!found) return null;
  const name = freeProgramName(setup, found.name);
  const id = freeProgramId(setup, name);
  const commands = withFreeIds(setup, id, found.commands);
  const item = { ...found, id, name, commands: commands.map(({ command }) => command) };
  const ids = new Map(commands.map(({ before, command }) => [before, command.id]));
  const profiles = profilesByProgram(setup).get(program) ?? [];
  const taken = new Set(Object.keys(setup.profiles));
  const names = new Map(
    profiles.map((profile) => {
      const next = freeId(profile.id.replace(program, id), taken, id);
      taken.add(next);
      return [profile.id, next] as const;
    }),
  );
  const edits = profiles.flatMap((profile): SingleEdit[] => {
    const own = names.get(profile.id) ?? id;
    const basedOn = profile.basedOn === null ? null : (names.get(profile.basedOn) ?? profile.basedOn);
    const copy = { ...profile, id: own, program: id, basedOn, bindings: {} };
    const bound = Object.entries(profile.bindings).flatMap(([key, binding]) => {
      const slot = slotOf(own, key);
      return slot ? bindingChanges(slot, null, renamed(binding, ids)) : [];
    });
    return [{ kind: 'add', at: itemAt.profile(own), item: copy, after: null }, ...bound];
  });
  return { id, edit: together([{ kind: 'add', at: itemAt.program(id), item, after: program }, ...edits]) };
}

/** A binding with other commands of other names in its place; what is no command stays. */
function renamed(binding: Binding, ids: ReadonlyMap<string, string>): Binding {
  const { behaviour } = binding;
  const other = (action: Action): Action =>
    action.kind === 'command' ? { ...action, command: ids.get(action.command) ?? action.command } : action;
  switch (behaviour.kind) {
    case 'action':
      return { ...binding, behaviour: { ...behaviour, action: other(behaviour.action) } };
    case 'off':
      return { ...binding, behaviour: { ...behaviour, sends: behaviour.sends && other(behaviour.sends) } };
    case 'native':
      return binding;
  }
}

/** A profile more for a program, with its rules: a dialog of its own, a mode. Based on the program's main one. */
export function addProfileOf(setup: Setup, program: string, name: string): Made | null {
  if (!setup.programs.some(({ id }) => id === program)) return null;
  const id = freeId(`${program} ${name}`, new Set(Object.keys(setup.profiles)), program);
  const basedOn = profileOf(setup, program)?.id ?? null;
  const item = newProfile({ id, name, program, basedOn });
  return { id, edit: { kind: 'add', at: itemAt.profile(id), item, after: null } };
}

/** A command more, after another of the list; null puts it first. */
export function addCommand(
  setup: Setup,
  program: string | null,
  given: Omit<Command, 'id'>,
  after: string | null,
): Made {
  const owner = program === null ? null : { id: program };
  const wanted = program === null ? given.name : `${program}-${given.name}`;
  const id = freeId(wanted, new Set(commandIds(setup)), 'command');
  return { id, edit: { kind: 'add', at: commandAt(owner, { id }), item: { ...given, id }, after } };
}

/** Its profile has the same id, so both must be free. */
function freeProgramId({ programs, profiles }: Setup, name: string): string {
  const taken = new Set([...programs.map(({ id }) => id), ...Object.keys(profiles)]);
  return freeId(name, taken, 'program');
}

function added({ programs }: Setup, item: Program): readonly SingleEdit[] {
  return [{ kind: 'add', at: itemAt.program(item.id), item, after: programs.at(-1)?.id ?? null }];
}

function addProfile(program: string): SingleEdit {
  const item = newProfile({ id: program, program });
  return { kind: 'add', at: itemAt.profile(program), item, after: null };
}

/** Commands under ids that no command of the set-up has, with what they were called before. */
function withFreeIds(setup: Setup, program: string, commands: readonly Command[]) {
  const taken = new Set(commandIds(setup));
  return commands.map((command) => {
    const id = freeId(`${program}-${command.name}`, taken, 'command');
    taken.add(id);
    return { before: command.id, command: { ...command, id } };
  });
}
