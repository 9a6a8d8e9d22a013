import fc from 'fast-check';
import { type Simulated, simulate } from '../engine/index.ts';
import {
  type BareStep,
  everyStep,
  type Macro,
  type MacroStep,
  newMacro,
  numberSteps,
  type Setup,
} from '../setup/index.ts';
import { arbitraryMacroSteps, bound, events, fuzz, smallSetup } from '../testing/index.ts';
import { estimate, isExact, stepCount } from './estimate.ts';

const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });
const wait = (ms: number): BareStep => ({ kind: 'wait', ms });
const until = (executable: string, atMostMs: number): BareStep => ({
  kind: 'until',
  window: { executable: { match: 'exact', text: executable }, class: null, title: null },
  atMostMs,
  late: 'go-on',
});

function tried(steps: readonly BareStep[], more: Partial<Macro> = {}): { setup: Setup; macro: Macro } {
  const macro = newMacro({ id: 'tried', name: 'Tried', steps: numberSteps(steps), ...more });
  const setup = smallSetup();
  return { macro, setup: { ...setup, macros: [...setup.macros, macro] } };
}
const times = (steps: readonly BareStep[], more: Partial<Macro> = {}, measured?: Map<string, number>) => {
  const { setup, macro } = tried(steps, more);
  const { steps: found, round, total } = estimate(setup, macro, measured);
  const words = ({ least, most, about }: { least: number; most: number; about: number }) =>
    least === most ? `${least}` : `${least}…${about}…${most}`;
  return [
    [...found].map(([id, span]) => `${id} ${words(span)}`).join(', '),
    words(round),
    total && words(total),
  ];
};

test.each<[string, BareStep[], Partial<Macro>, ReturnType<typeof times>]>([
  [
    'waits add up',
    [press('A'), wait(500), press('B'), wait(20)],
    {},
    ['step-1 0, step-2 0, step-3 500, step-4 500', '520', '520'],
  ],
  [
    'a wait for a window is about; what comes after it too',
    [press('A'), until('brindle', 3000), press('B')],
    {},
    ['step-1 0, step-2 0, step-3 0…410…3000', '0…410…3000', '0…410…3000'],
  ],
  [
    'text that asks comes when it asks, and waits for the answer for a minute at most',
    [press('A'), { kind: 'text', text: '‹ask›' }, press('B')],
    {},
    ['step-1 0, step-2 0, step-3 0…410…60000', '0…410…60000', '0…410…60000'],
  ],
  [
    'a pace counts for what is sent, a hold twice',
    [{ kind: 'hold', keys: 'Alt', steps: [press('A')] }, press('B')],
    { pace: 20 },
    ['step-1 0, step-1-1 20, step-2 60', '60', '60'],
  ],
  [
    'a repeat comes once in the list, and counts as often as it goes',
    [{ kind: 'repeat', times: 3, steps: [press('A'), wait(100)] }, press('B')],
    { times: 2 },
    ['step-1 0, step-1-1 0, step-1-2 0, step-2 300', '300', '600'],
  ],
  [
    'another macro counts as long as it is',
    [{ kind: 'macro', macro: 'plain' }, press('B')],
    {},
    ['step-1 0, step-2 500', '500', '500'],
  ],
  [
    'one without end has a round and no total',
    [press('A'), wait(80)],
    { run: 'toggle' },
    ['step-1 0, step-2 0', '80', null],
  ],
  [
    'what is left out takes no time',
    [{ ...wait(80), skipped: true }, press('A')],
    {},
    ['step-2 0', '0', '0'],
  ],
])('%s', (_name, steps, more, told) => {
  expect(times(steps, more, new Map([['step-2', 410]]))).toEqual(told);
});

test('steps are counted with those inside, without what is left out', () => {
  const { macro } = tried([
    { kind: 'hold', keys: 'Alt', steps: [press('A'), { ...wait(5), skipped: true }] },
    press('B'),
  ]);
  expect(stepCount(macro.steps)).toBe(3);
  expect(everyStep(macro.steps)).toHaveLength(4);
});

/** The engine runs it with its windows there, or never. */
function ran({ setup, macro }: ReturnType<typeof tried>, lines: readonly string[]): Simulated {
  const runs = { kind: 'macro', macro: macro.id } as const;
  return simulate(bound([['everywhere pad/key-1 press', runs]], setup), events(...lines));
}
/** Steps the small rig can always do by itself, at times that can be told from the strokes alone. */
const certain = (steps: readonly MacroStep[]): boolean =>
  everyStep(steps).every(
    (step) =>
      !(step.kind === 'hold' && step.keys === '漢') && !(step.kind === 'text' && step.text.includes('‹ask')),
  );

test('the engine takes as long as was reckoned: at least with its windows there, at most where they never come', () => {
  fuzz(
    fc.property(
      arbitraryMacroSteps,
      fc.constantFrom(0, 15),
      fc.integer({ min: 1, max: 3 }),
      (bare, pace, rounds) => {
        const plain = numberSteps(bare).map(goesOn);
        fc.pre(certain(plain));
        const made = tried([], { steps: plain, pace, times: rounds });
        const { total } = estimate(made.setup, made.macro);
        const end = (lines: readonly string[]) => {
          const { explanations } = ran(made, lines);
          return explanations.find(({ changes }) =>
            changes.some((each) => each.kind === 'macro' && !each.runs),
          )?.t;
        };
        const nothing = ['0 down pad/key-1', '900000 time'];
        const untils = everyStep(plain).some(({ kind, skipped }) => kind === 'until' && !skipped);
        expect(end(nothing)).toBeCloseTo(total?.most ?? -1, 6);
        if (!untils) expect(total && isExact(total)).toBe(true);
      },
    ),
    200,
  );
});

/** So that a window that never comes does not end it. */
function goesOn(step: MacroStep): MacroStep {
  if (step.kind === 'until') return { ...step, late: 'go-on' };
  return 'steps' in step ? { ...step, steps: step.steps.map(goesOn) } : step;
}
