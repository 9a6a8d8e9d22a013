import type { Device } from '@nimble-lever/core/devices';
import { createSlice, type PayloadAction, type WithSlice } from '@reduxjs/toolkit';
import { rootReducer } from '../../app/store.ts';

/** What the simulated devices are like now: which are unplugged, and how full batteries are. */
export interface SimulatedDevices {
  readonly unplugged: readonly string[];
  /** Percent, by device; one that is not named is at its start. */
  readonly charges: Readonly<Record<string, number>>;
}

/** Every device is plugged in, with the same charge. */
const initialState: SimulatedDevices = { unplugged: [], charges: {} };
/** Percent: well above every warning. */
const FIRST_CHARGE = 82;

const slice = createSlice({
  name: 'simulated',
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
/** The simulated devices' part of the store. */
export const simulatedReducer = slice.reducer;

declare module '../../app/store.ts' {
  interface LazyLoadedSlices extends WithSlice<typeof slice> {}
}

/** The simulated devices. */
export const { selectSlice: selectSimulated } = slice.injectInto(rootReducer);

/** A simulated device now. */
export interface SimulatedDevice {
  readonly plugged: boolean;
  /** Percent; null for a device on a cable. */
  readonly charge: number | null;
  readonly low: boolean;
}

/** How a device is now. */
export function simulatedDevice(devices: SimulatedDevices, device: Device): SimulatedDevice {
  const charge = device.battery ? (devices.charges[device.id] ?? FIRST_CHARGE) : null;
  return {
    plugged: !devices.unplugged.includes(device.id),
    charge,
    low: charge !== null && charge <= device.settings.batteryWarning,
  };
}
