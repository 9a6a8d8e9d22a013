import { applyEdit, type BareStep, type Macro, numberSteps, type Setup } from '../setup/index.ts';
import { type BoundRow, bound, events, played, run, short, smallSetup } from '../testing/index.ts';
import { compile } from './compile.ts';
import { simulate } from './simulate.ts';
import { INITIAL_STATE } from './state.ts';
import { MOST_DUE, step } from './step.ts';

const speed = (at: number) => ({ kind: 'speed', device: 'mouse', change: 'while-held', step: at }) as const;
const SPEEDS: readonly BoundRow[] = [
  ['everywhere pad/key-1 press', speed(1)],
  ['everywhere pad/key-2 press', speed(2)],
  ['larkframe pad/key-3 press', speed(1), 'latch'],
  ['everywhere pedals/left press', { kind: 'speed', device: 'mouse', change: 'next', step: 0 }, 'tap'],
];
const speedsOf = (...lines: string[]) =>
  run(SPEEDS, ...lines).explanations.flatMap(({ t, changes }) =>
    changes.flatMap((change) => (change.kind === 'speed' ? [`${t}: ${change.at}`] : [])),
  );

test.each<[string, string[], string[]]>([
  [
    'the newest still held counts, let go in the order of pressing',
    ['0 down pad/key-1', '1 down pad/key-2', '2 up pad/key-1', '3 up pad/key-2'],
    ['0: 1', '1: 2', '3: 0'],
  ],
  [
    'let go in reverse',
    ['0 down pad/key-1', '1 down pad/key-2', '2 up pad/key-2', '3 up pad/key-1'],
    ['0: 1', '1: 2', '2: 1', '3: 0'],
  ],
  [
    'latched under one that is held, ended by a change of front',
    [
      '0 front larkframe',
      '1 down pad/key-3',
      '2 up pad/key-3',
      '3 down pad/key-2',
      '4 front brindle',
      '5 up pad/key-2',
    ],
    ['1: 1', '3: 2', '5: 0'],
  ],
  [
    'a step on while one is held shows when none is',
    ['0 down pad/key-2', '1 down pedals/left', '2 up pad/key-2'],
    ['0: 2', '2: 1'],
  ],
  [
    'a reset gives the first one back',
    ['0 down pad/key-1', '1 down pad/key-2', '2 reset'],
    ['0: 1', '1: 2', '2: 0'],
  ],
])('pointer speed while held: %s', (_name, lines, expected) => {
  // Those that change twice within one event are told in between as well.
  expect(
    speedsOf(...lines).filter((each, i, all) => each.split(':')[0] !== all[i + 1]?.split(':')[0]),
  ).toEqual(expected);
});

