import type { Binding, Slot } from '@nimble-lever/core/setup';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface BoardState {
  /** The selected cell; null until the person selects one. */
  readonly selected: Slot | null;
  readonly recording: boolean;
  /** What was copied, with the profile it was copied from. */
  readonly copied: { readonly profile: string; readonly binding: Binding } | null;
}

const initialState: BoardState = { selected: null, recording: false, copied: null };

const slice = createSlice({
  name: 'board',
  initialState,
  reducers: {
    cellSelected: (state, { payload }: PayloadAction<Slot>): BoardState => ({
      ...state,
      selected: payload,
      recording: false,
    }),
    cellCopied: (state, { payload }: PayloadAction<NonNullable<BoardState['copied']>>) => {
      state.copied = payload;
    },
    recordingStarted: (state) => {
      state.recording = true;
    },
    recordingEnded: (state) => {
      state.recording = false;
    },
  },
});

export const { cellCopied, cellSelected, recordingStarted, recordingEnded } = slice.actions;
export const boardReducer = slice.reducer;
