import type { Stroke } from '../engine/index.ts';
import { SWAPPED } from '../testing/index.ts';
import { cameUpOf, sentOf } from './sent.ts';

/** `+KeyA -KeyA ~1 (0` as strokes. */
const strokes = (text: string): Stroke[] =>
  text
    .split(' ')
    .filter(Boolean)
    .map((part): Stroke => {
      const [sign, rest] = [part[0], part.slice(1)];
      const common = { t: 0, cause: 1, device: 'pad' };
      if (sign === '~') return { ...common, kind: 'wheel', ticks: Number(rest), axis: 'vertical' };
      if (sign === '(' || sign === ')') {
        return { ...common, kind: sign === '(' ? 'button-down' : 'button-up', button: Number(rest) };
      }
      return { ...common, kind: sign === '+' ? 'key-down' : 'key-up', code: rest };
    });

test.each([
  ['', []],
  ['+ControlLeft +KeyZ -KeyZ -ControlLeft', ['Ctrl+Z']],
  ['+KeyA -KeyA +KeyA -KeyA +KeyB', ['A×2', 'B']],
  ['+ShiftLeft', ['Shift']],
  ['-ShiftLeft', []],
  ['~-1 ~-1 ~1', ['Wheel ↓×2', 'Wheel ↑']],
  ['(0 )0', ['Left click']],
  ['+KeyA +KeyB', ['A+B']],
])('%s reads as %j', (text, expected) => {
  expect(
    sentOf(strokes(text)).map(({ text: sent, count }) => (count > 1 ? `${sent}×${count}` : sent)),
  ).toEqual(expected);
});

test.each([
  ['-KeyZ -ControlLeft', ['Ctrl+Z']],
  ['+ControlLeft +KeyZ -KeyZ -ControlLeft', []],
  ['+KeyA -KeyA -ShiftLeft', ['Shift']],
  [')2', ['Right click']],
  ['', []],
])('of %s what comes up without having gone down is %j', (text, expected) => {
  expect(cameUpOf(strokes(text)).map(({ text: up }) => up)).toEqual(expected);
});

test('keys are called what the program reads: by the layout, or by places', () => {
  const pressed = strokes('+ControlLeft +KeyZ -KeyZ -ControlLeft');
  expect(sentOf(pressed).map(({ text }) => text)).toEqual(['Ctrl+Z']);
  expect(sentOf(pressed, SWAPPED).map(({ text }) => text)).toEqual(['Ctrl+Y']);
  expect(sentOf(pressed, SWAPPED, 'place').map(({ text }) => text)).toEqual(['Ctrl+Z']);
});
