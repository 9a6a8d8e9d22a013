import type { Remote } from '@nimble-lever/core/desks';
import { createSlice, type PayloadAction, type WithSlice } from '@reduxjs/toolkit';
import { rootReducer } from '../app/store.ts';

const initialState: { readonly remotes: readonly Remote[] } = { remotes: [] };

const slice = createSlice({
  name: 'remotes',
  initialState,
  reducers: {
    /** Someone joined this page's desk, or left it. */
    remotesChanged: (state, { payload }: PayloadAction<readonly Remote[]>) => {
      state.remotes = [...payload];
    },
  },
});

export const { remotesChanged } = slice.actions;

declare module '../app/store.ts' {
  interface LazyLoadedSlices extends WithSlice<typeof slice> {}
}

/** Who takes part at this page's desk. */
export const { selectSlice: selectRemotes } = slice.injectInto(rootReducer);
