import { type Control, controlOf, USUAL_RATES } from './control.ts';
import { type Device, deviceOf } from './device.ts';

/** One of the keys above the ring. */
const keyAt = (index: number): Control =>
  controlOf({
    id: `key-${index + 1}`,
    name: `Key ${index + 1}`,
    kind: 'key',
    shape:
      index < 4
        ? { kind: 'rect', x: 10 + index * 24, y: 9, width: 20, height: 14, radius: 4 }
        : { kind: 'rect', x: 10 + (index - 4) * 19.5, y: 118, width: 16, height: 14, radius: 4 },
    canPress: true,
  });

/** A spring ring with seven positions each way round a free jog wheel, and nine keys. */
export function shuttle(id: string, name = 'Shuttle'): Device {
  return deviceOf({
    id,
    name,
    kind: 'shuttle',
    width: 112,
    height: 140,
    body: [{ kind: 'rect', x: 1, y: 1, width: 110, height: 138, radius: 14 }],
    controls: [
      controlOf({
        id: 'ring',
        name: 'Shuttle ring',
        kind: 'shuttle',
        shape: { kind: 'circle', cx: 56, cy: 70, r: 42 },
        canPress: false,
        spring: { rates: [...USUAL_RATES] },
      }),
      controlOf({
        id: 'jog',
        name: 'Jog',
        kind: 'jog',
        shape: { kind: 'circle', cx: 56, cy: 70, r: 25 },
        canPress: false,
        rotor: { kind: 'detented', detentDegrees: 36, speedUp: null },
      }),
      ...Array.from({ length: 9 }, (_, index) => keyAt(index)),
    ],
  });
}
