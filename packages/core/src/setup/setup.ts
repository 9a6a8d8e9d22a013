import { z } from 'zod';
import { deviceSchema, idSchema, MOST_CONTROLS, nameSchema } from '../devices/index.ts';
import { bindingSchema, colourSchema, noteSchema } from './binding.ts';
import { macroSchema } from './macro.ts';
import { pageSchema } from './page.ts';
import { radialMenuSchema } from './radialMenu.ts';
import { ruleSchema } from './rule.ts';
import { stepsSchema } from './shortcutSchema.ts';
import { unreadablePartSchema } from './unreadable.ts';

/** Sizes beyond which a set-up is refused. */
export const LIMITS = {
  devices: 50,
  programs: 200,
  commands: 2000,
  layers: 8,
  pages: 500,
  macros: 500,
  radialMenus: 100,
  controls: MOST_CONTROLS,
  rules: 50,
  steps: 500,
  radialItems: 8,
  bindingsOfProfile: 5000,
} as const;

/** The profile under all others, and the layer under all others. */
export const EVERYWHERE = 'everywhere';
/** The layer under all others; it is always on. */
export const BASE_LAYER = 'base';

/** What commands are about; the Board colours and the chooser groups by it. */
export const FAMILIES = ['move', 'view', 'edit', 'tool', 'time', 'system'] as const;
/** What a command is about, by which it gets its colour. */
export const familySchema = z.enum(FAMILIES);
/** A family by its name in files. */
export type Family = z.infer<typeof familySchema>;

/**
 * What a program goes by when it reads a key: the character it types on the keyboard's layout, or the place of the key;
 * then its documented letters are those of a United States keyboard.
 */
export const keysBySchema = z.enum(['character', 'place']);

/** A thing a program can do. */
export const commandSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  shortcut: stepsSchema,
  family: familySchema,
  /** The idea behind the command across programs, for instance `undo`. */
  intent: idSchema.nullable(),
  /** What it goes by, where that is not what its program goes by. */
  keysBy: keysBySchema.nullable().default(null),
  /** Its shortcut on keyboards of a layout, by the layout's id, where it is another one there. */
  onLayout: z.record(idSchema, stepsSchema).default({}),
  /** It cannot be taken back: controls that are hit easily should ask first. */
  risky: z.boolean().default(false),
  note: noteSchema.nullable().default(null),
});
/** A command of a program. */
export type Command = z.infer<typeof commandSchema>;

/** A program with the rules that recognise its windows and its command list. */
export const programSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  keysBy: keysBySchema.default('character'),
  /** Its own colour and sign, by which it is known in lists; null for none. */
  colour: colourSchema.nullable().default(null),
  icon: idSchema.nullable().default(null),
  rules: z.array(ruleSchema).max(LIMITS.rules),
  commands: z.array(commandSchema).max(LIMITS.commands),
});
/** A program with its windows and commands. */
export type Program = z.infer<typeof programSchema>;

/** What the controls do for a program. */
export const profileSchema = z.strictObject({
  id: idSchema,
  /** Null where it is named after its program. */
  name: nameSchema.nullable().default(null),
  /** The program it is for; null for Everywhere. */
  program: idSchema.nullable(),
  /** Which windows it is for; none: those of its program. */
  rules: z.array(ruleSchema).max(LIMITS.rules).default([]),
  basedOn: idSchema.nullable(),
  /** By slot key: `layer/device/control/trigger`, where a page of the device may take the layer's place. */
  bindings: z.record(z.string().max(260), bindingSchema),
});
/** Bindings for a program, or for everywhere. */
export type Profile = z.infer<typeof profileSchema>;

/** A layer, by name; its bindings stand in the profiles. */
export const layerSchema = z.strictObject({ id: idSchema, name: nameSchema });
/** A layer, in the order that decides which wins. */
export type Layer = z.infer<typeof layerSchema>;

/** Everything one person has arranged. Programs stand in the order of the Board's columns. */
export const setupSchema = z.strictObject({
  name: nameSchema,
  /** The keyboard layouts of other computers that its devices talk to, by the computer's name. */
  keyboards: z.record(nameSchema, idSchema).default({}),
  /**
   * The layout that the shortcuts of an older version, which knew only places of keys, were made on; null where nobody
   * has said yet. They were read as those of the United States.
   */
  madeOn: idSchema.nullable().default(null),
  devices: z.array(deviceSchema).max(LIMITS.devices),
  /** Commands that mean the same in most programs; Everywhere is bound with these. */
  commonCommands: z.array(commandSchema).max(LIMITS.commands),
  programs: z.array(programSchema).max(LIMITS.programs),
  /** From the base layer up. */
  layers: z.array(layerSchema).min(1).max(LIMITS.layers),
  /** Of every device, each device's in the person's order. */
  pages: z.array(pageSchema).max(LIMITS.pages).default([]),
  profiles: z.record(idSchema, profileSchema),
  macros: z.array(macroSchema).max(LIMITS.macros).default([]),
  radialMenus: z.array(radialMenuSchema).max(LIMITS.radialMenus).default([]),
  /** Stored parts that are not as they should be: kept, shown, and without effect. */
  unreadable: z.array(unreadablePartSchema).default([]),
});
/** Everything a person has arranged. */
export type Setup = z.infer<typeof setupSchema>;

/** The profiles of each program: first those for all its windows, then those with rules of their own, by id. */
export function profilesByProgram(setup: Setup): ReadonlyMap<string, readonly Profile[]> {
  const lists = new Map<string, Profile[]>();
  for (const profile of Object.values(setup.profiles)) {
    if (profile.program === null) continue;
    const list = lists.get(profile.program);
    if (list) list.push(profile);
    else lists.set(profile.program, [profile]);
  }
  const rank = ({ rules }: Profile) => (rules.length === 0 ? 0 : 1);
  for (const list of lists.values()) list.sort((a, b) => rank(a) - rank(b) || (a.id < b.id ? -1 : 1));
  return lists;
}

/** The main profile of a program, or null when there is none. */
export function profileOf(setup: Setup, program: string): Profile | null {
  return profilesByProgram(setup).get(program)?.[0] ?? null;
}

/** The command a profile may bind under this id: its program's own, else a common one. */
export function commandOf(setup: Setup, profile: Profile, id: string): Command | null {
  const program = setup.programs.find((candidate) => candidate.id === profile.program);
  const own = program?.commands.find((command) => command.id === id);
  return own ?? setup.commonCommands.find((command) => command.id === id) ?? null;
}

/** What the program of a profile goes by when it reads keys; by characters where it has none. */
export function keysByOf(setup: Setup, { program }: Pick<Profile, 'program'>): Program['keysBy'] {
  return setup.programs.find(({ id }) => id === program)?.keysBy ?? 'character';
}

/** The profile whose commands a radial menu's items may run: that of its program, or Everywhere. */
export function menuOwner(
  setup: Setup,
  { program }: { readonly program: string | null },
): Profile | undefined {
  return (program === null ? undefined : profileOf(setup, program)) ?? setup.profiles[EVERYWHERE];
}

/** The ids of all commands, common ones first. No two commands of a set-up share an id. */
export function commandIds(setup: Setup): readonly string[] {
  return [setup.commonCommands, ...setup.programs.map(({ commands }) => commands)].flat().map(({ id }) => id);
}