const DIAL = 'everywhere dial/dial';
const menu = { kind: 'radial', menu: 'ring' } as const;
const forHushbox = { target: { program: 'hushbox', focus: true } };
test.each<[string, readonly BoundRow[], string[], string]>([
  [
    'turned the way that is not bound pressed it is no press, and no hold either',
    [
      [`${DIAL} press`, 'P'],
      [`${DIAL} hold`, 'H'],
      [`${DIAL} pressed-clockwise`, 'C', 'tap'],
      [`${DIAL} anticlockwise`, 'B', 'tap'],
    ],
    ['0 down dial/dial', '10 turn dial/dial -18', '400 up dial/dial'],
    '@10 +KeyB @10 -KeyB',
  ],
  [
    'turned, a longer press that a guard waits for does not come, nor the tap of a release',
    [
      [`${DIAL} press`, 'P', 'follow', { guard: 'longer' }],
      [`${DIAL} clockwise`, 'C', 'tap'],
    ],
    ['0 down dial/dial', '10 turn dial/dial 1', '900 up dial/dial'],
    '',
  ],
  [
    'the tap of a release that was turned does not come',
    [[`${DIAL} press`, 'P', 'release']],
    ['0 down dial/dial', '10 turn dial/dial 1', '20 up dial/dial', '30 down dial/dial', '40 up dial/dial'],
    '@40 +KeyP @40 -KeyP',
  ],
  [
    'a pressed turn is looked up as it stood when the control went down, whatever layer comes on',
    [
      [`${DIAL} pressed-clockwise`, 'A', 'tap'],
      ['everywhere@second dial/dial pressed-clockwise', 'B', 'tap'],
      ['everywhere pad/key-1 press', { kind: 'layer', layer: 'second', mode: 'on' }],
    ],
    [
      '0 down dial/dial',
      '1 down pad/key-1',
      '2 turn dial/dial 18',
      '3 up dial/dial',
      '4 down dial/dial',
      '205 turn dial/dial 18',
    ],
    '@2 +KeyA @2 -KeyA @205 +KeyB @205 -KeyB',
  ],
  [
    'after a change of front a pressed turn is silent until its control comes up',
    [
      ['larkframe dial/dial pressed-clockwise', 'A', 'tap'],
      ['brindle dial/dial pressed-clockwise', 'B', 'tap'],
    ],
    [
      '0 front larkframe',
      '1 down dial/dial',
      '2 turn dial/dial 18',
      '3 front brindle',
      '4 turn dial/dial 18',
      '5 up dial/dial',
      '6 down dial/dial',
      '207 turn dial/dial 18',
    ],
    '@2 +KeyA @2 -KeyA @207 +KeyB @207 -KeyB',
  ],
  [
    'the movement that opens a menu by a nudge does not move inside it',
    [['everywhere pad/key-1 nudge-right', menu]],
    ['0 down pad/key-1', '1 move 200 0', '2 move 0 -20', '3 up pad/key-1'],
    '@3 +ControlLeft @3 +KeyZ @3 -KeyZ @3 -ControlLeft',
  ],
  [
    'a menu with a target sends its items there, also those of a menu it opens; in front it is not asked for again',
    [['everywhere pad/key-1 press', menu, 'follow', forHushbox]],
    ['0 down pad/key-1', '1 up pad/key-1', '2 move 0 100', '3 front hushbox', '4 move 100 0'],
    '@0 *hushbox @2 *hushbox @4 hushbox“wing”',
  ],
  [
    'a target is brought to the front once for a turn of many steps, and not at all when it is there',
    [[`${DIAL} clockwise`, 'A', 'tap', forHushbox]],
    ['0 turn dial/dial 36', '1 front hushbox', '202 turn dial/dial 18'],
    '@0 *hushbox @0 hushbox+KeyA @0 hushbox-KeyA @0 hushbox+KeyA @0 hushbox-KeyA @202 hushbox+KeyA @202 hushbox-KeyA',
  ],
  [
    'exactly 200 ms of rest resets the speed of a turn, less does not',
    [[`${DIAL} clockwise`, 'A', 'tap']],
    ['0 turn dial/dial 18', '200 turn dial/dial 18', '399 turn dial/dial 90'],
    `@0 +KeyA @0 -KeyA @200 +KeyA @200 -KeyA${' @399 +KeyA @399 -KeyA'.repeat(20)}`,
  ],
  [
    'a shuttle still away from rest after a reset is silent, on either side, until it was at rest',
    [
      ['everywhere shuttle/ring shuttle-clockwise', 'A', 'tap'],
      ['everywhere shuttle/ring shuttle-anticlockwise', 'B', 'tap'],
    ],
    [
      '0 to shuttle/ring 2',
      '10 reset',
      '20 to shuttle/ring 3',
      '30 to shuttle/ring -1',
      '2000 to shuttle/ring 0',
      '2001 to shuttle/ring 1',
    ],
    '@0 +KeyA @0 -KeyA @2001 +KeyA @2001 -KeyA',
  ],
  [
    'a shuttle that was gone begins anew',
    [['everywhere shuttle/ring shuttle-clockwise', 'A', 'tap']],
    ['0 to shuttle/ring 2', '10 detach shuttle', '20 to shuttle/ring 1'],
    '@0 +KeyA @0 -KeyA @20 +KeyA @20 -KeyA',
  ],
  [
    'endings come newest first over held and latched together',
    [
      ['larkframe pad/key-1 press', 'A'],
      ['larkframe pad/key-2 press', 'B', 'latch'],
      ['larkframe pad/key-3 press', 'C'],
    ],
    ['0 front larkframe', '1 down pad/key-1', '2 down pad/key-2', '3 down pad/key-3', '4 front brindle'],
    '@1 +KeyA @2 +KeyB @3 +KeyC @4 -KeyC @4 -KeyB @4 -KeyA',
  ],
  [
    'half a step left from unpressed completes nothing pressed',
    [
      [`${DIAL} clockwise`, 'A', 'tap'],
      [`${DIAL} pressed-clockwise`, 'B', 'tap'],
    ],
    ['0 turn dial/dial 10', '300 down dial/dial', '310 turn dial/dial 10', '610 turn dial/dial 8'],
    '@610 +KeyB @610 -KeyB',
  ],
  [
    'half a step left from another profile completes nothing',
    [
      ['larkframe dial/dial clockwise', 'A', 'tap'],
      ['brindle dial/dial clockwise', 'B', 'tap'],
    ],
    [
      '0 front larkframe',
      '1 turn dial/dial 10',
      '2 front brindle',
      '300 turn dial/dial 10',
      '600 turn dial/dial 8',
    ],
    '@600 +KeyB @600 -KeyB',
  ],
  [
    'a shortcut whose key another control holds lifts it and presses it again',
    [
      ['everywhere pad/key-1 press', 'Z'],
      ['everywhere pad/key-2 press', 'Ctrl+Z'],
    ],
    ['0 down pad/key-1', '1 down pad/key-2', '2 up pad/key-2', '3 up pad/key-1'],
    '@0 +KeyZ @1 -KeyZ @1 +ControlLeft @1 +KeyZ @2 -ControlLeft @3 -KeyZ',
  ],
  [
    'the same shortcut on two controls is counted',
    [
      ['everywhere pad/key-1 press', 'Ctrl+Z'],
      ['everywhere pad/key-2 press', 'Ctrl+Z'],
    ],
    ['0 down pad/key-1', '1 down pad/key-2', '2 up pad/key-1', '3 up pad/key-2'],
    '@0 +ControlLeft @0 +KeyZ @3 -KeyZ @3 -ControlLeft',
  ],
  [
    'a sequence presses a held key again for each of its shortcuts',
    [
      ['everywhere pad/key-1 press', 'Z'],
      ['everywhere pad/key-2 press', { kind: 'sequence', shortcuts: ['Ctrl+Z', 'Z'] }, 'tap'],
    ],
    ['0 down pad/key-1', '1 down pad/key-2'],
    '@0 +KeyZ @1 -KeyZ @1 +ControlLeft @1 +KeyZ @1 -ControlLeft @1 -KeyZ @1 +KeyZ',
  ],
  [
    'a second press for a guard in a once-layer is confirmed there',
    [
      ['everywhere pad/key-1 press', { kind: 'layer', layer: 'second', mode: 'once' }, 'tap'],
      ['everywhere@second pad/key-2 press', 'A', 'tap', { guard: 'second' }],
      ['everywhere pad/key-2 press', 'B', 'tap'],
    ],
    [
      '0 down pad/key-1',
      '1 up pad/key-1',
      '2 down pad/key-2',
      '3 up pad/key-2',
      '4 down pad/key-2',
      '5 up pad/key-2',
      '6 down pad/key-2',
    ],
    '@4 +KeyA @4 -KeyA @6 +KeyB @6 -KeyB',
  ],
  [
    'a full stop or a comma at a phrase’s end does not matter',
    [['everywhere voice/phrase-1 phrase', 'A', 'tap']],
    ['0 said Take the frame.', '1 said take the frame,', '2 said take. the frame'],
    '@0 +KeyA @0 -KeyA @1 +KeyA @1 -KeyA',
  ],
  [
    'a device that changes computers with Shift down sends the up to the one that got the down',
    [
      ['everywhere mouse/left press', 'Shift'],
      [
        'everywhere mouse/thumb-front press',
        { kind: 'computer', device: null, change: 'next', computer: 0 },
        'tap',
      ],
    ],
    [
      '0 down mouse/thumb-front',
      '1 up mouse/thumb-front',
      '2 down mouse/left',
      '3 down mouse/thumb-front',
      '4 up mouse/left',
      '5 down mouse/left',
    ],
    '@2 Loft:+ShiftLeft @3 Loft:-ShiftLeft @5 +ShiftLeft',
  ],
  [
    'the same key of two computers is two keys',
    [
      ['everywhere mouse/left press', 'Shift'],
      [
        'everywhere mouse/thumb-front press',
        { kind: 'computer', device: null, change: 'next', computer: 0 },
        'tap',
      ],
      ['everywhere pad/key-1 press', 'Shift'],
    ],
    [
      '0 down mouse/thumb-front',
      '1 down mouse/left',
      '2 down pad/key-1',
      '3 up mouse/left',
      '4 up pad/key-1',
    ],
    '@1 Loft:+ShiftLeft @2 +ShiftLeft @3 Loft:-ShiftLeft @4 -ShiftLeft',
  ],
])('%s', (_name, rows, lines, expected) => {
  expect(played(rows, ...lines)).toBe(expected);
});

