import { type Control, controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';
import { keyGrid } from './keyGrid.ts';

/** A knob beside the keys: it turns in steps and can be pressed. */
const knobAt = (id: string, name: string, cy: number): Control =>
  controlOf({
    id,
    name,
    kind: 'knob',
    shape: { kind: 'circle', cx: 122, cy, r: 12.5 },
    cap: { kind: 'circle', cx: 122, cy, r: 7.5 },
    canPress: true,
    rotor: { kind: 'detented', detentDegrees: 18, speedUp: null },
  });

/** A pad of twelve keys in three rows, with two knobs that turn in detents and can be pressed. */
export function twelvePad(id: string, name = 'Twelve pad'): Device {
  return deviceOf({
    id,
    name,
    kind: 'key-pad',
    width: 142,
    height: 86,
    body: [{ kind: 'rect', x: 1, y: 1, width: 140, height: 84, radius: 9 }],
    memory: { slots: 3, slotBytes: 96 },
    controls: [
      ...keyGrid('key', { count: 12, columns: 4, left: 7, top: 7, size: 21, pitch: 25 }),
      knobAt('upper-knob', 'Upper knob', 25),
      knobAt('lower-knob', 'Lower knob', 60),
    ],
  });
}
