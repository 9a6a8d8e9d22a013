import { letterOf } from './letterOf.ts';

test.each([
  ['United States', 'z', 'KeyZ', 'z'],
  ['with Shift', 'Z', 'KeyZ', 'z'],
  ['German: Z and Y have changed places', 'z', 'KeyY', 'z'],
  ['German: the Y', 'y', 'KeyZ', 'y'],
  ['French: Z is where W was', 'z', 'KeyW', 'z'],
  ['Hebrew: no Latin letter', 'ז', 'KeyZ', 'z'],
  ['Greek', 'Ζ', 'KeyZ', 'z'],
  ['Dvorak: a sign where Z was', ';', 'KeyZ', null],
  ['an arrow', 'ArrowUp', 'ArrowUp', null],
  ['a dead key', 'Dead', 'KeyA', 'a'],
])('%s', (_what, key, code, letter) => {
  expect(letterOf({ key, code })).toBe(letter);
});
