import { type BareStep, type Macro, newMacro, numberSteps } from '../setup/index.ts';
import { type BoundRow, bound, events, short, smallSetup } from '../testing/index.ts';
import { simulate } from './simulate.ts';

const press = (shortcut: string): BareStep => ({ kind: 'shortcut', shortcut });
const wait = (ms: number): BareStep => ({ kind: 'wait', ms });
const hold = (keys: string, ...steps: BareStep[]): BareStep => ({ kind: 'hold', keys, steps });
const CLICK: BareStep = { kind: 'click', button: 0, count: 1, at: null };
const RUNS = { kind: 'macro', macro: 'tried' } as const;

function ran(steps: readonly BareStep[], lines: readonly string[], more: Partial<Macro> = {}): string {
  const tried = newMacro({ id: 'tried', name: 'Tried', steps: numberSteps(steps), ...more });
  const setup = smallSetup();
  const rows: BoundRow[] = [
    ['everywhere pad/key-1 press', RUNS],
    ['everywhere pad/key-2 press', 'Shift'],
    ['everywhere pad/key-3 press', 'Alt'],
  ];
  return short(simulate(bound(rows, { ...setup, macros: [...setup.macros, tried] }), events(...lines)));
}
const ONCE = ['0 down pad/key-1', '5000 time'];

test.each<[string, BareStep[], string[], string, Partial<Macro>?]>([
  [
    'keys are held round the steps inside, and come up in reverse',
    [hold('Ctrl+Alt', CLICK, wait(20), CLICK), press('A')],
    ONCE,
    '@0 +ControlLeft @0 +AltLeft @0 (0 @0 )0 @20 (0 @20 )0 @20 -AltLeft @20 -ControlLeft @20 +KeyA @20 -KeyA',
  ],
  [
    'a shortcut inside keeps what is held round it',
    [hold('Alt', press('Shift+A'))],
    ONCE,
    '@0 +AltLeft @0 +ShiftLeft @0 +KeyA @0 -KeyA @0 -ShiftLeft @0 -AltLeft',
  ],
  [
    'what another device holds is lifted and put back round a step, what the macro holds is not',
    [hold('Alt', wait(10), press('A'))],
    ['0 down pad/key-2', '1 down pad/key-1', '50 up pad/key-2'],
    '@0 +ShiftLeft @1 +AltLeft @11 -ShiftLeft @11 +KeyA @11 -KeyA @11 +ShiftLeft @11 -AltLeft @50 -ShiftLeft',
  ],
  [
    'a key that another device holds as well stays down',
    [hold('Alt', CLICK)],
    ['0 down pad/key-3', '1 down pad/key-1', '50 up pad/key-3'],
    '@0 +AltLeft @1 (0 @1 )0 @50 -AltLeft',
  ],
  [
    'stopped inside, it comes up',
    [hold('Alt', wait(100), CLICK)],
    ['0 down pad/key-1', '50 reset', '900 time'],
    '@0 +AltLeft @50 -AltLeft',
  ],
  [
    'a hold in a hold of the same key, and a key-up inside, which is not the block’s',
    [hold('Alt', hold('Alt', CLICK), { kind: 'key-up', code: 'AltLeft' }, wait(10), CLICK)],
    ONCE,
    '@0 +AltLeft @0 (0 @0 )0 @10 (0 @10 )0 @10 -AltLeft',
  ],
  [
    'keys that cannot be typed: the steps inside are left out, with their waits',
    [press('A'), hold('漢', wait(500), CLICK), wait(20), press('B')],
    ONCE,
    '@0 +KeyA @0 -KeyA @20 +KeyB @20 -KeyB',
  ],
  [
    'what is left out is left out with all that is in it',
    [
      press('A'),
      { ...hold('Alt', wait(500), CLICK), skipped: true },
      { ...wait(70), skipped: true },
      press('B'),
    ],
    ONCE,
    '@0 +KeyA @0 -KeyA @0 +KeyB @0 -KeyB',
  ],
  [
    'an item of a menu, the pointer remembered and put back, a program started',
    [
      { kind: 'pointer', change: 'remember' },
      { kind: 'click', button: 0, count: 1, at: { from: 'window', corner: 'bottom-right', x: -10, y: -12 } },
      { kind: 'menu', path: ['Window', 'Colours'] },
      { kind: 'pointer', change: 'back' },
      { kind: 'focus', program: 'hushbox', launch: true },
    ],
    ONCE,
    '@0 ^? @0 ^window:-10,-12 @0 (0 @0 )0 @0 ≡Window>Colours @0 ^! @0 *hushbox',
  ],
  [
    'a pace is the least time between two things that are sent; waits count from there',
    [press('A'), press('B'), wait(5), press('C'), wait(100), press('D')],
    ONCE,
    '@0 +KeyA @0 -KeyA @20 +KeyB @20 -KeyB @40 +KeyC @40 -KeyC @140 +KeyD @140 -KeyD',
    { pace: 20 },
  ],
  [
    'a pace counts for what is put down and comes up, from round to round, and not for layers',
    [hold('Alt', CLICK), { kind: 'layer', layer: 'second', on: true }],
    ONCE,
    '@0 +AltLeft @30 (0 @30 )0 @60 -AltLeft @90 +AltLeft @120 (0 @120 )0 @150 -AltLeft',
    { pace: 30, times: 2 },
  ],
  [
    'with a pace, what is still held at the end comes up in its time',
    [{ kind: 'key-down', code: 'KeyF' }],
    ONCE,
    '@0 +KeyF @30 -KeyF',
    { pace: 30 },
  ],
])('%s', (_name, steps, lines, strokes, more = {}) => {
  expect(ran(steps, lines, more)).toBe(strokes);
});

test('places are remembered for each macro by itself', () => {
  const marks = (steps: readonly BareStep[]) => {
    const setup = smallSetup();
    const inner = newMacro({
      id: 'inner',
      name: 'Inner',
      steps: numberSteps([{ kind: 'pointer', change: 'remember' }]),
    });
    const tried = newMacro({ id: 'tried', name: 'Tried', steps: numberSteps(steps) });
    const macros = [...setup.macros, inner, tried];
    const { strokes } = simulate(
      bound([['everywhere pad/key-1 press', RUNS]], { ...setup, macros }),
      events(...ONCE),
    );
    return strokes.map((stroke) => ('mark' in stroke ? stroke.mark : null));
  };
  expect(
    marks([
      { kind: 'pointer', change: 'remember' },
      { kind: 'macro', macro: 'inner' },
      { kind: 'pointer', change: 'back' },
    ]),
  ).toEqual(['tried', 'tried/inner', 'tried']);
});
