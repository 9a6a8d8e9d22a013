import type { Control, Device, DeviceSettings } from '@nimble-lever/core/devices';
import { asItCame, changesOf, itemAt } from '@nimble-lever/core/setup';
import { makeEdits } from '../../app/setup/edits.ts';
import { useAppDispatch } from '../../app/store.ts';

/** The edits of a device, and how it came. */
export function useDeviceEdits(device: Device) {
  const dispatch = useAppDispatch();
  // Only the fields that differ are sent: two people can tune the same device at once.
  const change = (next: Device) => dispatch(makeEdits(changesOf(itemAt.device(device.id), device, next)));
  return {
    change,
    came: asItCame(device),
    set: (settings: Partial<DeviceSettings>) =>
      change({ ...device, settings: { ...device.settings, ...settings } }),
    setControl: (next: Control) =>
      change({
        ...device,
        controls: device.controls.map((control) => (control.id === next.id ? next : control)),
      }),
    removeControl: (id: string) =>
      change({ ...device, controls: device.controls.filter((control) => control.id !== id) }),
  };
}

/** The edits of a device, as its parts are given them. */
export type DeviceEdits = ReturnType<typeof useDeviceEdits>;
