import { controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';
import { keyGrid } from './keyGrid.ts';

/** A dial in detents above four keys, for one hand. */
export function keyDial(id: string, name = 'Key dial'): Device {
  return deviceOf({
    id,
    name,
    kind: 'dial',
    width: 92,
    height: 104,
    body: [{ kind: 'rect', x: 1, y: 1, width: 90, height: 102, radius: 12 }],
    controls: [
      controlOf({
        id: 'dial',
        name: 'Dial',
        kind: 'dial',
        shape: { kind: 'circle', cx: 46, cy: 40, r: 32 },
        cap: { kind: 'circle', cx: 46, cy: 40, r: 20 },
        canPress: true,
        rotor: { kind: 'detented', detentDegrees: 15, speedUp: null },
      }),
      ...keyGrid('key', { count: 4, columns: 4, left: 8, top: 79, size: 16, pitch: 20 }),
    ],
    battery: true,
    memory: { slots: 2, slotBytes: 64 },
  });
}
