import type { Device } from './device.ts';

/** How far a device is from the eye as a rule: millimetres. Common practice, no source. */
const DISTANCES = {
  mouse: 500,
  'pen-tablet': 450,
  dial: 500,
  shuttle: 500,
  'key-pad': 500,
  pedals: 900,
  'touch-panel': 600,
  voice: 500,
} as const satisfies Record<Device['kind'], number>;

/** From how far what is on a device's controls is read: millimetres. */
export function readingDistance({ kind, panel }: Pick<Device, 'kind' | 'panel'>): number {
  return panel?.distance ?? DISTANCES[kind];
}
