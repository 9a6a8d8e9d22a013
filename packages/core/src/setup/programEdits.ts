import { ok, type Result, refuse } from '../result.ts';
import type { AppliedSingle } from './applied.ts';
import { checkProfile, checkSetup } from './checkSetup.ts';
import type { SingleEdit } from './edit.ts';
import type { Refusal } from './refusal.ts';
import { commandIds, LIMITS, type Profile, type Setup } from './setup.ts';

type EditOf<Kind extends SingleEdit['kind']> = Extract<SingleEdit, { kind: Kind }>;
type Outcome = Result<AppliedSingle, Refusal>;

/** Adds a program with its profiles as column `at`. */
export function addProgram(setup: Setup, edit: EditOf<'add-program'>): Outcome {
  const { program, profiles, at } = edit;
  const refused = refuseNewProgram(setup, edit);
  if (refused) return refuse(refused);
  const programs = [...setup.programs.slice(0, at), program, ...setup.programs.slice(at)];
  const added: Setup = {
    ...setup,
    programs,
    profiles: { ...setup.profiles, ...Object.fromEntries(profiles.map((profile) => [profile.id, profile])) },
  };
  for (const profile of profiles) {
    const wrong = checkProfile(added, profile);
    if (wrong) return refuse(wrong);
  }
  return ok({ setup: added, inverse: { kind: 'remove-program', program: program.id } });
}

function refuseNewProgram(setup: Setup, { program, profiles, at }: EditOf<'add-program'>): Refusal | null {
  if (setup.programs.length >= LIMITS.programs) {
    return { code: 'too-many', what: 'programs', limit: LIMITS.programs };
  }
  if (at > setup.programs.length) {
    return { code: 'position-out-of-range', position: at, last: setup.programs.length };
  }
  const programTaken = setup.programs.some(({ id }) => id === program.id);
  if (programTaken) return { code: 'id-taken', id: program.id };
  if (nameTaken(setup, program.name, null)) return { code: 'name-taken', name: program.name };
  const commands = new Set(commandIds(setup));
  for (const { id } of program.commands) {
    if (commands.has(id)) return { code: 'id-taken', id };
    commands.add(id);
  }
  const seen = new Set(Object.keys(setup.profiles));
  for (const profile of profiles) {
    if (seen.has(profile.id)) return { code: 'id-taken', id: profile.id };
    if (profile.program !== program.id) return { code: 'profile-of-other-program', profile: profile.id };
    seen.add(profile.id);
  }
  return null;
}

/** Gives a program, and with it its profile, another name. */
export function renameProgram(setup: Setup, edit: EditOf<'rename-program'>): Outcome {
  const program = setup.programs.find(({ id }) => id === edit.program);
  if (!program) return refuse({ code: 'unknown-program', program: edit.program });
  if (nameTaken(setup, edit.name, program.id)) return refuse({ code: 'name-taken', name: edit.name });
  const programs = setup.programs.map((other) =>
    other === program ? { ...program, name: edit.name } : other,
  );
  return ok({ setup: { ...setup, programs }, inverse: { ...edit, name: program.name } });
}

/** Removes a program with its commands, its profiles and their bindings. */
export function removeProgram(setup: Setup, edit: EditOf<'remove-program'>): Outcome {
  const at = setup.programs.findIndex(({ id }) => id === edit.program);
  const program = setup.programs[at];
  if (!program) return refuse({ code: 'unknown-program', program: edit.program });
  const all = Object.values(setup.profiles);
  const profiles = all.filter((profile) => profile.program === program.id);
  const kept = all.filter((profile) => profile.program !== program.id);
  const wrong = refuseOrphans(profiles, kept);
  if (wrong) return refuse(wrong);
  const removed: Setup = {
    ...setup,
    programs: setup.programs.filter((other) => other !== program),
    profiles: Object.fromEntries(kept.map((profile) => [profile.id, profile])),
  };
  if (checkSetup(removed).length > 0) return refuse({ code: 'still-used', name: program.name });
  return ok({ setup: removed, inverse: { kind: 'add-program', program, profiles, at } });
}

function refuseOrphans(removed: readonly Profile[], kept: readonly Profile[]): Refusal | null {
  for (const { id } of removed) {
    const others = kept.filter((profile) => profile.basedOn === id).map((profile) => profile.id);
    if (others.length > 0) return { code: 'others-based-on', profile: id, others };
  }
  return null;
}

/** Moves a program's column to position `to`. */
export function moveProgram(setup: Setup, edit: EditOf<'move-program'>): Outcome {
  const from = setup.programs.findIndex(({ id }) => id === edit.program);
  const program = setup.programs[from];
  if (!program) return refuse({ code: 'unknown-program', program: edit.program });
  const last = setup.programs.length - 1;
  if (edit.to > last) return refuse({ code: 'position-out-of-range', position: edit.to, last });
  const programs = setup.programs.filter((other) => other !== program);
  programs.splice(edit.to, 0, program);
  return ok({ setup: { ...setup, programs }, inverse: { ...edit, to: from } });
}

function nameTaken(setup: Setup, name: string, except: string | null): boolean {
  const folded = name.toLowerCase();
  return setup.programs.some((program) => program.id !== except && program.name.toLowerCase() === folded);
}
