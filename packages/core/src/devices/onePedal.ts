import { controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';

/** One pedal. */
export function onePedal(id: string, name = 'One pedal'): Device {
  return deviceOf({
    id,
    name,
    kind: 'pedals',
    width: 80,
    height: 116,
    body: [{ kind: 'rect', x: 1, y: 84, width: 78, height: 30, radius: 8 }],
    controls: [
      controlOf({
        id: 'pedal',
        name: 'Pedal',
        kind: 'pedal',
        shape: { kind: 'rect', x: 10, y: 8, width: 60, height: 94, radius: 8 },
        canPress: true,
      }),
    ],
  });
}
