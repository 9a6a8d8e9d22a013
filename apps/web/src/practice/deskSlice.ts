import type { FrontWindow } from '@nimble-lever/core/resolve';
import { createSlice, type PayloadAction, type WithSlice } from '@reduxjs/toolkit';
import { rootReducer } from '../app/store.ts';
import { commanded, type WindowCommand } from './windows.ts';

/** A window of the practice desk, as the engine's rules see it. */
export interface DeskWindow extends FrontWindow {
  /** Also the id of the practice program that draws it. */
  readonly id: string;
  readonly name: string;
  /** A program opens it; it has no place of its own among the windows. */
  readonly isDialog?: boolean;
}

/** A window as the desk tells of it; names of classes and executables are those of the practice programs. */
const deskWindow = (id: string, name: string, document: string): DeskWindow => ({
  id,
  name,
  executable: id,
  class: name,
  title: `${name} — ${document}`,
});

/** A window that a program opens to ask something. */
const dialogWindow = (id: string, program: string, title: string): DeskWindow => ({
  id,
  name: title,
  executable: program.toLowerCase(),
  class: program,
  title,
  isDialog: true,
});

/** The programs that run on the practice desk; the first ones are open at the start, in front last. */
export const DESK_WINDOWS: readonly DeskWindow[] = [
  deskWindow('larkframe', 'Larkframe', 'heron_shot_04'),
  deskWindow('brindle', 'Brindle', 'heron_wing_left'),
  deskWindow('hushbox', 'Hushbox', 'rain_and_heron'),
  deskWindow('tallow', 'Tallow', 'heron_reel_2'),
  deskWindow('quillboard', 'Quillboard', 'herons_umbrella'),
  deskWindow('fernway', 'Fernway', 'herons of the salt marsh'),
  deskWindow('tin-can', 'Tin Can', 'workshop'),
  deskWindow('kettleby', 'Kettleby', 'kettle_lid'),
  // Of the same programs: only their titles tell them from the main windows.
  dialogWindow('kettleby-bake', 'Kettleby', 'Bake the prop'),
  dialogWindow('larkframe-export', 'Larkframe', 'Export the film'),
  dialogWindow('brindle-output', 'Brindle', 'Output'),
  dialogWindow('brindle-colours', 'Brindle', 'Colours'),
  dialogWindow('tallow-wheel', 'Tallow', 'Colour of the wheel'),
];
/** Two programs, one before the other: the first thing to be seen is that the profile follows the front. */
const OPEN_FIRST: readonly string[] = ['brindle', 'larkframe'];

/** How far one press of a volume key goes, in points of 100. Common practice, no source. */
const VOLUME_STEP = 2;

/** How much of what another computer heard is kept. */
const HEARD_KEPT = 30;

/** Where a window is, if not in its usual place. */
export type WindowPlace = 'maximised' | 'left' | 'right';

/** The practice desk: its windows, its pointer, its sound. */
export interface DeskState {
  /** The windows that are open, from the back to the front. */
  readonly order: readonly string[];
  /** The window in front, or null when the person clicked on the bare desk. */
  readonly active: string | null;
  /** Open windows that are put away. */
  readonly minimised: readonly string[];
  /** Windows that do not have their usual place. */
  readonly places: Readonly<Record<string, WindowPlace>>;
  /** The windows that were put away to show the desk: they come back together. */
  readonly putAway: readonly string[];
  /** Whether all windows are shown side by side, to choose one. */
  readonly overview: boolean;
  /** How long a program takes to open a window, and hears nothing meanwhile: milliseconds. */
  readonly slowness: number;
  /** Programs that open a window just now, by the ids of theirs. */
  readonly busy: readonly string[];
  /** 0 to 100. */
  readonly volume: number;
  readonly muted: boolean;
  /** Where the desk's pointer is, in pixels from the surface's top left corner; null until it was moved. */
  readonly pointer: { readonly x: number; readonly y: number } | null;
  /** The computer whose desk is shown, by name; null for this one. */
  readonly shown: string | null;
  /** What is in front at other computers, by their names, as their desks show it; none where there is no entry. */
  readonly fronts: Readonly<Record<string, string | null>>;
  /** What other computers heard of the devices that talk to them, by name, newest first. */
  readonly elsewhere: Readonly<Record<string, readonly string[]>>;
}

/** The desk as it is found. */
const initialState: DeskState = {
  order: OPEN_FIRST,
  active: OPEN_FIRST.at(-1) ?? null,
  minimised: [],
  places: {},
  putAway: [],
  overview: false,
  pointer: null,
  shown: null,
  fronts: {},
  elsewhere: {},
  slowness: 0,
  busy: [],
  volume: 40,
  muted: false,
};

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    // To the front, and to the end of the order; the bare desk leaves the order as it is.
    windowRaised: (state, { payload }: PayloadAction<string | null>) => {
      state.active = payload;
      state.overview = false;
      if (payload === null) return;
      state.order = [...state.order.filter((id) => id !== payload), payload];
      state.minimised = state.minimised.filter((id) => id !== payload);
      state.putAway = [];
    },
    windowCommanded: (state, { payload }: PayloadAction<WindowCommand>): DeskState =>
      commanded(state, payload),
    pointerMoved: (state, { payload }: PayloadAction<DeskState['pointer']>) => {
      state.pointer = payload;
    },
    deskShown: (state, { payload }: PayloadAction<string | null>) => {
      state.shown = payload;
    },
    raisedElsewhere: (state, { payload }: PayloadAction<{ computer: string; id: string | null }>) => {
      state.fronts[payload.computer] = payload.id;
    },
    // Newest first, and only so many: nobody scrolls in what another computer heard.
    heardElsewhere: (state, { payload }: PayloadAction<{ computer: string; words: string }>) => {
      const before = state.elsewhere[payload.computer] ?? [];
      state.elsewhere[payload.computer] = [payload.words, ...before].slice(0, HEARD_KEPT);
    },
    slownessChanged: (state, { payload }: PayloadAction<number>) => {
      state.slowness = payload;
    },
    busyChanged: (state, { payload }: PayloadAction<{ id: string; busy: boolean }>) => {
      const others = state.busy.filter((id) => id !== payload.id);
      state.busy = payload.busy ? [...others, payload.id] : others;
    },
    // A key that makes it louder also ends the silence, as systems do (common practice, no source).
    volumeKey: (state, { payload }: PayloadAction<'up' | 'down' | 'mute'>) => {
      if (payload === 'mute') state.muted = !state.muted;
      else {
        const step = payload === 'up' ? VOLUME_STEP : -VOLUME_STEP;
        state.volume = Math.max(0, Math.min(100, state.volume + step));
        state.muted = false;
      }
    },
  },
});

export const {
  windowRaised,
  windowCommanded,
  raisedElsewhere,
  pointerMoved,
  busyChanged,
  deskShown,
  heardElsewhere,
  slownessChanged,
  volumeKey,
} = slice.actions;
/** The desk's part of the store. */
export const deskReducer = slice.reducer;

declare module '../app/store.ts' {
  interface LazyLoadedSlices extends WithSlice<typeof slice> {}
}

/** What is on the practice desk. */
export const { selectSlice: selectDesk } = slice.injectInto(rootReducer);
