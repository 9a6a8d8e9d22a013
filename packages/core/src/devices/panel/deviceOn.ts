import type { Device } from '../device.ts';
import { controlsOn } from './controlsOn.ts';

/**
 * A device with only the controls that are there while a page of it shows, for drawings and lists; one that is no panel is
 * itself.
 *
 * @param page null for the device's own
 */
export function deviceOn(device: Device, page: string | null): Device {
  return device.panel ? { ...device, controls: [...controlsOn(device, page)] } : device;
}
