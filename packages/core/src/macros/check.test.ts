import { US_LAYOUT } from '../keys/layouts/index.ts';
import {
  applyEdit,
  type BareStep,
  type Macro,
  newMacro,
  numberSteps,
  type Setup,
  together,
} from '../setup/index.ts';
import { smallSetup } from '../testing/index.ts';
import { checkMacro, type MacroSurroundings, mendOf } from './check.ts';

const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });
const AROUND: MacroSurroundings = { layout: US_LAYOUT, opened: new Map(), window: null };
const DIALOG = { executable: 'larkframe', class: 'Larkframe', title: 'Export the film' };
const until: BareStep = {
  kind: 'until',
  window: { executable: { match: 'exact', text: 'brindle' }, class: null, title: null },
  atMostMs: 3000,
  late: 'stop',
};

function setupWith(steps: readonly BareStep[], more: Partial<Macro>): { setup: Setup; macro: Macro } {
  const macro = newMacro({
    id: 'tried',
    name: 'Tried',
    program: 'larkframe',
    steps: numberSteps(steps),
    ...more,
  });
  const setup = smallSetup();
  const [first, ...others] = setup.programs;
  const asks = first?.commands[0] && {
    ...first.commands[0],
    id: 'asks',
    name: 'Export…',
    shortcut: 'Ctrl+Shift+E',
  };
  const programs =
    first && asks ? [{ ...first, commands: [...first.commands, asks] }, ...others] : setup.programs;
  return { macro, setup: { ...setup, programs, macros: [...setup.macros, macro] } };
}
const found = (
  steps: readonly BareStep[],
  more: Partial<Macro> = {},
  around: Partial<MacroSurroundings> = {},
) => {
  const { setup, macro } = setupWith(steps, more);
  return checkMacro(setup, macro, { ...AROUND, ...around }).map(({ kind, step }) =>
    `${kind} ${step ?? ''}`.trim(),
  );
};
const click = (x: number, y: number, corner: 'top-left' | 'bottom-right' = 'top-left'): BareStep => ({
  kind: 'click',
  button: 0,
  count: 1,
  at: { from: 'window', corner, x, y },
});
const SIZE = { window: { width: 400, height: 300 } };

test.each<[string, readonly string[], readonly BareStep[], Partial<Macro>?, Partial<MacroSurroundings>?]>([
  ['nothing is amiss', [], [press('A'), { kind: 'wait', ms: 500 }, press('B')]],
  ['a command with three dots opens a window', ['nothing-waits step-1'], [press('Ctrl+Shift+E'), press('B')]],
  [
    'of another program’s macro it is a shortcut like any',
    [],
    [press('Ctrl+Shift+E'), press('B')],
    { program: 'brindle' },
  ],
  [
    'a menu item with three dots',
    ['nothing-waits step-1'],
    [{ kind: 'menu', path: ['File', 'Export...'] }, press('B')],
  ],
  [
    'what opened a window when it was tried',
    ['nothing-waits step-1'],
    [press('A'), press('B')],
    {},
    { opened: new Map([['step-1', DIALOG]]) },
  ],
  ['it is waited for', [], [press('Ctrl+Shift+E'), until, press('B')]],
  ['nothing comes after it', [], [press('Ctrl+Shift+E')]],
  [
    'a wait that is left out waits for nothing',
    ['nothing-waits step-1'],
    [press('Ctrl+Shift+E'), { ...until, skipped: true }, press('B')],
  ],
  [
    'another program stops a macro of its own',
    ['stops-here step-1'],
    [{ kind: 'focus', program: 'brindle', launch: false }, press('B')],
  ],
  [
    'one that goes on is only too early',
    ['nothing-waits step-1'],
    [{ kind: 'focus', program: 'brindle', launch: false }, press('B')],
    { goesOn: true },
  ],
  [
    'a key and a button stay down',
    ['stays-down step-1', 'stays-down step-2'],
    [
      { kind: 'key-down', code: 'KeyF' },
      { kind: 'button', button: 0, change: 'down' },
    ],
  ],
  [
    'a key comes up again',
    [],
    [{ kind: 'key-down', code: 'KeyF' }, press('A'), { kind: 'key-up', code: 'KeyF' }],
  ],
  ['before its corner', ['outside step-1'], [click(-1, 5)]],
  [
    'from the far corner it counts the other way',
    ['outside step-2'],
    [click(-10, -5, 'bottom-right'), click(10, -5, 'bottom-right')],
  ],
  [
    'beyond the far side, where its size is known',
    ['outside step-1'],
    [click(401, 5), click(400, 300)],
    {},
    SIZE,
  ],
  ['inside blocks as well', ['outside step-1-1'], [{ kind: 'hold', keys: 'Alt', steps: [click(-1, 5)] }]],
  [
    'a long wait',
    ['long-wait step-2'],
    [
      { kind: 'wait', ms: 10_000 },
      { kind: 'wait', ms: 10_001 },
    ],
  ],
  ['text that cannot be typed', ['untypable-text step-1'], [{ kind: 'text', text: 'heron 鷺' }]],
  [
    'a field that cannot be filled in',
    ['broken-field step-1'],
    [{ kind: 'text', text: '‹date YYYY-nn› ‹time HH:mm›' }],
  ],
  [
    'keys that cannot be typed',
    ['untypable-keys step-1', 'untypable-keys step-2'],
    [press('Ctrl+漢'), { kind: 'hold', keys: '漢', steps: [] }],
  ],
  ['round and round without a wait', ['never-ends'], [press('A')], { run: 'toggle' }],
  ['round and round with one', [], [press('A'), { kind: 'wait', ms: 5 }], { run: 'toggle' }],
  ['while held a hand ends it', [], [press('A')], { run: 'held' }],
  [
    'the pointer goes back, and nothing remembered it',
    ['nothing-remembered step-1'],
    [
      { kind: 'pointer', change: 'back' },
      { kind: 'pointer', change: 'remember' },
      { kind: 'pointer', change: 'back' },
    ],
  ],
])('%s', (_name, findings, steps, more = {}, around = {}) => {
  expect(found(steps, more, around)).toEqual(findings);
});

test('what is mended is not found again', () => {
  let made = 0;
  const newId = () => `new-${++made}`;
  const mended = (steps: readonly BareStep[], around: Partial<MacroSurroundings> = {}) => {
    const { setup, macro } = setupWith(steps, { goesOn: true });
    const [finding] = checkMacro(setup, macro, { ...AROUND, ...around });
    if (!finding) throw new Error('nothing found');
    const applied = applyEdit(setup, together(mendOf(macro, finding, newId)));
    if (!applied.ok) throw new Error(applied.problem.code);
    const after = applied.value.setup.macros.find(({ id }) => id === 'tried') as Macro;
    expect(checkMacro(applied.value.setup, after, { ...AROUND, ...around })).toEqual([]);
    return after.steps.map(({ kind }) => kind).join(' ');
  };
  const opened = new Map([['step-1', DIALOG]]);
  expect(mended([press('A'), press('B')], { opened })).toBe('shortcut until shortcut');
  expect(mended([{ kind: 'focus', program: 'brindle', launch: true }, press('B')])).toBe(
    'focus until shortcut',
  );
  expect(mended([{ kind: 'key-down', code: 'KeyF' }, press('B')])).toBe('key-down shortcut key-up');
  expect(mended([{ kind: 'button', button: 2, change: 'down' }])).toBe('button button');
});
