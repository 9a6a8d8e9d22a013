import type { Slot } from '@nimble-lever/core/setup';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface BoardState {
  /** The selected cell; null until the person selects one. */
  readonly selected: Slot | null;
  readonly recording: boolean;
}

const initialState: BoardState = { selected: null, recording: false };

const slice = createSlice({
  name: 'board',
  initialState,
  reducers: {
    cellSelected: (_state, { payload }: PayloadAction<Slot>): BoardState => ({
      selected: payload,
      recording: false,
    }),
    recordingStarted: (state) => {
      state.recording = true;
    },
    recordingEnded: (state) => {
      state.recording = false;
    },
  },
});

export const { cellSelected, recordingStarted, recordingEnded } = slice.actions;
export const boardReducer = slice.reducer;
