import fc from 'fast-check';
import { coastedDegrees, coastingLasts, speedAtRelease } from './coasting.ts';

test('a flicked wheel slows down as a damped rotor does', () => {
  // By hand, ω₀ = 720°/s and τ = 500 ms: all in all 360°, after τ 360° (1 − 1/e), standing after 500 ln(720 / 12) ms.
  const flick = { speed: 720, coastMs: 500 };
  expect(coastedDegrees(flick, 500)).toBeCloseTo(360 * (1 - 1 / Math.E), 9);
  expect(coastingLasts(flick)).toBeCloseTo(2047.17, 2);
  expect(coastedDegrees(flick, 60_000)).toBeCloseTo(360 - 6, 9);
  expect(coastedDegrees({ ...flick, speed: -720 }, 500)).toBeCloseTo(-360 * (1 - 1 / Math.E), 9);
});

test('it never turns back, stops in the end, and does not go on where it may not', () => {
  const flick = fc.record({
    speed: fc.double({ min: -20_000, max: 20_000, noNaN: true }),
    coastMs: fc.integer({ min: 0, max: 5000 }),
  });
  const ms = fc.double({ min: 0, max: 60_000, noNaN: true });
  fc.assert(
    fc.property(flick, ms, ms, (coasting, a, b) => {
      const [early, late] = [Math.min(a, b), Math.max(a, b)];
      const way = Math.abs(coastedDegrees(coasting, late)) - Math.abs(coastedDegrees(coasting, early));
      expect(way).toBeGreaterThanOrEqual(-1e-9);
      const lasts = coastingLasts(coasting);
      const end = coastedDegrees(coasting, lasts);
      expect(coastedDegrees(coasting, lasts + late)).toBe(end);
      expect(Math.abs(end)).toBeLessThanOrEqual((Math.abs(coasting.speed) * coasting.coastMs) / 1000);
      if (coasting.coastMs === 0 || Math.abs(coasting.speed) <= 12) expect(Math.abs(end)).toBe(0);
    }),
  );
});

test.each([
  ['nothing was turned', [], 100, 0],
  ['one turn tells no speed', [[90, 15]], 100, 0],
  [
    'the hand rested before it let go',
    [
      [0, 30],
      [10, 30],
    ],
    200,
    0,
  ],
  // 30° in the 30 ms after the first turn.
  [
    'two turns',
    [
      [70, 15],
      [90, 30],
    ],
    100,
    1000,
  ],
  [
    'all at the same moment',
    [
      [100, 15],
      [100, 90],
    ],
    100,
    3000,
  ],
  [
    'backwards',
    [
      [70, -15],
      [90, -30],
    ],
    100,
    -1000,
  ],
] as const)('how fast it was let go: %s', (_name, turns, now, speed) => {
  expect(
    speedAtRelease(
      turns.map(([t, degrees]) => ({ t, degrees })),
      now,
    ),
  ).toBeCloseTo(speed, 9);
});
