import {
  applyEdit,
  type BareStep,
  type Macro,
  newMacro,
  numberSteps,
  type WindowAsked,
} from '../setup/index.ts';
import { type BoundRow, bound, events, short, smallSetup } from '../testing/index.ts';
import { compile } from './compile.ts';
import { type Simulated, simulate } from './simulate.ts';
import { INITIAL_STATE } from './state.ts';
import { step } from './step.ts';

const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });
const wait = (ms: number): BareStep => ({ kind: 'wait', ms });
const named = (executable: string): WindowAsked => ({
  executable: { match: 'exact', text: executable },
  class: null,
  title: null,
});
const until = (executable: string, more: Partial<Extract<BareStep, { kind: 'until' }>> = {}): BareStep => ({
  kind: 'until',
  window: named(executable),
  atMostMs: 3000,
  late: 'stop',
  ...more,
});
/** A then, once the window is there, B, while F is held. */
const WAITING: BareStep[] = [
  { kind: 'key-down', code: 'KeyF' },
  press('A'),
  until('brindle'),
  press('B'),
  wait(100),
  press('C'),
];
const RUNS = { kind: 'macro', macro: 'waits' } as const;

function setupWith(steps: readonly BareStep[], more: Partial<Macro>, rows: readonly BoundRow[]) {
  const waits = newMacro({ id: 'waits', name: 'Waits', steps: numberSteps(steps), ...more });
  const setup = smallSetup();
  return bound(rows, { ...setup, macros: [...setup.macros, waits] });
}

/** Run from a key of Everywhere, or from the thumb in Larkframe. */
function waited(
  steps: readonly BareStep[],
  lines: readonly string[],
  more: Partial<Macro> = {},
  from: 'everywhere' | 'larkframe' = 'everywhere',
): Simulated {
  const place = from === 'everywhere' ? 'everywhere pad/key-1 press' : 'larkframe mouse/thumb-front press';
  return simulate(setupWith(steps, more, [[place, RUNS]]), events(...lines));
}

const tapped = (...times: [number, string][]) =>
  times.map(([t, key]) => `@${t} +Key${key} @${t} -Key${key}`).join(' ');
const BEGUN = `@1 +KeyF ${tapped([1, 'A'])}`;
const PRESSED = ['0 front larkframe', '1 down pad/key-1', '2 up pad/key-1'];
/** The thumb’s macro belongs to Larkframe. */
const THUMBED = ['0 front larkframe', '1 down mouse/thumb-front', '2 up mouse/thumb-front'];

test.each<[string, string[], string, Partial<Macro>?, 'larkframe'?]>([
  [
    'there already: the steps go on at once',
    ['0 front brindle', '1 down pad/key-1', '900 time'],
    `${BEGUN} ${tapped([1, 'B'], [101, 'C'])} @101 -KeyF`,
  ],
  [
    'in time: the steps go on from that moment',
    [...PRESSED, '400 front brindle', '900 time'],
    `${BEGUN} ${tapped([400, 'B'], [500, 'C'])} @500 -KeyF`,
  ],
  [
    'too late: it stops and lets go of everything',
    [...PRESSED, '5000 front brindle', '6000 time'],
    `${BEGUN} @3001 -KeyF`,
  ],
  [
    'to the very millisecond is too late',
    [...PRESSED, '3001 front brindle', '6000 time'],
    `${BEGUN} @3001 -KeyF`,
  ],
  [
    'another window meanwhile is not what it waits for; from Everywhere it waits on',
    [...PRESSED, '100 front hushbox', '400 front brindle', '900 time'],
    `${BEGUN} ${tapped([400, 'B'], [500, 'C'])} @500 -KeyF`,
  ],
  [
    'the window it waits for does not stop it, whatever its profile',
    [...THUMBED, '400 front brindle', '900 time'],
    `${BEGUN} ${tapped([400, 'B'], [500, 'C'])} @500 -KeyF`,
    {},
    'larkframe',
  ],
  [
    'another program’s window does',
    [...THUMBED, '100 front hushbox', '400 front brindle', '900 time'],
    `${BEGUN} @100 -KeyF`,
    {},
    'larkframe',
  ],
  [
    'one marked to go on waits through that',
    [...THUMBED, '100 front hushbox', '400 front brindle', '900 time'],
    `${BEGUN} ${tapped([400, 'B'], [500, 'C'])} @500 -KeyF`,
    { goesOn: true },
    'larkframe',
  ],
  [
    'after it the macro belongs to the window it waited for: it stops when that is left',
    [...PRESSED, '400 front brindle', '450 front hushbox', '900 time'],
    `${BEGUN} ${tapped([400, 'B'])} @450 -KeyF`,
  ],
  [
    'its device is gone while it waits',
    [...PRESSED, '100 detach pad', '400 front brindle', '900 time'],
    `${BEGUN} @100 -KeyF`,
  ],
  [
    'all is let go of while it waits',
    [...PRESSED, '100 reset', '400 front brindle', '900 time'],
    `${BEGUN} @100 -KeyF`,
  ],
  [
    'nothing in front is no window',
    ['0 down pad/key-1', '4000 time'],
    `@0 +KeyF ${tapped([0, 'A'])} @3000 -KeyF`,
  ],
  [
    'pressed again while it waits: begun anew, it waits anew',
    [...PRESSED, '2000 down pad/key-1', '2001 up pad/key-1', '4000 front brindle', '4900 time'],
    `${BEGUN} @2000 -KeyF @2000 +KeyF ${tapped([2000, 'A'], [4000, 'B'], [4100, 'C'])} @4100 -KeyF`,
    { again: 'restart' },
  ],
  [
    'pressed again while it waits: what runs until pressed again ends',
    [...PRESSED, '200 down pad/key-1', '201 up pad/key-1', '400 front brindle', '900 time'],
    `${BEGUN} @200 -KeyF`,
    { run: 'toggle' },
  ],
  [
    'held: the control comes up while it waits',
    ['0 front larkframe', '1 down pad/key-1', '200 up pad/key-1', '400 front brindle', '900 time'],
    `${BEGUN} @200 -KeyF`,
    { run: 'held' },
  ],
])('until: %s', (_name, lines, strokes, more = {}, from = undefined) => {
  expect(short(waited(WAITING, lines, more, from ?? 'everywhere'))).toBe(strokes);
});

