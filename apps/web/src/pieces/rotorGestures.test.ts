import fc from 'fast-check';
import { angleBetween, wheelTurn } from './rotorGestures.ts';

const centre = { x: 100, y: 100 };
const at = (degrees: number, radius: number) => {
  const angle = (degrees * Math.PI) / 180;
  return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
};

test('the angle turned does not depend on the distance from the centre, and clockwise is positive', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 359 }),
      fc.integer({ min: -179, max: 179 }),
      fc.integer({ min: 5, max: 90 }),
      fc.integer({ min: 5, max: 90 }),
      (start, turned, near, far) => {
        expect(angleBetween(centre, at(start, near), at(start + turned, far))).toBeCloseTo(turned, 6);
      },
    ),
  );
});

test('a drawn wheel follows the finger; a dial turns clockwise as the wheel comes nearer', () => {
  expect([
    wheelTurn({ deltaY: -100 }, true),
    wheelTurn({ deltaY: 100 }, false),
    wheelTurn({ deltaY: 0 }, true),
  ]).toEqual([1, 1, 0]);
});
