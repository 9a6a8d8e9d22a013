import { type Control, controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';
import { keyGrid } from './keyGrid.ts';

/** A fader, whose value is told from 0 to 1 whatever its length. */
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
  return deviceOf({
    id,
    name,
    kind: 'touch-panel',
    width: 248,
    height: 142,
    body: [{ kind: 'rect', x: 1, y: 1, width: 246, height: 140, radius: 8 }],
    controls: [
      ...keyGrid('cell', { count: 12, columns: 4, left: 8, top: 8, size: 38, pitch: 44 }),
      ...Array.from({ length: 2 }, (_, index) => faderAt(index)),
    ],
  });
}
