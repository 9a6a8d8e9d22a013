import { controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';
import { mouseButton, pointerButton, scrollWheel } from './mouseParts.ts';
import { USUAL_SETTINGS } from './settings.ts';
import type { Shape } from './shape.ts';

/** Wheels that tilt send a horizontal tick, as mice with such a wheel do (HID Usage Tables, AC Pan). */
const sideways = (ticks: number) => ({ kind: 'wheel', ticks, axis: 'horizontal' }) as const;

/** A large mouse: a wheel that tilts, a second wheel under the thumb, three thumb buttons. */
export function deskMouse(id: string, name = 'Desk mouse'): Device {
  const path = (d: string): Shape => ({ kind: 'path', d });
  const thumb = (y: number): Shape => ({ kind: 'rect', x: 4, y, width: 13, height: 15, radius: 4 });
  const tilt = (x: number): Shape => ({ kind: 'rect', x, y: 20, width: 8, height: 14, radius: 3 });
  return deviceOf({
    id,
    name,
    kind: 'mouse',
    width: 86,
    height: 126,
    body: [{ kind: 'rect', x: 12, y: 1, width: 72, height: 124, radius: 34 }],
    controls: [
      mouseButton('left', 'Left', path('M48 1 A35 34 0 0 0 13 35 V54 H48 Z'), pointerButton(0)),
      mouseButton('right', 'Right', path('M48 1 A35 34 0 0 1 83 35 V54 H48 Z'), pointerButton(2)),
      scrollWheel({ kind: 'rect', x: 42, y: 15, width: 12, height: 24, radius: 6 }),
      mouseButton('tilt-left', 'Tilt left', tilt(31), sideways(-1)),
      mouseButton('tilt-right', 'Tilt right', tilt(57), sideways(1)),
      mouseButton('thumb-front', 'Thumb, front', thumb(34), pointerButton(4)),
      mouseButton('thumb-rear', 'Thumb, rear', thumb(51), pointerButton(3)),
      mouseButton('thumb-low', 'Thumb, low', thumb(68), null),
      controlOf({
        id: 'thumb-wheel',
        name: 'Thumb wheel',
        kind: 'wheel',
        shape: { kind: 'rect', x: 3, y: 87, width: 15, height: 24, radius: 6 },
        canPress: false,
        rotor: { kind: 'detented', detentDegrees: 12, speedUp: null },
        native: { clockwise: sideways(1), anticlockwise: sideways(-1) },
      }),
    ],
    settings: {
      ...USUAL_SETTINGS,
      pointerSpeeds: [1, 0.5, 2],
      reportRate: 1000,
      computers: ['This computer'],
    },
    battery: true,
    memory: { slots: 2, slotBytes: 64 },
  });
}
