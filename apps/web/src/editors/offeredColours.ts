import {
  type Behaviour,
  type Command,
  commandOf,
  type Face,
  type Profile,
  type Setup,
} from '@nimble-lever/core/setup';
import { FAMILY_NAMES, programName } from '@nimble-lever/core/words';
import type { OfferedColour } from './ColourField.tsx';

/** The colour that each family has wherever commands are shown, as a face has it. */
const FAMILY_COLOURS = {
  move: 'blue',
  view: 'teal',
  edit: 'plum',
  tool: 'amber',
  time: 'green',
  system: 'ink',
} satisfies Record<Command['family'], NonNullable<Face['colour']>>;

/** Colours that mean something for what is bound in a profile: its program's, where it has one, and the family's. */
export function offeredColours(
  setup: Setup,
  { id, program }: Pick<Profile, 'id' | 'program'>,
  behaviour: Behaviour | undefined,
): readonly OfferedColour[] {
  const own = programColour(setup, program);
  const profile = setup.profiles[id];
  if (behaviour?.kind !== 'action' || behaviour.action.kind !== 'command' || !profile) return own;
  const family = commandOf(setup, profile, behaviour.action.command)?.family;
  return family ? [...own, { colour: FAMILY_COLOURS[family], whose: FAMILY_NAMES[family] }] : own;
}

/** A program's colour; none where it has none. */
export function programColour(setup: Setup, program: string | null): readonly OfferedColour[] {
  const colour = setup.programs.find(({ id }) => id === program)?.colour;
  return colour && program ? [{ colour, whose: programName(setup, program) }] : [];
}
