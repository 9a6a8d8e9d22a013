import type { Action } from '../setup/index.ts';
import { type BoundRow, played, run } from '../testing/index.ts';
import { wheelModeNow } from './deviceModes.ts';

const layer = (mode: 'on' | 'once'): Action => ({ kind: 'layer', layer: 'second', mode });
const A_AND_B: BoundRow[] = [
  ['everywhere pad/key-1 press', 'A'],
  ['everywhere@second pad/key-1 press', 'B'],
];
const key = (number: number, from: number, to: number) => [
  `${from} down pad/key-${number}`,
  `${to} up pad/key-${number}`,
];

test.each<[string, readonly BoundRow[], string[], string]>([
  [
    'held: on while its control is down',
    [...A_AND_B, ['everywhere pad/key-2 press', layer('on')]],
    ['0 down pad/key-2', ...key(1, 1, 2), '3 up pad/key-2', ...key(1, 4, 5)],
    '@1 +KeyB @2 -KeyB @4 +KeyA @5 -KeyA',
  ],
  [
    'what a control resolved to when it went down holds until it comes up',
    [...A_AND_B, ['everywhere pad/key-2 press', layer('on')]],
    [
      '0 down pad/key-1',
      '1 down pad/key-2',
      '2 up pad/key-1',
      '3 down pad/key-1',
      '4 up pad/key-2',
      '5 up pad/key-1',
    ],
    '@0 +KeyA @2 -KeyA @3 +KeyB @5 -KeyB',
  ],
  [
    'toggled: a layer that is latched',
    [...A_AND_B, ['everywhere pad/key-2 press', layer('on'), 'latch']],
    [...key(2, 0, 1), ...key(1, 2, 3), ...key(2, 4, 5), ...key(1, 6, 7)],
    '@2 +KeyB @3 -KeyB @6 +KeyA @7 -KeyA',
  ],
  [
    'once: for the next press only; turns do not use it up',
    [
      ...A_AND_B,
      ['everywhere pad/key-2 press', layer('once')],
      ['everywhere@second dial/dial clockwise', 'X', 'tap'],
    ],
    [...key(2, 0, 1), '2 turn dial/dial 18', ...key(1, 3, 4), ...key(1, 5, 6)],
    '@2 +KeyX @2 -KeyX @3 +KeyB @4 -KeyB @5 +KeyA @6 -KeyA',
  ],
  [
    'once: the same control again takes it back',
    [...A_AND_B, ['everywhere pad/key-2 press', layer('once')]],
    [...key(2, 0, 1), ...key(2, 2, 3), ...key(1, 4, 5)],
    '@4 +KeyA @5 -KeyA',
  ],
  [
    'tap against hold: another control going down decides for the layer at once',
    [...A_AND_B, ['everywhere pad/key-2 press', 'Space'], ['everywhere pad/key-2 hold', layer('on')]],
    ['0 down pad/key-2', '20 down pad/key-1', '30 up pad/key-1', '40 up pad/key-2', ...key(2, 100, 110)],
    '@20 +KeyB @30 -KeyB @110 +Space @110 -Space',
  ],
  [
    'layer first, then profile: a layer in Everywhere wins over the base layer of the program',
    [...A_AND_B, ['larkframe pad/key-1 press', 'L'], ['everywhere pad/key-2 press', layer('on')]],
    ['0 front larkframe', ...key(1, 1, 2), '3 down pad/key-2', ...key(1, 4, 5), '6 up pad/key-2'],
    '@1 +KeyL @2 -KeyL @4 +KeyB @5 -KeyB',
  ],
  [
    'the topmost layer is the last of the set-up; native in it is native',
    [
      ...A_AND_B,
      ['everywhere@third mouse/thumb-front press', { kind: 'native' }],
      ['everywhere mouse/thumb-front press', 'M'],
      ['everywhere@third pad/key-1 press', 'C'],
      ['everywhere pad/key-2 press', layer('on')],
      ['everywhere pad/key-3 press', { kind: 'layer', layer: 'third', mode: 'on' }],
    ],
    [
      '0 down pad/key-3',
      '1 down pad/key-2',
      ...key(1, 2, 3),
      '4 down mouse/thumb-front',
      '5 up mouse/thumb-front',
    ],
    '@2 +KeyC @3 -KeyC @4 (4 @5 )4',
  ],
  [
    'a layer held by a program goes when another comes to the front',
    [...A_AND_B, ['larkframe pad/key-2 press', layer('on')]],
    ['0 front larkframe', '1 down pad/key-2', '2 front brindle', ...key(1, 3, 4), '5 up pad/key-2'],
    '@3 +KeyA @4 -KeyA',
  ],
])('%s', (_name, rows, lines, strokes) => {
  expect(played(rows, ...lines)).toBe(strokes);
});

test('layers that come and go are told, once each', () => {
  const rows: BoundRow[] = [
    ['everywhere pad/key-1 press', layer('on')],
    ['everywhere pad/key-2 press', layer('on')],
  ];
  const { explanations, state } = run(
    rows,
    '0 down pad/key-1',
    '1 down pad/key-2',
    '9 up pad/key-1',
    '10 up pad/key-2',
  );
  expect(explanations.flatMap(({ changes }) => changes)).toEqual([
    { kind: 'layer', layer: 'second', on: true },
    { kind: 'layer', layer: 'second', on: false },
  ]);
  expect(state.layers).toEqual(['base']);
});

