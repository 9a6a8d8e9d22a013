import { BRINDLE_PROGRAM } from './brindle.ts';
import { COLOURS_DIALOG, OUTPUT_DIALOG } from './brindleDialogs.ts';
import { EXPORT_DIALOG } from './exportDialog.ts';
import { FERNWAY_PROGRAM } from './fernway.ts';
import { HUSHBOX_PROGRAM } from './hushbox.ts';
import { KETTLEBY_PROGRAM } from './kettleby.ts';
import { BAKE_DIALOG } from './kettlebyBake.ts';
import { LARKFRAME_PROGRAM } from './larkframe.ts';
import { QUILLBOARD_PROGRAM } from './quillboard.ts';
import type { StandIn } from './standIn.ts';
import { TALLOW_PROGRAM } from './tallow.ts';
import { TIN_CAN_PROGRAM } from './tinCan.ts';
import { WHEEL_DIALOG } from './wheelDialog.ts';

/** The programs of the practice desk, by the id of their window. */
export const STAND_INS = {
  larkframe: LARKFRAME_PROGRAM,
  brindle: BRINDLE_PROGRAM,
  hushbox: HUSHBOX_PROGRAM,
  tallow: TALLOW_PROGRAM,
  quillboard: QUILLBOARD_PROGRAM,
  fernway: FERNWAY_PROGRAM,
  'tin-can': TIN_CAN_PROGRAM,
  kettleby: KETTLEBY_PROGRAM,
  'kettleby-bake': BAKE_DIALOG,
  'larkframe-export': EXPORT_DIALOG,
  'brindle-output': OUTPUT_DIALOG,
  'brindle-colours': COLOURS_DIALOG,
  'tallow-wheel': WHEEL_DIALOG,
} as const;

/** The id of a program that has a stand-in. */
export type PracticeProgram = keyof typeof STAND_INS;

/** What is in each practice program. */
export type ProgramStates = {
  readonly [Id in PracticeProgram]: (typeof STAND_INS)[Id] extends StandIn<infer State> ? State : never;
};

/** A program whose kind of state does not matter here; it is only ever given its own. */
export function standInOf(program: PracticeProgram): StandIn<ProgramStates[PracticeProgram]> {
  return STAND_INS[program] as unknown as StandIn<ProgramStates[PracticeProgram]>;
}

/** Whether there is a practice program of that id. */
export function isPracticeProgram(id: string): id is PracticeProgram {
  return Object.hasOwn(STAND_INS, id);
}
