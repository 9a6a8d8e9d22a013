import fc from 'fast-check';
import { Counted } from '../testing/index.ts';
import { placeForStep } from './sliderSteps.ts';

test.each([
  [[], 0.5],
  [[0.5], 0.25],
  [[0.25, 0.5, 0.75], 0.13],
  [[0.2, 0.8], 0.5],
  [[0.9], 0.45],
])('after %j comes one at %d', (thresholds, place) => {
  expect(placeForStep(thresholds)).toBe(place);
});

test('steps added one after another stay apart until every hundredth is taken', () => {
  let thresholds: readonly number[] = [];
  for (let place = placeForStep(thresholds); place !== null; place = placeForStep(thresholds)) {
    thresholds = [...thresholds, place].toSorted((a, b) => a - b);
    expect(new Set(thresholds).size).toBe(thresholds.length);
  }
  expect(thresholds.length).toBeGreaterThan(60);
});

test('whatever is there, a new one lies within and is none of them', () => {
  const places = fc
    .uniqueArray(fc.double({ min: 0.001, max: 0.999, noNaN: true }), { maxLength: 20 })
    .map((all) => all.toSorted((a, b) => a - b));
  const counted = new Counted();
  fc.assert(
    fc.property(places, (thresholds) => {
      const place = placeForStep(thresholds);
      if (place === null) return counted.leftOut();
      counted.tried();
      expect(place).toBeGreaterThan(0);
      expect(place).toBeLessThan(1);
      expect(thresholds).not.toContain(place);
    }),
  );
  counted.atLeast(0.5);
});
