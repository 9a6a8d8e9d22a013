import type { FrontWindow } from '@nimble-lever/core/resolve';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A window of the practice desk, as the engine's rules see it. */
export interface DeskWindow extends FrontWindow {
  /** Also the id of the practice program that draws it. */
  readonly id: string;
  readonly name: string;
}

export const DESK_WINDOWS: readonly DeskWindow[] = [
  {
    id: 'brindle',
    name: 'Brindle',
    executable: 'brindle',
    class: 'Brindle',
    title: 'Brindle — heron_wing_left',
  },
  {
    id: 'larkframe',
    name: 'Larkframe',
    executable: 'larkframe',
    class: 'Larkframe',
    title: 'Larkframe — heron_shot_04',
  },
];

/** How far one press of a volume key goes, in points of 100. Common practice, no source. */
const VOLUME_STEP = 2;

export interface DeskState {
  /** From the back to the front. */
  readonly order: readonly string[];
  /** The window in front, or null when the person clicked on the bare desk. */
  readonly active: string | null;
  readonly volume: number;
  readonly muted: boolean;
}

const initialState: DeskState = {
  order: DESK_WINDOWS.map(({ id }) => id),
  active: DESK_WINDOWS.at(-1)?.id ?? null,
  volume: 40,
  muted: false,
};

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    windowRaised: (state, { payload }: PayloadAction<string | null>) => {
      state.active = payload;
      if (payload !== null) state.order = [...state.order.filter((id) => id !== payload), payload];
    },
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

export const { windowRaised, volumeKey } = slice.actions;
export const deskReducer = slice.reducer;
