import { createAction, type UnknownAction } from '@reduxjs/toolkit';
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

/** A program's own state after something was done in it. */
export const programChanged = createAction<{
  program: PracticeProgram;
  state: ProgramStates[PracticeProgram];
}>('programs/changed');
/** All programs after a command, which may have changed more than its own. */
export const programsChanged = createAction<ProgramStates>('programs/allChanged');

/** The practice programs' part of the store. Written without drafts, as control messages come fast. */
export function programsReducer(state: ProgramStates = initialState, action: UnknownAction): ProgramStates {
  if (programChanged.match(action)) return { ...state, [action.payload.program]: action.payload.state };
  if (programsChanged.match(action)) return action.payload;
  return state;
}

declare module '../app/store.ts' {
  interface LazyLoadedSlices {
    programs: ProgramStates;
  }
}

/** What is in the practice programs. They come with the desk, so that the first view need not carry them. */
export const selectPrograms = rootReducer
  .inject({ reducerPath: 'programs' as const, reducer: programsReducer })
  .selector((state) => state.programs);

/** Part of what is in the practice programs, for a view of one. */
export function usePrograms<Part>(select: (programs: ProgramStates) => Part): Part {
  return useAppSelector((state) => select(selectPrograms(state)));
}
