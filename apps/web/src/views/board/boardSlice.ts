import { BASE_LAYER, type Binding, type Slot } from '@nimble-lever/core/setup';
import { createSlice, type PayloadAction, type WithSlice } from '@reduxjs/toolkit';
import { rootReducer } from '../../app/store.ts';
import { type BoardView, keptView } from './boardView.ts';

/** What is chosen, shown and sought on the Board. */
export interface BoardState {
  /** The selected cell; null until the person selects one. */
  readonly selected: Slot | null;
  readonly recording: boolean;
  /** What was copied, with the profile it was copied from. */
  readonly copied: { readonly profile: string; readonly binding: Binding } | null;
  readonly layer: string;
  /** Whether cells tell what the base layer does where they differ. */
  readonly compare: boolean;
  /** Controls whose triggers are all shown, by `device/control`. */
  readonly unfolded: readonly string[];
  readonly search: string;
  readonly view: BoardView;
}

const initialState: BoardState = {
  selected: null,
  recording: false,
  copied: null,
  layer: BASE_LAYER,
  compare: false,
  unfolded: [],
  search: '',
  view: keptView(),
};

const slice = createSlice({
  name: 'board',
  initialState,
  reducers: {
    /** A cell of another layer brings that layer into view. */
    cellSelected: (state, { payload }: PayloadAction<Slot>): BoardState => ({
      ...state,
      selected: payload,
      layer: payload.layer,
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
    // The selection goes along, so that the same cell is seen in the other layer; recording does not.
    layerShown: (state, { payload }: PayloadAction<string>) => {
      state.layer = payload;
      state.recording = false;
      if (state.selected) state.selected.layer = payload;
    },
    compareSet: (state, { payload }: PayloadAction<boolean>) => {
      state.compare = payload;
    },
    triggersFolded: (state, { payload }: PayloadAction<{ control: string; open: boolean }>) => {
      const others = state.unfolded.filter((control) => control !== payload.control);
      state.unfolded = payload.open ? [...others, payload.control] : others;
    },
    searched: (state, { payload }: PayloadAction<string>) => {
      state.search = payload;
    },
    viewChanged: (state, { payload }: PayloadAction<Partial<BoardView>>) => {
      state.view = { ...state.view, ...payload };
    },
  },
});

export const {
  cellCopied,
  cellSelected,
  compareSet,
  layerShown,
  recordingEnded,
  recordingStarted,
  searched,
  triggersFolded,
  viewChanged,
} = slice.actions;
export const boardReducer = slice.reducer;

declare module '../../app/store.ts' {
  interface LazyLoadedSlices extends WithSlice<typeof slice> {}
}

/** What is chosen, shown and sought on the Board. */
export const { selectSlice: selectBoardState } = slice.injectInto(rootReducer);