test('a stroke carries the device whose use is behind it', () => {
  const { strokes } = run(
    [
      ['everywhere pad/key-1 press', 'Shift'],
      ['everywhere pedals/left press', 'Shift'],
    ],
    ...['0 down pad/key-1', '1 down pedals/left', '2 up pad/key-1', '3 up pedals/left'],
  );
  expect(strokes.map(({ device }) => device)).toEqual(['pad', 'pedals']);
});

test('a menu that another one replaces says that it is closed', () => {
  const second = {
    ...smallSetup().radialMenus[0],
    id: 'second',
    name: 'Second',
  } as Setup['radialMenus'][number];
  const setup = smallSetup();
  const made = bound(
    [
      ['everywhere pad/key-1 press', menu],
      ['everywhere pad/key-2 press', { kind: 'radial', menu: 'second' }],
    ],
    { ...setup, radialMenus: [...setup.radialMenus, second] },
  );
  const { explanations } = simulate(made, events('0 down pad/key-1', '1 down pad/key-2'));
  expect(explanations[1]?.changes).toEqual([
    { kind: 'radial-closed', of: expect.objectContaining({ menu: 'ring' }), item: null },
    { kind: 'radial-open', of: expect.objectContaining({ menu: 'second' }) },
  ]);
});

/** A macro in place of the small rig's first one, and what is bound. */
function withMacros(
  macros: readonly (Partial<Macro> & { steps: Macro['steps'] })[],
  rows: readonly BoundRow[],
): Setup {
  const setup = smallSetup();
  const [first] = setup.macros;
  if (!first) throw new Error('no macro');
  return bound(rows, { ...setup, macros: macros.map((macro) => ({ ...first, ...macro })) });
}
const steps = (...bare: BareStep[]) => numberSteps(bare);
const HELD = steps(
  { kind: 'key-down', code: 'KeyA' },
  { kind: 'wait', ms: 1000 },
  { kind: 'key-up', code: 'KeyA' },
);
const LAYER_ON = { kind: 'layer', layer: 'second', on: true } as const;
const LAYER_OFF = { ...LAYER_ON, on: false } as const;

