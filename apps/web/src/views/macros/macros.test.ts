import { estimate } from '@nimble-lever/core/macros';
import { type BareStep, newMacro, numberSteps } from '@nimble-lever/core/setup';
import { smallSetup } from '@nimble-lever/core/testing';
import { rowsOf } from './rows.ts';
import { ADDED_FIRST, ADDED_MORE, newStepOf } from './score/newSteps.ts';
import { copiedSteps, pastedSteps } from './score/stepClipboard.ts';
import { timeBetween, timeShown, wholeTime } from './times.ts';

const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });
const macroOf = (...steps: BareStep[]) => newMacro({ id: 'tried', name: 'Tried', steps: numberSteps(steps) });

test('steps are numbered and indented as they stand in blocks; what is left out takes what is in it along', () => {
  const hold: BareStep = {
    kind: 'hold',
    keys: 'Alt',
    skipped: true,
    steps: [press('B'), { kind: 'repeat', times: 2, steps: [press('C')] }],
  };
  const rows = rowsOf(macroOf(press('A'), hold, press('D')));
  expect(rows.map(({ number, depth, block, skipped }) => [number, depth, block, skipped])).toEqual([
    ['1', 0, null, false],
    ['2', 0, null, true],
    ['2.1', 1, 'step-2', true],
    ['2.2', 1, 'step-2', true],
    ['2.2.1', 2, 'step-2-2', true],
    ['3', 0, null, false],
  ]);
});

test('times are exact, or about with what they may be', () => {
  const window = { executable: null, class: null, title: { match: 'exact' as const, text: 'Output' } };
  const until: BareStep = { kind: 'until', window, atMostMs: 3000, late: 'stop' };
  const times = (...steps: BareStep[]) =>
    estimate(smallSetup(), macroOf(...steps), new Map([['step-2', 410]]));
  const exact = times(press('A'), { kind: 'wait', ms: 500 });
  expect(timeShown(exact.steps.get('step-2'))).toBe('0 ms');
  expect(timeBetween(exact.round)).toBeUndefined();
  expect(wholeTime(exact)).toBe('500 ms');
  const about = times(press('A'), until, press('B'));
  expect(timeShown(about.steps.get('step-3'))).toBe('~ 410 ms');
  expect(timeBetween(about.steps.get('step-3'))).toBe('0 ms to 3 s');
  expect(wholeTime(about)).toBe('about 410 ms');
  expect(wholeTime(estimate(smallSetup(), { ...macroOf({ kind: 'wait', ms: 80 }), run: 'toggle' }))).toBe(
    '80 ms a round',
  );
  expect(timeShown(undefined)).toBe('');
});

test('steps go through the clipboard as text, and other text has none', () => {
  const { steps } = macroOf(press('A'), { kind: 'hold', keys: 'Alt', steps: [press('B')] });
  expect(pastedSteps(copiedSteps(steps))).toEqual(steps);
  const other = copiedSteps(steps);
  for (const text of [
    'heron',
    '{}',
    'null',
    other.replace('"version": 1', '"version": 2'),
    other.replace('"Alt"', '"Wobble"'),
    other.slice(0, -5),
  ]) {
    expect(pastedSteps(text)).toBeNull();
  }
});

test('whatever can be added is a sound step, or is not offered where there is nothing to name', () => {
  const setup = smallSetup();
  const macro = macroOf();
  for (const kind of [...ADDED_FIRST, ...ADDED_MORE]) {
    const step = newStepOf(kind, setup, macro);
    expect(step && pastedSteps(copiedSteps(numberSteps([step])))).toHaveLength(1);
  }
  const bare = { ...setup, layers: setup.layers.slice(0, 1), macros: [], programs: [] };
  expect(newStepOf('layer', bare, macro)).toBeNull();
  expect(newStepOf('macro', bare, macro)).toBeNull();
  expect(newStepOf('focus', bare, macro)).toBeNull();
});
