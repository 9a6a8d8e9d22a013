import { type Control, controlOf } from './control.ts';
import { type Device, USUAL_SETTINGS } from './device.ts';
import type { Shape } from './shape.ts';

const button = (id: string, name: string, own: number, shape: Shape): Control =>
  controlOf({
    id,
    name,
    kind: 'button',
    shape,
    canPress: true,
    native: { press: { kind: 'button', button: own } },
  });

/** A mouse with seven controls: left, right, wheel press, wheel up and down, two thumb buttons. */
export function pocketMouse(id: string, name = 'Pocket mouse'): Device {
  return {
    id,
    name,
    kind: 'mouse',
    width: 72,
    height: 106,
    body: [{ kind: 'rect', x: 10, y: 1, width: 60, height: 104, radius: 30 }],
    controls: [
      button('left', 'Left', 0, { kind: 'path', d: 'M40 1 A30 30 0 0 0 10 31 V46 H40 Z' }),
      button('right', 'Right', 2, { kind: 'path', d: 'M40 1 A30 30 0 0 1 70 31 V46 H40 Z' }),
      controlOf({
        id: 'wheel',
        name: 'Wheel',
        kind: 'wheel',
        shape: { kind: 'rect', x: 35, y: 13, width: 10, height: 22, radius: 5 },
        canPress: true,
        rotor: { kind: 'detented', detentDegrees: 15, speedUp: null },
        native: {
          press: { kind: 'button', button: 1 },
          clockwise: { kind: 'wheel', ticks: 1, axis: 'vertical' },
          anticlockwise: { kind: 'wheel', ticks: -1, axis: 'vertical' },
        },
      }),
      button('thumb-front', 'Thumb, front', 4, {
        kind: 'rect',
        x: 3,
        y: 36,
        width: 12,
        height: 17,
        radius: 4,
      }),
      button('thumb-rear', 'Thumb, rear', 3, { kind: 'rect', x: 3, y: 55, width: 12, height: 17, radius: 4 }),
    ],
    settings: { ...USUAL_SETTINGS, pointerSpeeds: [1, 0.5, 2] },
    descriptor: null,
  };
}