test.each<[string, readonly BoundRow[], string[], string]>([
  [
    'pin, next of some, automatic',
    [
      ['everywhere pad/key-1 press', { kind: 'profile', change: 'pin', profiles: ['brindle'] }],
      ['everywhere pad/key-2 press', { kind: 'profile', change: 'next', profiles: ['brindle', 'hushbox'] }],
      ['everywhere pad/key-3 press', { kind: 'profile', change: 'automatic', profiles: [] }],
      ['brindle dial/dial clockwise', 'B', 'tap'],
      ['hushbox dial/dial clockwise', 'H', 'tap'],
      ['larkframe dial/dial clockwise', 'L', 'tap'],
    ],
    [
      '0 front larkframe',
      '1 turn dial/dial 18',
      ...key(1, 2, 3),
      '300 turn dial/dial 18',
      ...key(2, 400, 401),
      '600 turn dial/dial 18',
      ...key(3, 700, 701),
      '1000 turn dial/dial 18',
    ],
    '@1 +KeyL @1 -KeyL @300 +KeyB @300 -KeyB @600 +KeyH @600 -KeyH @1000 +KeyL @1000 -KeyL',
  ],
  [
    'what a press holds is let go when it changes the profile itself',
    [
      ['larkframe pad/key-1 press', 'Shift'],
      ['everywhere pad/key-2 press', { kind: 'profile', change: 'pin', profiles: ['brindle'] }],
    ],
    ['0 front larkframe', '1 down pad/key-1', ...key(2, 2, 3), '4 up pad/key-1'],
    '@1 +ShiftLeft @2 -ShiftLeft',
  ],
  [
    'a device that turns to another computer lets go here',
    [
      ['everywhere mouse/thumb-front press', 'Shift'],
      ['everywhere mouse/wheel press', { kind: 'computer', device: null, change: 'next', computer: 0 }],
    ],
    ['0 down mouse/thumb-front', '1 down mouse/wheel', '2 up mouse/thumb-front'],
    '@0 +ShiftLeft @1 -ShiftLeft',
  ],
])('%s', (_name, rows, lines, strokes) => {
  expect(played(rows, ...lines)).toBe(strokes);
});

test('a wheel changes between ratchet and free; of those held the newest counts, and none of it is left', () => {
  const rows: BoundRow[] = [
    ['everywhere pad/key-1 press', { kind: 'wheel-mode', device: 'mouse', change: 'toggle', mode: 'free' }],
    ['everywhere pad/key-2 press', { kind: 'wheel-mode', device: 'mouse', change: 'set', mode: 'ratchet' }],
    [
      'everywhere mouse/thumb-front press',
      { kind: 'wheel-mode', device: null, change: 'while-held', mode: 'free' },
    ],
    ['everywhere pad/key-3 press', { kind: 'wheel-mode', device: null, change: 'toggle', mode: 'free' }],
  ];
  const at = (...lines: string[]) => wheelModeNow(run(rows, ...lines).state, 'mouse', false);
  const thumb = ['2 down mouse/thumb-front', '3 up mouse/thumb-front'] as const;
  expect(at()).toBe('ratchet');
  expect(at(...key(1, 0, 1))).toBe('free');
  expect(at(...key(1, 0, 1), ...key(1, 2, 3))).toBe('ratchet');
  expect(at(thumb[0])).toBe('free');
  expect(at(...thumb)).toBe('ratchet');
  // What is set meanwhile is there afterwards.
  expect(at(thumb[0], ...key(1, 2.5, 2.6), thumb[1])).toBe('free');
  expect(at(...key(1, 0, 1), ...thumb, ...key(2, 4, 5))).toBe('ratchet');
  expect(run(rows, ...thumb).state.wheelModeHolds).toEqual({});
  // A pad without a wheel has none to change.
  expect(run(rows, ...key(3, 0, 1)).state.wheelModes).toEqual({});
  expect(wheelModeNow(run(rows).state, 'mouse', true)).toBe('free');
});

test('pointer speeds go round, and come back after being held', () => {
  const rows: BoundRow[] = [
    ['everywhere pad/key-1 press', { kind: 'speed', device: 'mouse', change: 'next', step: 0 }],
    ['everywhere mouse/thumb-front press', { kind: 'speed', device: null, change: 'while-held', step: 2 }],
  ];
  const at = (...lines: string[]) => run(rows, ...lines).state.speeds.mouse ?? 0;
  expect(at(...key(1, 0, 1))).toBe(1);
  expect(at(...key(1, 0, 1), ...key(1, 2, 3), ...key(1, 4, 5))).toBe(0);
  expect(at(...key(1, 0, 1), '2 down mouse/thumb-front')).toBe(2);
  expect(at(...key(1, 0, 1), '2 down mouse/thumb-front', '3 up mouse/thumb-front')).toBe(1);
});
