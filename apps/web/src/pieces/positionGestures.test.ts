import { CATALOGUE, type Control } from '@nimble-lever/core/devices';
import { isPlaced, placeAt, placeByKey } from './positionGestures.ts';

const controls = CATALOGUE.flatMap((device) => device.controls);
const find = (test: (control: Control) => boolean): Control => {
  const found = controls.find(test);
  if (!found) throw new Error('no such control');
  return found;
};
const ring = find(({ spring }) => spring !== null);
const fader = find(({ slider }) => slider !== null);
const box = (left: number, top: number, width: number, height: number) =>
  ({ getBoundingClientRect: () => ({ left, top, width, height }) }) as Element;

test('rings and sliders are placed; what is pressed or turned is not', () => {
  expect([isPlaced(ring), isPlaced(fader), isPlaced(find(({ kind }) => kind === 'key'))]).toEqual([
    true,
    true,
    false,
  ]);
});

test.each([
  [box(0, 0, 10, 100), { x: 5, y: 0 }, 1],
  [box(0, 0, 10, 100), { x: 5, y: 75 }, 0.25],
  [box(0, 0, 10, 100), { x: 5, y: 400 }, 0],
  [box(0, 0, 100, 10), { x: 75, y: 5 }, 0.75],
])('a slider stands where the pointer is, from below or from the left: case %#', (element, to, value) => {
  expect(placeAt(fader, element, to, to)).toBe(value);
});

test.each([
  [0, 0],
  [15, 1],
  [45, 3],
  [-45, -3],
  [170, 7],
])('a spring ring dragged round by %s° is at %s', (degrees, position) => {
  const centre = 50;
  const at = (angle: number) => ({
    x: centre + 40 * Math.cos((angle * Math.PI) / 180),
    y: centre + 40 * Math.sin((angle * Math.PI) / 180),
  });
  expect(placeAt(ring, box(0, 0, 100, 100), at(0), at(degrees))).toBe(position);
});

test.each([
  [ring, 6, 'ArrowUp', 7],
  [ring, 7, 'ArrowUp', 7],
  [ring, 0, 'ArrowDown', -1],
  [ring, 0, 'Enter', null],
  [fader, 0.5, 'ArrowUp', 0.55],
  [fader, 0, 'ArrowDown', 0],
] as const)('by key: case %#', (control, from, key, to) => {
  expect(placeByKey(control, from, key)).toBe(to);
});
