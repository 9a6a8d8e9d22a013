import fc from 'fast-check';
import { DEVICE_KINDS } from './device.ts';
import {
  CATALOGUE,
  controlOf,
  deviceSchema,
  fromCatalogue,
  pointerGain,
  tunedControl,
  turnFactor,
} from './index.ts';
import { mirrored } from './mirrored.ts';
import { USUAL_SETTINGS } from './settings.ts';
import type { Shape } from './shape.ts';

test('the catalogue has every kind of device, two mice and a left-handed tablet, and all of them are sound', () => {
  expect(new Set(CATALOGUE.map(({ kind }) => kind))).toEqual(new Set(DEVICE_KINDS));
  expect(CATALOGUE.filter(({ kind }) => kind === 'mouse')).toHaveLength(2);
  expect(CATALOGUE.some(({ name }) => name === 'Left-handed tablet')).toBe(true);
  for (const device of CATALOGUE) expect(deviceSchema.parse(device)).toEqual(device);
  expect(fromCatalogue('toString', 'x')).toBeNull();
});

function extent(shape: Shape): readonly [number, number, number, number] {
  if (shape.kind === 'rect') return [shape.x, shape.y, shape.x + shape.width, shape.y + shape.height];
  if (shape.kind === 'circle') {
    const { cx, cy, r } = shape;
    return [cx - r, cy - r, cx + r, cy + r];
  }
  return [0, 0, 0, 0];
}

test('every control of the catalogue lies on its drawing, none twice at one place', () => {
  for (const { name, width, height, controls } of CATALOGUE) {
    for (const { shape } of controls) {
      const [left, top, right, bottom] = extent(shape);
      expect([name, left >= 0, top >= 0, right <= width, bottom <= height]).toEqual([
        name,
        true,
        true,
        true,
        true,
      ]);
    }
    const places = controls.map(({ shape }) => JSON.stringify(shape));
    expect(new Set(places).size).toBe(controls.length);
  }
});

test('a device mirrored twice is the device', () => {
  for (const device of CATALOGUE) {
    const again = mirrored(mirrored(device));
    const squeezed = (value: unknown) => JSON.stringify(value).replace(/\s*([MLHVAZ])\s*/g, '$1');
    expect(squeezed(again)).toBe(squeezed(device));
  }
});

const wheel = controlOf({
  id: 'wheel',
  name: 'Wheel',
  kind: 'wheel',
  shape: { kind: 'rect', x: 0, y: 0, width: 1, height: 1, radius: 0 },
  canPress: true,
  rotor: { kind: 'detented', detentDegrees: 15, speedUp: null },
  native: { press: { kind: 'button', button: 1 }, clockwise: { kind: 'wheel', ticks: 1, axis: 'vertical' } },
});
const left = controlOf({
  ...wheel,
  kind: 'button',
  rotor: null,
  native: { press: { kind: 'button', button: 0 } },
});

test.each([
  [wheel, {}, wheel],
  [
    wheel,
    { wheel: { lines: 3, free: false, reversed: true, coastMs: 0, smooth: false } },
    { native: { clockwise: { ticks: -3 } } },
  ],
  [
    wheel,
    { wheel: { lines: 1, free: true, reversed: false, coastMs: 0, smooth: false } },
    { rotor: { kind: 'continuous', stepDegrees: 15 } },
  ],
  [wheel, { swapped: true }, { native: { press: { button: 1 } } }],
  [left, { swapped: true }, { native: { press: { button: 2 } } }],
  [
    left,
    { wheel: { lines: 9, free: true, reversed: true, coastMs: 0, smooth: false } },
    { rotor: null, native: { press: { button: 0 } } },
  ],
])('tuning case %#', (control, settings, expected) => {
  expect(tunedControl(control, { ...USUAL_SETTINGS, ...settings })).toMatchObject(expected);
});

test.each([
  [0, 1],
  [100, 1],
  [250, 3],
  [400, 4],
  [9000, 4],
])(
  'a turn at %s° per second counts %s times (worked by hand: 1 + 3 · (v − 100) / 300, rounded)',
  (speed, times) => {
    expect(turnFactor({ max: 4, from: 100, to: 400 }, speed)).toBe(times);
  },
);

test('the pointer goes further the faster the hand, never less than its speed and never more than the most', () => {
  const speeds = fc.double({ min: 0, max: 10_000, noNaN: true });
  fc.assert(
    fc.property(speeds, speeds, fc.double({ min: 0.05, max: 20, noNaN: true }), (a, b, factor) => {
      const curve = { max: 3, from: 50, to: 400 };
      const [slow, fast] = [Math.min(a, b), Math.max(a, b)].map((v) => pointerGain(factor, curve, v));
      expect(slow).toBeGreaterThanOrEqual(factor);
      expect(fast).toBeGreaterThanOrEqual(slow ?? 0);
      expect(fast).toBeLessThanOrEqual(factor * 3 + 1e-9);
      expect(pointerGain(factor, null, a)).toBe(factor);
    }),
  );
});
