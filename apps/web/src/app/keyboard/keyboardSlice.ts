import type { Keyboards } from '@nimble-lever/core/engine';
import type { Platform } from '@nimble-lever/core/keys';
import { type Layout, US_LAYOUT } from '@nimble-lever/core/keys/layouts';
import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** The keyboard of this computer: kept in the browser, as it belongs to the desk and not to a set-up. */
export interface KeyboardState {
  readonly platform: Platform;
  readonly layoutId: string;
  /** Whether the person chose the layout, or the browser told it; else it is asked once. */
  readonly known: boolean;
  /** The layout made ready; null until its file is read. */
  readonly layout: Layout | null;
}

/** The platform by what the browser says of itself. */
export function platformOf(agent: string): Platform {
  if (/Mac|iPhone|iPad/.test(agent)) return 'mac';
  return /Windows/.test(agent) ? 'windows' : 'linux';
}

/** Until the browser tells: the platform from its name, and the layout that most keyboards print. */
const initialState: KeyboardState = {
  platform: platformOf(typeof navigator === 'undefined' ? '' : navigator.userAgent),
  layoutId: 'us',
  known: true,
  layout: null,
};

const slice = createSlice({
  name: 'keyboard',
  initialState,
  reducers: {
    platformChosen: (state, { payload }: PayloadAction<Platform>): KeyboardState => ({
      ...state,
      platform: payload,
    }),
    /** Which layout it shall be; its file is still to be read. */
    layoutChosen: (state, { payload }: PayloadAction<{ id: string; known: boolean }>): KeyboardState => ({
      ...state,
      layoutId: payload.id,
      known: payload.known,
    }),
    /** A layout's file was read; another one may have been chosen meanwhile. */
    layoutRead: (state, { payload }: PayloadAction<{ id: string; layout: Layout }>): KeyboardState =>
      payload.id === state.layoutId ? { ...state, layout: payload.layout } : state,
  },
});

/** The layout of this computer's keyboard; the United States one until its file is read. */
export function selectLayout({ keyboard }: { readonly keyboard: KeyboardState }): Layout {
  return keyboard.layout ?? US_LAYOUT;
}

/** The keyboards that what is sent here is for. */
export const selectKeyboards = createSelector(
  [selectLayout],
  (here): Keyboards => ({ here, elsewhere: new Map() }),
);

export const { platformChosen, layoutChosen, layoutRead } = slice.actions;
export const keyboardReducer = slice.reducer;
