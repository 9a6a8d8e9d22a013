import { type Control, controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';
import { USUAL_SETTINGS } from './settings.ts';

/** A key at the side of the tablet, by its place from the top. */
const sideKey = (index: number): Control =>
  controlOf({
    id: `side-${index + 1}`,
    name: `Side key ${index + 1}`,
    kind: 'key',
    shape: {
      kind: 'rect',
      x: 8,
      y: [14, 30, 92, 108, 124, 140][index] ?? 14,
      width: 24,
      height: 12,
      radius: 3,
    },
    canPress: true,
  });

/** A switch on the pen. It does by itself what the mouse's button of that number does. */
const penSwitch = (id: string, name: string, y: number, button: number): Control =>
  controlOf({
    id,
    name,
    kind: 'pen-switch',
    shape: { kind: 'rect', x: 268, y, width: 10, height: 22, radius: 5 },
    canPress: true,
    native: { press: { kind: 'button', button } },
  });

/** A pen tablet with six side keys, a touch ring and a strip, and its pen with a tip and two switches. */
export function penTablet(id: string, name = 'Pen tablet'): Device {
  return deviceOf({
    id,
    name,
    kind: 'pen-tablet',
    width: 288,
    height: 168,
    body: [
      { kind: 'rect', x: 1, y: 1, width: 250, height: 166, radius: 10 },
      { kind: 'rect', x: 54, y: 14, width: 188, height: 140, radius: 2 },
      { kind: 'path', d: 'M266 20 H280 V128 L273 150 L266 128 Z' },
    ],
    controls: [
      ...Array.from({ length: 6 }, (_, index) => sideKey(index)),
      controlOf({
        id: 'ring',
        name: 'Ring',
        kind: 'ring',
        shape: { kind: 'circle', cx: 20, cy: 66, r: 17 },
        cap: { kind: 'circle', cx: 20, cy: 66, r: 8 },
        canPress: true,
        rotor: { kind: 'continuous', stepDegrees: 15, speedUp: null },
      }),
      controlOf({
        id: 'strip',
        name: 'Strip',
        kind: 'slider',
        shape: { kind: 'rect', x: 39, y: 14, width: 9, height: 140, radius: 4 },
        canPress: false,
        slider: { thresholds: [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9] },
      }),
      controlOf({
        id: 'tip',
        name: 'Pen tip',
        kind: 'pen-tip',
        shape: { kind: 'path', d: 'M266 128 H280 L273 150 Z' },
        canPress: true,
        native: { press: { kind: 'button', button: 0 } },
      }),
      controlOf({
        id: 'eraser',
        name: 'Eraser',
        kind: 'pen-tip',
        shape: { kind: 'rect', x: 268, y: 22, width: 10, height: 16, radius: 5 },
        canPress: true,
        native: { press: { kind: 'button', button: 5 } },
      }),
      penSwitch('upper-switch', 'Upper switch', 62, 1),
      penSwitch('lower-switch', 'Lower switch', 92, 2),
    ],
    settings: { ...USUAL_SETTINGS, pointerSpeeds: [1, 0.5] },
  });
}
