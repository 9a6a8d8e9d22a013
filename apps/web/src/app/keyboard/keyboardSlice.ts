import type { Keyboards } from '@nimble-lever/core/engine';
import type { Platform } from '@nimble-lever/core/keys';
import { type Layout, US_LAYOUT } from '@nimble-lever/core/keys/layouts';
import type { Setup } from '@nimble-lever/core/setup';
import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** The keyboard of this computer: kept in the browser, as it belongs to the desk and not to a set-up. */
export interface KeyboardState {
  readonly platform: Platform;
  readonly layoutId: string;
  /** Whether the person chose the layout, or the browser told it; else it is asked once. */
  readonly known: boolean;
  /** The layout made ready; null until its file is read. */
  readonly layout: Layout | null;
  /** Layouts of other computers, by their ids, as far as they are read. */
  readonly others: Readonly<Record<string, Layout>>;
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
  others: {},
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
    /** A layout that another computer of the rig has. */
    otherLayoutRead: (state, { payload }: PayloadAction<Layout>): KeyboardState => ({
      ...state,
      others: { ...state.others, [payload.id]: payload },
    }),
  },
});

/** The layout of this computer's keyboard; the United States one until its file is read. */
export function selectLayout({ keyboard }: { readonly keyboard: KeyboardState }): Layout {
  return keyboard.layout ?? US_LAYOUT;
}

/** What is known of keyboards: this computer's, and what the set-up says of others. */
interface KnownKeyboards {
  readonly keyboard: KeyboardState;
  readonly setup: { readonly setup: Pick<Setup, 'keyboards'> | null };
}

/** The keyboards that what is sent here is for. */
export const selectKeyboards = createSelector(
  [
    selectLayout,
    ({ keyboard }: KnownKeyboards) => keyboard.others,
    ({ setup }: KnownKeyboards) => setup.setup?.keyboards,
  ],
  (here, others, keyboards = {}): Keyboards => ({
    here,
    elsewhere: new Map(
      Object.entries(keyboards).flatMap(([computer, id]) => {
        const layout = id === here.id ? here : others[id];
        return layout ? [[computer, layout] as const] : [];
      }),
    ),
  }),
);

export const { platformChosen, layoutChosen, layoutRead, otherLayoutRead } = slice.actions;
export const keyboardReducer = slice.reducer;
