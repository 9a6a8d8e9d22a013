import fc from 'fast-check';
import { CAPITALS, fitLabel, leastCapitals } from './fitLabel.ts';

test.each([
  // ISO 9241-303: 16 minutes of arc are 2.3 mm at 50 cm, which handbooks give as distance / 215.
  [500, 2.33],
  [600, 2.79],
  [1000, 4.65],
])('from %i mm capitals must be %d mm high', (distance, least) => {
  expect(leastCapitals(distance)).toBeCloseTo(least, 2);
  expect(leastCapitals(distance)).toBeCloseTo(distance / 215, 1);
});

test.each([
  ['Guides', 19, 19, ['Guides'], true],
  ['Next set', 19, 19, ['Next', 'set'], true],
  ['Take the frame', 40, 12, ['Take the', 'frame'], true],
  ['Take the frame', 40, 6, ['Take the frame'], true],
  ['Take the frame again and again', 19, 9, null, false],
  ['Unforgettableness', 12, 12, ['Unforgettableness'], false],
])('%s in %i × %i mm', (text, width, height, lines, readable) => {
  const fitted = fitLabel(text, width, height, 500);
  if (lines) expect(fitted.lines).toEqual(lines);
  expect(fitted.isReadable).toBe(readable);
});

test('what is set fits its room, keeps every word, and is larger in a larger room', () => {
  const word = fc.stringMatching(/^[A-Za-z]{1,9}$/);
  const room = fc.integer({ min: 12, max: 80 });
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 4 }), room, room, (words, width, height) => {
      const text = words.join(' ');
      const fitted = fitLabel(text, width, height, 500);
      expect(fitted.lines.join(' ')).toBe(text);
      if (fitted.size > 1.1)
        expect(fitted.lines.length * fitted.size * 1.12).toBeLessThanOrEqual(height + 1e-6);
      expect(fitLabel(text, width * 2, height * 2, 500).size).toBeGreaterThanOrEqual(fitted.size);
      expect(fitted.isReadable).toBe(fitted.size * CAPITALS >= leastCapitals(500));
    }),
  );
});
