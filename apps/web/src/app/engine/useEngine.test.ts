import { compile, INITIAL_STATE, step } from '@nimble-lever/core/engine';
import { demoSetup } from '@nimble-lever/core/setup';
import { sameButForSlides } from './useEngine.ts';

test('a slider on its way leaves the rest of the state as it was; a press does not', () => {
  const compiled = compile(demoSetup());
  const at = { device: 'wall-panel', control: 'fader-1' };
  const one = step(compiled, INITIAL_STATE, { kind: 'position', t: 1, ...at, value: 0.1 }).state;
  const two = step(compiled, one, { kind: 'position', t: 9, ...at, value: 0.2 }).state;
  expect(two).not.toBe(one);
  expect(sameButForSlides(one, two)).toBe(true);
  const three = step(compiled, two, { kind: 'down', t: 20, device: 'twelve-pad', control: 'key-1' }).state;
  expect(sameButForSlides(two, three)).toBe(false);
});
