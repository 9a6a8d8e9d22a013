import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { type PracticeProgram, type RehearseState, STAND_INS, standInOf } from './programs/standIns.ts';

interface RanCommand {
  readonly state: RehearseState;
  readonly name: string;
  readonly said: string;
}

/** What a program does with a shortcut, in canonical notation; null where it has no command for it. */
export function runShortcut(
  state: RehearseState,
  program: PracticeProgram,
  shortcut: string,
): RanCommand | null {
  const command = standInOf(program).commands.find((own) => own.shortcut === shortcut);
  if (!command) return null;
  const after = { ...command.run(state[program]), lastCommand: command.name };
  return { state: { ...state, [program]: after }, name: command.name, said: command.said(after) };
}

/** What it does when the key of a command that lasts comes up; null where nothing lasts. */
export function endShortcut(
  state: RehearseState,
  program: PracticeProgram,
  shortcut: string,
): RehearseState | null {
  const command = standInOf(program).commands.find((own) => own.shortcut === shortcut);
  return command?.release ? { ...state, [program]: command.release(state[program]) } : null;
}

const initialState = Object.fromEntries(
  Object.entries(STAND_INS).map(([id, { initial }]) => [id, initial]),
) as unknown as RehearseState;

const slice = createSlice({
  name: 'rehearse',
  initialState,
  reducers: {
    shortcutArrived(
      state,
      { payload }: PayloadAction<{ program: PracticeProgram; shortcut: string }>,
    ): RehearseState {
      return runShortcut(state, payload.program, payload.shortcut)?.state ?? state;
    },
    shortcutEnded(
      state,
      { payload }: PayloadAction<{ program: PracticeProgram; shortcut: string }>,
    ): RehearseState {
      return endShortcut(state, payload.program, payload.shortcut) ?? state;
    },
    /** A program's own state after something was done in it by hand. */
    programChanged(
      state,
      { payload }: PayloadAction<{ program: PracticeProgram; state: RehearseState[PracticeProgram] }>,
    ): RehearseState {
      return { ...state, [payload.program]: payload.state };
    },
  },
});

export const { shortcutArrived, shortcutEnded, programChanged } = slice.actions;
export const rehearseReducer = slice.reducer;
export type { RehearseState };
