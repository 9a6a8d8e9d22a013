import { smallSetup } from '../testing/index.ts';
import { checkMacros } from './checkMacros.ts';
import { findFaults } from './findFaults.ts';
import type { Macro } from './macro.ts';
import { type BareStep, numberSteps } from './numbered.ts';

const macro = (id: string, ...steps: readonly BareStep[]): Macro => ({
  ...(smallSetup().macros[0] as Macro),
  id,
  name: id,
  steps: numberSteps(steps),
});
const runs = (id: string): BareStep => ({ kind: 'macro', macro: id });
const setupWith = (...macros: readonly Macro[]) => ({ ...smallSetup(), macros: [...macros] });

test('macros that each run the one before twice are counted once each, however many paths there are', () => {
  // Walking every path would take two to the power of sixty steps, and never end.
  const chain = Array.from({ length: 60 }, (_, i) =>
    i === 0 ? macro('m0') : macro(`m${i}`, runs(`m${i - 1}`), runs(`m${i - 1}`)),
  );
  expect(checkMacros(setupWith(...chain))).toEqual([]);
});

test('circles and too many steps are found wherever they are', () => {
  const found = checkMacros(
    setupWith(
      macro('alone', runs('alone')),
      macro('first', runs('second')),
      macro('second', runs('first')),
      macro(
        'long',
        { kind: 'repeat', times: 10_000, steps: numberSteps([{ kind: 'wait', ms: 1 }]) },
        runs('short'),
      ),
      macro('short', { kind: 'wait', ms: 1 }),
    ),
  );
  expect(found.map((each) => [each.code, 'macro' in each && each.macro])).toEqual([
    ['macro-circle', 'alone'],
    ['macro-circle', 'first'],
    ['macro-circle', 'second'],
    ['macro-too-long', 'long'],
  ]);
});

test('a step that names what is not there is told by its own place, inside repeats too', () => {
  const inside = numberSteps([{ kind: 'wait', ms: 1 }, runs('gone')]);
  const faults = findFaults(
    setupWith(macro('plain'), macro('outer', { kind: 'repeat', times: 2, steps: inside })),
  );
  expect(faults).toContainEqual({
    at: ['macros', 1, 'steps', 0, 'steps', 1],
    refusal: { code: 'unknown-macro', macro: 'gone' },
  });
});
