import type { Device } from '@nimble-lever/core/devices';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What the simulated devices are like now: which are unplugged, and how full batteries are. */
export interface BenchState {
  readonly unplugged: readonly string[];
  /** Percent, by device; one that is not named is at its start. */
  readonly charges: Readonly<Record<string, number>>;
}

const initialState: BenchState = { unplugged: [], charges: {} };
const FIRST_CHARGE = 82;

const slice = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    plugSet: (state, { payload }: PayloadAction<{ device: string; plugged: boolean }>) => {
      const others = state.unplugged.filter((id) => id !== payload.device);
      state.unplugged = payload.plugged ? others : [...others, payload.device];
    },
    chargeSet: (state, { payload }: PayloadAction<{ device: string; percent: number }>) => {
      state.charges[payload.device] = Math.round(Math.max(0, Math.min(100, payload.percent)));
    },
  },
});

export const { chargeSet, plugSet } = slice.actions;
export const benchReducer = slice.reducer;

export interface BenchDevice {
  readonly plugged: boolean;
  /** Percent; null for a device on a cable. */
  readonly charge: number | null;
  readonly low: boolean;
}

/** How a device is now. */
export function benchDevice(bench: BenchState, device: Device): BenchDevice {
  const charge = device.battery ? (bench.charges[device.id] ?? FIRST_CHARGE) : null;
  return {
    plugged: !bench.unplugged.includes(device.id),
    charge,
    low: charge !== null && charge <= device.settings.batteryWarning,
  };
}
