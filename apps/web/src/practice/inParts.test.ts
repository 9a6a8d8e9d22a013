import fc from 'fast-check';
import { inParts } from './inParts.ts';

/** The frames asked for, to be drawn at once. */
const frames: (() => void)[] = [];
beforeAll(() => {
  Object.assign(globalThis, { requestAnimationFrame: (draw: () => void) => frames.push(draw) });
});

test('parts add up to the whole, go one way, and the first comes at once', () => {
  fc.assert(
    fc.property(fc.integer({ min: -2000, max: 2000 }), (amount) => {
      const parts: number[] = [];
      inParts(amount, (part) => parts.push(part));
      expect(parts.length).toBe(Math.abs(amount) < 3 ? parts.length : 1);
      for (let draw = frames.shift(); draw; draw = frames.shift()) draw();
      expect(parts.reduce((sum, part) => sum + part, 0)).toBe(amount);
      expect(parts.every((part) => Math.sign(part) === Math.sign(amount))).toBe(true);
      if (Math.abs(amount) >= 100) expect(parts.length).toBe(8);
    }),
  );
});
