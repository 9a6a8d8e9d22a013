import fc from 'fast-check';
import {
  applyEdit,
  type BareStep,
  everyStep,
  isBlock,
  type Macro,
  type MacroStep,
  newMacro,
  numberSteps,
  type SingleEdit,
  together,
} from '../setup/index.ts';
import { arbitraryMacroSteps, fuzz, smallSetup } from '../testing/index.ts';
import {
  addSteps,
  chosenSteps,
  moveSteps,
  removeSteps,
  type StepSpot,
  setStep,
  unwrapStep,
  wrapSteps,
} from './stepEdits.ts';

const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });
const ids = () => {
  let made = 0;
  return () => `n${++made}`;
};
const STEPS: readonly BareStep[] = [
  press('A'),
  { kind: 'hold', keys: 'Alt', steps: [press('B'), { kind: 'repeat', times: 2, steps: [press('C')] }] },
  press('D'),
];
const macroOf = (steps: readonly BareStep[]): Macro =>
  newMacro({ id: 'tried', name: 'Tried', steps: numberSteps(steps) });

/** The steps in a line: `A Alt(B 2×(C)) D`. */
const line = (steps: readonly MacroStep[]): string =>
  steps
    .map((step) => {
      const own =
        step.kind === 'shortcut'
          ? step.shortcut
          : step.kind === 'hold'
            ? step.keys
            : step.kind === 'repeat'
              ? `${step.times}×`
              : step.kind;
      return isBlock(step) ? `${own}(${line(step.steps)})` : own;
    })
    .join(' ');

function edited(macro: Macro, edits: readonly SingleEdit[]): Macro {
  const setup = { ...smallSetup(), macros: [macro] };
  const applied = applyEdit(setup, together(edits));
  if (!applied.ok) throw new Error(applied.problem.code);
  const back = applyEdit(applied.value.setup, applied.value.inverse);
  expect(back.ok && back.value.setup).toEqual(setup);
  return applied.value.setup.macros[0] as Macro;
}
const after = (edits: (macro: Macro) => readonly SingleEdit[]) => {
  const macro = macroOf(STEPS);
  return line(edited(macro, edits(macro)).steps);
};
const some = (...chosen: string[]) => new Set(chosen);

test.each<[string, (macro: Macro) => readonly SingleEdit[], string]>([
  [
    'behind a step',
    (macro) => addSteps(macro, { beside: 'step-1' }, [press('X'), press('Y')], ids()),
    'A X Y Alt(B 2×(C)) D',
  ],
  ['first of all', (macro) => addSteps(macro, { inside: null }, [press('X')], ids()), 'X A Alt(B 2×(C)) D'],
  [
    'first in a block',
    (macro) => addSteps(macro, { inside: 'step-2-2' }, [press('X')], ids()),
    'A Alt(B 2×(X C)) D',
  ],
  [
    'behind one that is gone: nothing',
    (macro) => addSteps(macro, { beside: 'gone' }, [press('X')], ids()),
    'A Alt(B 2×(C)) D',
  ],
  ['removed, with what is in it', (macro) => removeSteps(macro, some('step-2', 'step-2-1')), 'A D'],
  ['removed here and there', (macro) => removeSteps(macro, some('step-1', 'step-2-2-1')), 'Alt(B 2×()) D'],
  ['moved in its list', (macro) => moveSteps(macro, some('step-3'), { inside: null }), 'D A Alt(B 2×(C))'],
  [
    'moved into a block',
    (macro) => moveSteps(macro, some('step-1', 'step-3'), { beside: 'step-2-1' }),
    'Alt(B A D 2×(C))',
  ],
  [
    'moved out of one',
    (macro) => moveSteps(macro, some('step-2-2-1'), { beside: 'step-3' }),
    'A Alt(B 2×()) D C',
  ],
  [
    'behind itself: it stays',
    (macro) => moveSteps(macro, some('step-1'), { beside: 'step-1' }),
    'A Alt(B 2×(C)) D',
  ],
  [
    'two behind the second of them',
    (macro) => moveSteps(macro, some('step-1', 'step-2'), { beside: 'step-2' }),
    'A Alt(B 2×(C)) D',
  ],
  [
    'into itself: nothing',
    (macro) => moveSteps(macro, some('step-2'), { inside: 'step-2-2' }),
    'A Alt(B 2×(C)) D',
  ],
  [
    'a block round some',
    (macro) => wrapSteps(macro, some('step-1', 'step-2'), { kind: 'repeat', times: 3 }, ids()),
    '3×(A Alt(B 2×(C))) D',
  ],
  [
    'a block round one in a block',
    (macro) => wrapSteps(macro, some('step-2-1'), { kind: 'hold', keys: 'Shift' }, ids()),
    'A Alt(Shift(B) 2×(C)) D',
  ],
  ['a block taken away', (macro) => unwrapStep(macro, 'step-2'), 'A B 2×(C) D'],
  ['what is no block stays', (macro) => unwrapStep(macro, 'step-1'), 'A Alt(B 2×(C)) D'],
  ['a field', (macro) => setStep(macro, 'step-2-2', { times: 7 }), 'A Alt(B 7×(C)) D'],
])('%s', (_name, edits, told) => {
  expect(after(edits)).toBe(told);
});

test('moved by one page while another edits it: both stand', () => {
  const macro = macroOf(STEPS);
  const moved = edited(macro, moveSteps(macro, some('step-3'), { inside: null }));
  expect(line(edited(moved, setStep(macro, 'step-3', { shortcut: 'E' })).steps)).toBe('E A Alt(B 2×(C))');
});

test('whatever is chosen and wherever it goes, no step is lost or doubled', () => {
  fuzz(
    fc.property(arbitraryMacroSteps, fc.nat(), fc.nat(), fc.boolean(), (bare, which, where, inside) => {
      const macro = macroOf(bare);
      const all = everyStep(macro.steps);
      fc.pre(all.length > 0);
      const chosen = new Set(all.filter((_, i) => (which >> i) % 2 === 1).map(({ id }) => id));
      const target = all[where % all.length] as MacroStep;
      const spot: StepSpot = inside && isBlock(target) ? { inside: target.id } : { beside: target.id };
      const moved = edited(macro, moveSteps(macro, chosen, spot));
      expect([...everyStep(moved.steps).map(({ id }) => id)].sort()).toEqual(
        [...everyStep(macro.steps).map(({ id }) => id)].sort(),
      );
      // Those that move stand in their order.
      const order = chosenSteps(macro, chosen).map(({ id }) => id);
      const now = everyStep(moved.steps).map(({ id }) => id);
      const inNew = order.toSorted((a, b) => now.indexOf(a) - now.indexOf(b));
      if (moved !== macro) expect(inNew).toEqual(order);
    }),
    200,
  );
});
