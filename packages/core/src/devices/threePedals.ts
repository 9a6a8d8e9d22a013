import { controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';

/** Pedals from left to right; the middle one lies higher, for the ball of the foot. */
const PEDALS = [
  ['left', 'Left pedal', 4, 26],
  ['middle', 'Middle pedal', 74, 14],
  ['right', 'Right pedal', 144, 26],
] as const;

/** Three pedals side by side. */
export function threePedals(id: string, name = 'Three pedals'): Device {
  return deviceOf({
    id,
    name,
    kind: 'pedals',
    width: 208,
    height: 120,
    body: [{ kind: 'rect', x: 1, y: 84, width: 206, height: 32, radius: 8 }],
    controls: PEDALS.map(([own, called, x, y]) =>
      controlOf({
        id: own,
        name: called,
        kind: 'pedal',
        shape: { kind: 'rect', x, y, width: 60, height: 112 - y, radius: 8 },
        canPress: true,
      }),
    ),
  });
}
