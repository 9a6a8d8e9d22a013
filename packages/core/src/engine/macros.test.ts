import { type BareStep, type Macro, numberSteps } from '../setup/index.ts';
import { type BoundRow, bound, events, short, smallSetup } from '../testing/index.ts';
import { simulate } from './simulate.ts';

const A_DOWN: BareStep = { kind: 'key-down', code: 'KeyA' };
const CTRL_Z: BareStep = { kind: 'shortcut', shortcut: 'Ctrl+Z' };
const wait = (ms: number): BareStep => ({ kind: 'wait', ms });
const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });

/** A macro whose steps need no ids. */
type Bare = Partial<Omit<Macro, 'steps'>> & { readonly steps?: readonly BareStep[] };

/** Key 1 of the pad runs the macro; key 2 is Shift; key 3 another control for the same macro. */
function macroPlayed(
  { steps, ...macro }: Bare,
  lines: readonly string[],
  rows: readonly BoundRow[] = [],
): string {
  const setup = smallSetup();
  const first = setup.macros[0] as Macro;
  const whole = { ...first, ...macro, steps: steps ? numberSteps(steps) : first.steps };
  const runs = { kind: 'macro', macro: whole.id } as const;
  const own: BoundRow[] = [
    ['everywhere pad/key-1 press', runs],
    ['everywhere pad/key-2 press', 'Shift'],
    ['everywhere pad/key-3 press', runs],
  ];
  const macros = [whole, ...setup.macros.filter(({ id }) => id !== whole.id)];
  return short(simulate(bound([...own, ...rows], { ...setup, macros }), events(...lines)));
}

const z = (t: number) => `@${t} +ControlLeft @${t} +KeyZ @${t} -KeyZ @${t} -ControlLeft`;
const tapped = (...times: [number, string][]) =>
  times.map(([t, key]) => `@${t} +Key${key} @${t} -Key${key}`).join(' ');

