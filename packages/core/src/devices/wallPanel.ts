import { type Control, controlOf } from './control.ts';
import { type Device, USUAL_SETTINGS } from './device.ts';

const PITCH = 44;

const cellAt = (index: number): Control =>
  controlOf({
    id: `cell-${index + 1}`,
    name: `Cell ${index + 1}`,
    kind: 'cell',
    shape: {
      kind: 'rect',
      x: 8 + (index % 4) * PITCH,
      y: 8 + Math.floor(index / 4) * PITCH,
      width: 38,
      height: 38,
      radius: 6,
    },
    canPress: true,
  });

const faderAt = (index: number): Control =>
  controlOf({
    id: `fader-${index + 1}`,
    name: `Fader ${index + 1}`,
    kind: 'slider',
    shape: { kind: 'rect', x: 188 + index * 30, y: 8, width: 22, height: 126, radius: 6 },
    canPress: false,
    slider: { thresholds: [0.25, 0.5, 0.75] },
  });

/** A touch panel with twelve cells and two faders. */
export function wallPanel(id: string, name = 'Wall panel'): Device {
  return {
    id,
    name,
    kind: 'touch-panel',
    width: 248,
    height: 142,
    body: [{ kind: 'rect', x: 1, y: 1, width: 246, height: 140, radius: 8 }],
    controls: [
      ...Array.from({ length: 12 }, (_, index) => cellAt(index)),
      ...Array.from({ length: 2 }, (_, index) => faderAt(index)),
    ],
    settings: USUAL_SETTINGS,
    descriptor: null,
  };
}