test.each<[string, Setup, string[], string]>([
  [
    'a held macro marked so goes on over a change of front, until its control comes up',
    withMacros(
      [{ run: 'held', goesOn: true, steps: HELD }],
      [['larkframe pad/key-1 press', { kind: 'macro', macro: 'plain' }]],
    ),
    ['0 front larkframe', '1 down pad/key-1', '500 front brindle', '600 up pad/key-1'],
    '@1 +KeyA @600 -KeyA',
  ],
  [
    'a latched one goes on too; what is not marked ends',
    withMacros(
      [
        { run: 'held', goesOn: true, steps: HELD },
        { id: 'other', run: 'held', steps: steps({ kind: 'key-down', code: 'KeyB' }) },
      ],
      [
        ['larkframe pad/key-1 press', { kind: 'macro', macro: 'plain' }, 'latch'],
        ['larkframe pad/key-2 press', { kind: 'macro', macro: 'other' }, 'latch'],
      ],
    ),
    [
      ...['0 front larkframe', '1 down pad/key-1', '2 up pad/key-1', '3 down pad/key-2', '4 front brindle'],
      ...['1002 time', '1100 front larkframe', '1101 down pad/key-1', '1102 up pad/key-1'],
    ],
    '@1 +KeyA @3 +KeyB @4 -KeyB @1001 -KeyA @1001 +KeyA @1101 -KeyA',
  ],
  [
    'a layer that two macros keep on stays while one still does; one that set none takes it from all',
    withMacros(
      [
        { steps: steps(LAYER_ON) },
        { id: 'two', name: 'Two', steps: steps(LAYER_ON) },
        { id: 'off', name: 'Off', steps: steps(LAYER_OFF) },
      ],
      [
        ['larkframe pad/key-1 press', { kind: 'macro', macro: 'plain' }],
        ['everywhere pad/key-2 press', { kind: 'macro', macro: 'two' }],
        ['everywhere@second pad/key-3 press', { kind: 'macro', macro: 'off' }],
        ['everywhere pad/key-3 press', 'B', 'tap'],
        ['everywhere@second pedals/left press', 'L', 'tap'],
      ],
    ),
    [
      ...[
        '0 front larkframe',
        '1 down pad/key-1',
        '2 down pad/key-2',
        '3 front brindle',
        '4 down pedals/left',
      ],
      ...['5 up pedals/left', '6 down pad/key-3', '7 up pad/key-3', '8 down pad/key-3'],
    ],
    '@4 +KeyL @4 -KeyL @8 +KeyB @8 -KeyB',
  ],
  [
    'a second control that restarts a held macro takes it over',
    withMacros(
      [{ run: 'held', again: 'restart', steps: HELD }],
      [
        ['everywhere pad/key-1 press', { kind: 'macro', macro: 'plain' }],
        ['everywhere pad/key-2 press', { kind: 'macro', macro: 'plain' }],
      ],
    ),
    ['0 down pad/key-1', '100 down pad/key-2', '200 up pad/key-1', '300 up pad/key-2'],
    '@0 +KeyA @100 -KeyA @100 +KeyA @300 -KeyA',
  ],
])('macros: %s', (_name, setup, lines, expected) => {
  expect(short(simulate(setup, events(...lines)))).toBe(expected);
});