test('held by a control of the program that is left: its window comes and it goes on, the control comes up in silence', () => {
  const lines = [
    '0 front larkframe',
    '1 down mouse/thumb-front',
    '400 front brindle',
    '450 up mouse/thumb-front',
  ];
  const { state, ...ran } = waited(WAITING, [...lines, '900 time'], { run: 'held' }, 'larkframe');
  // It goes on until the hand lets go.
  expect(short(ran)).toBe(`${BEGUN} ${tapped([400, 'B'])} @450 -KeyF`);
  expect(state.running).toEqual({});
});

test('too late, marked to go on: the steps go on from there, and the macro belongs to what began it', () => {
  const steps = [
    press('A'),
    until('brindle', { late: 'go-on', atMostMs: 200 }),
    press('B'),
    wait(100),
    press('C'),
  ];
  expect(short(waited(steps, [...PRESSED, '900 time']))).toBe(tapped([1, 'A'], [201, 'B'], [301, 'C']));
  expect(short(waited(steps, [...THUMBED, '250 front hushbox', '900 time'], {}, 'larkframe'))).toBe(
    tapped([1, 'A'], [201, 'B']),
  );
});

test('a window that its own step brings to the front is what it waits for', () => {
  const steps = [{ kind: 'focus', program: 'brindle', launch: true } as const, until('brindle'), press('B')];
  const lines = [...THUMBED, '30 front brindle', '900 time'];
  expect(short(waited(steps, lines, {}, 'larkframe'))).toBe(`@1 *brindle ${tapped([30, 'B'])}`);
});

test('the window of the computer that gets its strokes counts, and no other', () => {
  const steps = [until('brindle'), press('B')];
  const setup = setupWith(steps, {}, [
    ['everywhere mouse/thumb-front press', RUNS],
    ['everywhere pad/key-1 press', { kind: 'computer', device: 'mouse', change: 'next', computer: 0 }],
  ]);
  const lines = ['0 front brindle', '1 down pad/key-1', '2 up pad/key-1', '3 down mouse/thumb-front'];
  const after = [...lines, '10 front larkframe', '20 front brindle', '50 front-of Loft brindle', '900 time'];
  expect(short(simulate(setup, events(...after)))).toBe('@50 Loft:+KeyB @50 Loft:-KeyB');
});

test('what became of the waiting is told with how long it took', () => {
  const told = (lines: readonly string[]) =>
    waited(WAITING, lines).explanations.flatMap(({ changes }) =>
      changes.flatMap((change) =>
        change.kind === 'until' ? [[change.step, change.how, change.waited]] : [],
      ),
    );
  expect(told(['0 front brindle', '1 down pad/key-1'])).toEqual([['step-3', 'there', 0]]);
  expect(told([...PRESSED, '411 front brindle'])).toEqual([['step-3', 'came', 410]]);
  expect(told([...PRESSED, '9000 time'])).toEqual([['step-3', 'late', 3000]]);
});

test('strokes after the wait name the press that began the macro, not the window that came', () => {
  const { strokes } = waited(WAITING, [...PRESSED, '400 front brindle', '900 time']);
  expect(new Set(strokes.map(({ cause }) => cause))).toEqual(new Set([2]));
});

test('edited while it waits: it goes on as it began', () => {
  const setup = setupWith(WAITING, {}, [['everywhere pad/key-1 press', RUNS]]);
  const edit = {
    kind: 'set',
    at: 'macros/waits/steps/step-3',
    fields: { window: named('hushbox') },
  } as const;
  const applied = applyEdit(setup, edit);
  if (!applied.ok) throw new Error(applied.problem.code);
  const compiled = compile(applied.value.setup, compile(setup));
  let state = simulate(setup, events(...PRESSED)).state;
  const all = events('50 edited', '100 front hushbox', '400 front brindle', '900 time').map((event) => {
    const stepped = step(compiled, state, event);
    state = stepped.state;
    return short(stepped);
  });
  expect(all.filter(Boolean).join(' ')).toBe(`${tapped([400, 'B'], [500, 'C'])} @500 -KeyF`);
  expect(state.running).toEqual(INITIAL_STATE.running);
});