test.each<[string, Bare, string[], string, BoundRow[]?]>([
  [
    // Common practice, no source: half a second between steps lets a slow program keep up.
    'steps with a pause of half a second between them',
    { steps: [CTRL_Z, wait(500), { kind: 'text', text: 'heron' }] },
    ['10 down pad/key-1', '20 up pad/key-1', '5000 time'],
    `${z(10)} @510 “heron”`,
  ],
  [
    'times add up from the start without drift',
    { steps: [{ kind: 'repeat', times: 3, steps: [wait(0.1), press('A')] }], times: 2 },
    ['0 down pad/key-1', '5000 time'],
    tapped([0.1, 'A'], [0.2, 'A'], [0.3, 'A'], [0.4, 'A'], [0.5, 'A'], [0.6, 'A']),
  ],
  [
    'exact: a pedal’s Shift is lifted before a shortcut and put back after, so that undo stays undo',
    { steps: [CTRL_Z] },
    ['0 down pad/key-2', '1 down pad/key-1', '2 up pad/key-1', '3 up pad/key-2'],
    `@0 +ShiftLeft @1 -ShiftLeft ${z(1)} @1 +ShiftLeft @3 -ShiftLeft`,
  ],
  [
    'exact: a modifier the shortcut has is left; what the macro put down itself is too',
    { steps: [{ kind: 'key-down', code: 'AltLeft' }, press('Shift+A')] },
    ['0 down pad/key-2', '1 down pad/key-1', '2 up pad/key-2'],
    '@0 +ShiftLeft @1 +AltLeft @1 +KeyA @1 -KeyA @1 -AltLeft @2 -ShiftLeft',
  ],
  [
    'however it ends, what it put down comes up',
    { steps: [A_DOWN, { kind: 'button', button: 2, change: 'down' }, wait(50)] },
    ['0 down pad/key-1', '10 up pad/key-1', '900 time'],
    '@0 +KeyA @0 (2 @50 )2 @50 -KeyA',
  ],
  [
    'what it holds it puts down once, however many rounds it goes, and lets go of at once',
    { run: 'toggle', steps: [A_DOWN, press('B'), wait(100)] },
    ['0 down pad/key-1', '1 up pad/key-1', '250 down pad/key-3', '251 up pad/key-3', '900 time'],
    `@0 +KeyA ${tapped([0, 'B'], [100, 'B'], [200, 'B'])} @250 -KeyA`,
  ],
  [
    'one key up is enough for a key put down twice',
    { steps: [A_DOWN, A_DOWN, { kind: 'key-up', code: 'KeyA' }, wait(50), press('B')] },
    ['0 down pad/key-1', '1 up pad/key-1', '900 time'],
    `@0 +KeyA @0 -KeyA ${tapped([50, 'B'])}`,
  ],
  [
    'pointer, wheel, focus and clicks at places',
    {
      steps: [
        { kind: 'click', button: 0, count: 2, at: { from: 'window', corner: 'top-left', x: 40, y: 12 } },
        { kind: 'wheel', ticks: -3, axis: 'horizontal' },
        { kind: 'focus', program: 'hushbox', launch: false },
        { kind: 'button', button: 1, change: 'down' },
        { kind: 'button', button: 1, change: 'up' },
      ],
    },
    ['0 down pad/key-1'],
    '@0 ^window:40,12 @0 (0 @0 )0 @0 (0 @0 )0 @0 ~>-3 @0 *hushbox @0 (1 @0 )1',
  ],
  [
    'another macro inside',
    { id: 'outer', steps: [press('A'), { kind: 'macro', macro: 'plain' }, press('B')] },
    ['0 down pad/key-1', '5000 time'],
    `${tapped([0, 'A'])} ${z(0)} @500 “heron” ${tapped([500, 'B'])}`,
  ],
  [
    'while held: round and round, ended at once when it comes up',
    { run: 'held', steps: [press('A'), wait(100)] },
    ['0 down pad/key-1', '250 up pad/key-1', '900 time'],
    tapped([0, 'A'], [100, 'A'], [200, 'A']),
  ],
  [
    'without waits a round lasts 10 ms',
    { run: 'held', steps: [press('A')] },
    ['0 down pad/key-1', '25 up pad/key-1'],
    tapped([0, 'A'], [10, 'A'], [20, 'A']),
  ],
  [
    'until pressed again',
    { run: 'toggle', steps: [press('A'), wait(100)] },
    ['0 down pad/key-1', '1 up pad/key-1', '150 down pad/key-3', '151 up pad/key-3', '900 time'],
    tapped([0, 'A'], [100, 'A']),
  ],
  [
    'pressed again while running: ignored',
    { again: 'ignore', steps: [press('A'), wait(100), press('B')] },
    ['0 down pad/key-1', '1 up pad/key-1', '50 down pad/key-3', '900 time'],
    tapped([0, 'A'], [100, 'B']),
  ],
  [
    'pressed again while running: begins anew',
    { again: 'restart', steps: [press('A'), wait(100), press('B')] },
    ['0 down pad/key-1', '1 up pad/key-1', '50 down pad/key-3', '900 time'],
    tapped([0, 'A'], [50, 'A'], [150, 'B']),
  ],
  [
    'pressed again while running: comes after',
    { again: 'queue', steps: [press('A'), wait(100), press('B')] },
    ['0 down pad/key-1', '1 up pad/key-1', '50 down pad/key-3', '900 time'],
    tapped([0, 'A'], [100, 'B'], [100, 'A'], [200, 'B']),
  ],
  [
    'a layer it sets stays on until one takes it off',
    { steps: [{ kind: 'layer', layer: 'second', on: true }] },
    ['0 down pad/key-1', '1 up pad/key-1', '2 down mouse/thumb-front', '3 up mouse/thumb-front'],
    '@2 +KeyB @3 -KeyB',
    [['everywhere@second mouse/thumb-front press', 'B']],
  ],
])('%s', (_name, macro, lines, strokes, rows = []) => {
  expect(macroPlayed(macro, lines, rows)).toBe(strokes);
});

const HOLDING: BareStep[] = [A_DOWN, wait(100), press('B')];
const fromLarkframe = (goesOn: boolean, ...lines: string[]) => {
  const runs = { kind: 'macro', macro: 'plain' } as const;
  return macroPlayed({ steps: HOLDING, goesOn }, lines, [['larkframe mouse/thumb-front press', runs]]);
};

test('a macro from a profile that no longer applies stops and lets go of its keys', () => {
  const lines = [
    '0 front larkframe',
    '1 down mouse/thumb-front',
    '2 up mouse/thumb-front',
    '50 front brindle',
    '900 time',
  ];
  expect(fromLarkframe(false, ...lines)).toBe('@1 +KeyA @50 -KeyA');
  expect(fromLarkframe(true, ...lines)).toBe('@1 +KeyA @101 +KeyB @101 -KeyB @101 -KeyA');
});

test('a macro stops when its device is gone, marked to go on or not', () => {
  const lines = ['0 front larkframe', '1 down mouse/thumb-front', '50 detach mouse', '900 time'];
  expect(fromLarkframe(true, ...lines)).toBe('@1 +KeyA @50 -KeyA');
});