test('the strokes of a run that waited name the press that asked for it', () => {
  const setup = withMacros(
    [{ again: 'queue', steps: steps({ kind: 'wait', ms: 10 }, { kind: 'shortcut', shortcut: 'A' }) }],
    [
      ['everywhere pad/key-1 press', { kind: 'macro', macro: 'plain' }],
      ['everywhere pedals/left press', { kind: 'macro', macro: 'plain' }],
    ],
  );
  const { strokes } = simulate(setup, events('0 down pad/key-1', '5 down pedals/left', '100 time'));
  expect(strokes.map(({ t, cause, device }) => [t, cause, device])).toEqual([
    [10, 1, 'pad'],
    [10, 1, 'pad'],
    [20, 2, 'pedals'],
    [20, 2, 'pedals'],
  ]);
});

test('a run ends as it began, whatever becomes of its macro; without the binding that began it, it stops', () => {
  const setup = withMacros(
    [{ steps: HELD }],
    [['everywhere pad/key-1 press', { kind: 'macro', macro: 'plain' }]],
  );
  const edited = (fields: Parameters<typeof applyEdit>[1]) => {
    const applied = applyEdit(setup, fields);
    if (!applied.ok) throw new Error(applied.problem.code);
    let compiled = compile(setup);
    const [down, told, later, again] = events(
      '0 down pad/key-1',
      '5 edited',
      '1100 up pad/key-1',
      '1101 down pad/key-1',
    );
    if (!down || !told || !later || !again) throw new Error('no events');
    const { state } = step(compiled, INITIAL_STATE, down);
    compiled = compile(applied.value.setup, compiled);
    const after = step(compiled, state, told);
    const ended = step(compiled, after.state, later);
    return [after, ended, step(compiled, ended.state, again)].map(short).join(' | ');
  };
  const [first] = HELD;
  const other = { kind: 'set', at: `macros/plain/steps/${first?.id}`, fields: { code: 'KeyB' } } as const;
  expect(edited(other)).toBe(' | @1000 -KeyA | @1101 +KeyB');
  expect(edited({ kind: 'remove', at: 'profiles/everywhere/bindings/base/pad/key-1/press' })).toBe(
    '@5 -KeyA |  | ',
  );
});

test('at most so many strokes fall due in one step; beyond that each thing that goes on ends, and says why', () => {
  const [repeats, ring] = [
    ['everywhere pad/key-1 press', 'A', 'repeat', { repeat: { delayMs: 10, everyMs: 5 } }],
    ['everywhere shuttle/ring shuttle-clockwise', 'B', 'tap'],
  ] as const satisfies BoundRow[];
  const { strokes, explanations, state } = run(
    [repeats, ring],
    '0 down pad/key-1',
    '1 to shuttle/ring 7',
    '8000000 time',
    '8000001 up pad/key-1',
  );
  expect(strokes.length).toBeLessThan(MOST_DUE + 10);
  expect(strokes.length).toBeGreaterThan(MOST_DUE - 10);
  const ended = explanations.filter(({ outcome }) => outcome.kind === 'too-many');
  expect(ended.map(({ event }) => 'device' in event && event.device).toSorted()).toEqual(['pad', 'shuttle']);
  expect(state.deadlines).toEqual([]);
  expect(explanations.at(-1)?.outcome).toMatchObject({ kind: 'released', silent: true });
});

test('a device that is not in the set-up neither connects nor goes', () => {
  const { explanations } = run([], '0 attach zz', '1 detach zz', '2 attach pad');
  expect(explanations.map(({ outcome }) => outcome)).toEqual([
    { kind: 'ignored', why: 'unknown-device' },
    { kind: 'ignored', why: 'unknown-device' },
    { kind: 'noted' },
  ]);
});
