import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import {
  BRINDLE,
  BRINDLE_COMMANDS,
  type BrindleState,
  markBegun,
  markDrawn,
  scrolled,
} from './programs/brindle.ts';
import { LARKFRAME, LARKFRAME_COMMANDS, type LarkframeState, playOn } from './programs/larkframe.ts';
import type { StandInCommand } from './programs/standIn.ts';

/** The practice programs and what is in them. */
export interface RehearseState {
  readonly larkframe: LarkframeState;
  readonly brindle: BrindleState;
}

const initialState: RehearseState = { larkframe: LARKFRAME, brindle: BRINDLE };

/** The programs that can be in front on the practice desk. */
export type PracticeProgram = keyof RehearseState;

interface RanCommand<State> {
  readonly state: State;
  readonly name: string;
  readonly said: string;
}

function runIn<State extends { lastCommand: string | null }>(
  commands: readonly StandInCommand<State>[],
  state: State,
  shortcut: string,
): RanCommand<State> | null {
  const command = commands.find((own) => own.shortcut === shortcut);
  if (!command) return null;
  const after = { ...command.run(state), lastCommand: command.name };
  return { state: after, name: command.name, said: command.said(after) };
}

/** What a program does with a shortcut, in canonical notation; null where it has no command for it. */
export function runShortcut(
  state: RehearseState,
  program: PracticeProgram,
  shortcut: string,
): RanCommand<RehearseState> | null {
  if (program === 'larkframe') {
    const ran = runIn(LARKFRAME_COMMANDS, state.larkframe, shortcut);
    return ran && { ...ran, state: { ...state, larkframe: ran.state } };
  }
  const ran = runIn(BRINDLE_COMMANDS, state.brindle, shortcut);
  return ran && { ...ran, state: { ...state, brindle: ran.state } };
}

type Point = readonly [x: number, y: number];

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
    frameChosen: (state, { payload }: PayloadAction<number>): RehearseState => ({
      ...state,
      larkframe: { ...state.larkframe, at: payload },
    }),
    playedOn: (state): RehearseState => ({ ...state, larkframe: playOn(state.larkframe) }),
    paintBegun: (state, { payload }: PayloadAction<Point>): RehearseState => ({
      ...state,
      brindle: markBegun(state.brindle, payload),
    }),
    paintDrawn: (state, { payload }: PayloadAction<Point>): RehearseState => ({
      ...state,
      brindle: markDrawn(state.brindle, payload),
    }),
    canvasScrolled: (state, { payload }: PayloadAction<number>): RehearseState => ({
      ...state,
      brindle: scrolled(state.brindle, payload),
    }),
  },
});

export const { shortcutArrived, frameChosen, playedOn, paintBegun, paintDrawn, canvasScrolled } =
  slice.actions;
export const rehearseReducer = slice.reducer;
