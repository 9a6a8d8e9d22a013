import { createSlice, type PayloadAction, type WithSlice } from '@reduxjs/toolkit';
import { rootReducer, useAppSelector } from '../app/store.ts';
import { type PracticeProgram, type ProgramStates, STAND_INS, standInOf } from './programs/standIns.ts';

/** A command that ran in a practice program, with what the program said. */
interface RanCommand {
  readonly state: ProgramStates;
  readonly name: string;
  readonly said: string;
  /** What it does with windows: the one it opens, by id; whether it closes its own. */
  readonly opens: string | null;
  readonly closes: boolean;
}

/** What a program does with a shortcut, in canonical notation; null where it has no command for it. */
export function runShortcut(
  state: ProgramStates,
  program: PracticeProgram,
  shortcut: string,
): RanCommand | null {
  const command = standInOf(program).commands.find((own) => own.shortcut === shortcut);
  if (!command) return null;
  const after = { ...command.run(state[program]), lastCommand: command.name };
  const { name, opens = null, closes = false, hands } = command;
  const handed = hands
    ? { [hands.to]: hands.change(after, state[hands.to as PracticeProgram] as never) }
    : {};
  return { state: { ...state, [program]: after, ...handed }, name, said: command.said(after), opens, closes };
}

/** What it does when the key of a command that lasts comes up; null where nothing lasts. */
export function endShortcut(
  state: ProgramStates,
  program: PracticeProgram,
  shortcut: string,
): ProgramStates | null {
  const command = standInOf(program).commands.find((own) => own.shortcut === shortcut);
  return command?.release ? { ...state, [program]: command.release(state[program]) } : null;
}

/** Every program as it starts. */
const initialState = Object.fromEntries(
  Object.entries(STAND_INS).map(([id, { initial }]) => [id, initial]),
) as unknown as ProgramStates;

const slice = createSlice({
  name: 'programs',
  initialState,
  reducers: {
    /** A program's own state after something was done in it. */
    programChanged(
      state,
      { payload }: PayloadAction<{ program: PracticeProgram; state: ProgramStates[PracticeProgram] }>,
    ): ProgramStates {
      return { ...state, [payload.program]: payload.state };
    },
    /** All programs after a command, which may have changed more than its own. */
    programsChanged(_state, { payload }: PayloadAction<ProgramStates>): ProgramStates {
      return payload;
    },
  },
});

export const { programChanged, programsChanged } = slice.actions;
/** The practice programs' part of the store. */
export const programsReducer = slice.reducer;

declare module '../app/store.ts' {
  interface LazyLoadedSlices extends WithSlice<typeof slice> {}
}

/** What is in the practice programs. They come with the desk, so that the first view need not carry them. */
export const { selectSlice: selectPrograms } = slice.injectInto(rootReducer);

/** Part of what is in the practice programs, for a view of one. */
export function usePrograms<Part>(select: (programs: ProgramStates) => Part): Part {
  return useAppSelector((state) => select(selectPrograms(state)));
}
