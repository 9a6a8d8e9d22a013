import { BASE_LAYER, type Binding, type Slot } from '@nimble-lever/core/setup';
import { createSlice, type PayloadAction, type WithSlice } from '@reduxjs/toolkit';
import { rootReducer } from '../../app/store.ts';
import { type BoardView, keptView } from './boardView.ts';

/** A cell that was copied or cut: what it does, and where it stood from the first of them. */
export interface CopiedCell {
  /** Rows and columns from the upper left corner. */
  readonly down: number;
  readonly across: number;
  /** In whose words the binding is. */
  readonly profile: string;
  readonly binding: Binding;
  /** Where it is to be taken away when it is pasted; null for a copy. */
  readonly cut: Slot | null;
}

/** What is chosen, shown and sought on the Board. */
export interface BoardState {
  /** The selected cell; null until the person selects one. */
  readonly selected: Slot | null;
  /** Further cells that are selected with it, and the one a range of them began at. */
  readonly also: readonly Slot[];
  readonly anchor: Slot | null;
  /** A shortcut for the selected cell is being recorded. */
  readonly recording: boolean;
  /** What was copied or cut. */
  readonly copied: readonly CopiedCell[];
  /** The layer whose bindings are shown. */
  readonly layer: string;
  /** By device: the page whose bindings are shown instead; a device at home has no entry. */
  readonly pages: Readonly<Record<string, string>>;
  /** Whether cells tell what the base layer does where they differ. */
  readonly compare: boolean;
  /** Controls whose triggers are all shown, by `device/control`. */
  readonly unfolded: readonly string[];
  readonly search: string;
  /** What the person likes, kept by the browser. */
  readonly view: BoardView;
}

const initialState: BoardState = {
  selected: null,
  also: [],
  anchor: null,
  recording: false,
  copied: [],
  layer: BASE_LAYER,
  pages: {},
  compare: false,
  unfolded: [],
  search: '',
  view: keptView(),
};

const slice = createSlice({
  name: 'board',
  initialState,
  reducers: {
    /** A cell of another layer brings that layer into view; its device shows its page still, where it is on that. */
    cellSelected: (state, { payload }: PayloadAction<Slot>) => {
      state.selected = payload;
      state.also = [];
      state.anchor = payload;
      state.recording = false;
      if (state.pages[payload.device] === payload.layer) return;
      delete state.pages[payload.device];
      state.layer = payload.layer;
    },
    /** A page of a device is shown, or (null) the device at home. A selected cell goes along. */
    pageShown: (state, { payload }: PayloadAction<{ device: string; page: string | null }>) => {
      const { device, page } = payload;
      if (page === null) delete state.pages[device];
      else state.pages[device] = page;
      state.recording = false;
      state.also = [];
      if (state.selected?.device === device) state.selected.layer = page ?? state.layer;
      state.anchor = state.selected;
    },
    /** Several cells: the one that is worked in, and those with it. The range goes on from where it began. */
    cellsSelected: (state, { payload }: PayloadAction<{ selected: Slot; also: readonly Slot[] }>) => {
      state.selected = payload.selected;
      state.also = [...payload.also];
      state.recording = false;
    },
    cellsCopied: (state, { payload }: PayloadAction<readonly CopiedCell[]>) => {
      state.copied = [...payload];
    },
    /** Recorded in the dock, which comes for it. */
    recordingStarted: (state) => {
      state.recording = true;
      state.view.docked = true;
    },
    recordingEnded: (state) => {
      state.recording = false;
    },
    // The selection goes along, so that the same cell is seen in the other layer; recording does not.
    layerShown: (state, { payload }: PayloadAction<string>) => {
      state.layer = payload;
      state.recording = false;
      if (state.selected && state.pages[state.selected.device] === undefined) state.selected.layer = payload;
      state.anchor = state.selected;
      state.also = [];
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
  cellsCopied,
  cellSelected,
  cellsSelected,
  compareSet,
  layerShown,
  pageShown,
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
