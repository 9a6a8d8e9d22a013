import { type Device, deviceOf } from './device.ts';
import { mouseButton, pointerButton, scrollWheel } from './mouseParts.ts';
import { USUAL_SETTINGS } from './settings.ts';
import type { Shape } from './shape.ts';

/** A mouse with seven controls: left, right, wheel press, wheel up and down, two thumb buttons. */
export function pocketMouse(id: string, name = 'Pocket mouse'): Device {
  const path = (d: string): Shape => ({ kind: 'path', d });
  const thumb = (y: number): Shape => ({ kind: 'rect', x: 3, y, width: 12, height: 17, radius: 4 });
  return deviceOf({
    id,
    name,
    kind: 'mouse',
    width: 72,
    height: 106,
    body: [{ kind: 'rect', x: 10, y: 1, width: 60, height: 104, radius: 30 }],
    controls: [
      mouseButton('left', 'Left', path('M40 1 A30 30 0 0 0 10 31 V46 H40 Z'), pointerButton(0)),
      mouseButton('right', 'Right', path('M40 1 A30 30 0 0 1 70 31 V46 H40 Z'), pointerButton(2)),
      scrollWheel({ kind: 'rect', x: 35, y: 13, width: 10, height: 22, radius: 5 }),
      mouseButton('thumb-front', 'Thumb, front', thumb(36), pointerButton(4)),
      mouseButton('thumb-rear', 'Thumb, rear', thumb(55), pointerButton(3)),
    ],
    settings: { ...USUAL_SETTINGS, pointerSpeeds: [1, 0.5, 2], reportRate: 500 },
    battery: true,
  });
}
