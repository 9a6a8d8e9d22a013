import fc from 'fast-check';
import { freeId } from './freeId.ts';
import { idSchema } from './names.ts';

test.each([
  ['Brass knob', [], 'brass-knob'],
  ['  Crème № 5!', [], 'creme-5'],
  ['Brass knob', ['brass-knob', 'brass-knob-2'], 'brass-knob-3'],
  ['ダイヤル', [], 'device'],
  ['Constructor', ['device'], 'device-2'],
])('“%s” beside %j becomes %s', (name, taken, expected) => {
  expect(freeId(name, new Set(taken), 'device')).toBe(expected);
});

test('any name gives an id that is one, and free', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 80 }), (name) => {
      const first = freeId(name, new Set(), 'device');
      const second = freeId(name, new Set([first]), 'device');
      expect(idSchema.safeParse(first).success && idSchema.safeParse(second).success).toBe(true);
      expect(second).not.toBe(first);
    }),
  );
});
