import { type Control, controlOf } from './control.ts';
import { type Device, USUAL_SETTINGS } from './device.ts';

const KEY = 21;
const PITCH = 25;
const MARGIN = 7;

const keyAt = (index: number): Control =>
  controlOf({
    id: `key-${index + 1}`,
    name: `Key ${index + 1}`,
    kind: 'key',
    shape: {
      kind: 'rect',
      x: MARGIN + (index % 4) * PITCH,
      y: MARGIN + Math.floor(index / 4) * PITCH,
      width: KEY,
      height: KEY,
      radius: 4,
    },
    canPress: true,
  });

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
  return {
    id,
    name,
    kind: 'key-pad',
    width: 142,
    height: 86,
    body: [{ kind: 'rect', x: 1, y: 1, width: 140, height: 84, radius: 9 }],
    controls: [
      ...Array.from({ length: 12 }, (_, index) => keyAt(index)),
      knobAt('upper-knob', 'Upper knob', 25),
      knobAt('lower-knob', 'Lower knob', 60),
    ],
    settings: USUAL_SETTINGS,
    descriptor: null,
  };
}
