import fc from 'fast-check';
import { type FeltPress, suggestTimes } from './suggestTimes.ts';

const press = (down: number, length: number, distance = 0): FeltPress => ({
  down,
  up: down + length,
  distance,
});

test.each([
  [[press(0, 100), press(1000, 100)], { holdMs: null, doubleMs: null, nudgeDistance: null }],
  [
    [press(0, 100, 3), press(1000, 140, 5), press(2000, 120, 4)],
    { holdMs: 210, doubleMs: null, nudgeDistance: 10 },
  ],
  // Two pairs with pauses of 150 and 210 ms: 210 · 4/3 = 280.
  [[press(0, 90), press(240, 90), press(2000, 90), press(2300, 90)], { holdMs: 140, doubleMs: 280 }],
  // A long press was a hold and tells nothing of short ones.
  [[press(0, 100), press(1000, 900), press(3000, 100), press(4500, 100)], { holdMs: 150 }],
])('case %#', (presses, expected) => {
  expect(suggestTimes(presses)).toMatchObject(expected);
});

test('what is suggested lets every short press that was felt be a press', () => {
  const arbitrary = fc.array(
    fc.record({ length: fc.integer({ min: 20, max: 440 }), pause: fc.integer({ min: 1, max: 3000 }) }),
    {
      minLength: 3,
      maxLength: 20,
    },
  );
  fc.assert(
    fc.property(arbitrary, (felt) => {
      let t = 0;
      const presses = felt.map(({ length, pause }) => {
        const one = press(t, length);
        t = one.up + pause;
        return one;
      });
      const { holdMs } = suggestTimes(presses);
      expect(holdMs).toBeGreaterThan(Math.max(...felt.map(({ length }) => length)));
    }),
  );
});
