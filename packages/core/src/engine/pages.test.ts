import { type Action, applyEdit, type Edit, itemAt, newPage, type Setup } from '../setup/index.ts';
import { type BoundRow, bound, events, run, short, smallSetup } from '../testing/index.ts';
import { compile } from './compile.ts';
import { simulate } from './simulate.ts';
import { INITIAL_STATE } from './state.ts';
import { advance, step } from './step.ts';

const page = (change: Extract<Action, { kind: 'page' }>['change'], to: string | null = null): Action => ({
  kind: 'page',
  change,
  page: to,
  device: null,
});
const key = (number: number, from: number, to = from + 1) => [
  `${from} down pad/key-${number}`,
  `${to} up pad/key-${number}`,
];
const dialPress = (from: number) => [`${from} down dial/dial`, `${from + 1} up dial/dial`];
/** A step of the dial: 18°. */
const turn = (at: number, steps = 1) => `${at} turn dial/dial ${steps * 18}`;

/** A on the pad itself; key 2 opens the drawer with B and a way back; key 3 in there opens the folder inside. */
const DRAWERS: BoundRow[] = [
  ['everywhere pad/key-1 press', 'A'],
  ['everywhere pad/key-2 press', page('open', 'drawer')],
  ['everywhere@drawer pad/key-1 press', 'B'],
  ['everywhere@drawer pad/key-2 press', page('back')],
  ['everywhere@drawer pad/key-3 press', page('open', 'inner')],
  ['everywhere@inner pad/key-1 press', 'C'],
  ['everywhere@inner pad/key-2 press', page('back')],
  ['everywhere@inner pad/key-3 press', page('home')],
];

/** The dial: X by itself, F and S in Larkframe's sets, B in Brindle's, W in that of no program; its press goes on. */
const SETS: BoundRow[] = [
  ['everywhere dial/dial clockwise', 'X', 'tap'],
  ['everywhere@frames dial/dial clockwise', 'F', 'tap'],
  ['everywhere@strip dial/dial clockwise', 'S', 'tap'],
  ['everywhere@sizes dial/dial clockwise', 'B', 'tap'],
  ['everywhere@words dial/dial clockwise', 'W', 'tap'],
  ['everywhere dial/dial press', page('next-set')],
];
const ASKS: BoundRow[] = [...SETS.slice(0, -1), ['everywhere dial/dial press', page('ask')]];
/** The small rig with a dial that counts each step once, however fast it is turned. */
function calm(): Setup {
  const setup = smallSetup();
  const [dial, ...others] = setup.devices;
  if (!dial) throw new Error('no dial');
  const controls = dial.controls.map((control) => ({
    ...control,
    rotor: control.rotor && { ...control.rotor, speedUp: null },
  }));
  return { ...setup, devices: [{ ...dial, controls }, ...others] };
}
const tapped = (code: string, at: number) => `@${at} +Key${code} @${at} -Key${code}`;

test.each<[string, readonly BoundRow[], string[], string]>([
  [
    // Common practice, no source: a folder key gives commands inside, and a way back.
    'a folder opens on top and has a way back',
    DRAWERS,
    [...key(1, 0), ...key(2, 2), ...key(1, 4), ...key(2, 6), ...key(1, 8)],
    '@0 +KeyA @1 -KeyA @4 +KeyB @5 -KeyB @8 +KeyA @9 -KeyA',
  ],
  [
    'folders in folders: back goes to the one below, home closes all',
    DRAWERS,
    [
      ...[...key(2, 0), ...key(3, 2), ...key(1, 4), ...key(2, 6), ...key(1, 8)],
      ...[...key(3, 10), ...key(3, 12), ...key(1, 14)],
    ],
    '@4 +KeyC @5 -KeyC @8 +KeyB @9 -KeyB @14 +KeyA @15 -KeyA',
  ],
  [
    'what is not set in a folder is nothing, whatever the control does by itself',
    [
      ['everywhere mouse/left press', 'A'],
      ['everywhere pedals/left press', page('open', 'paints')],
    ],
    ['0 front brindle', '1 down pedals/left', '2 up pedals/left', '3 down mouse/left', '4 up mouse/left'],
    '',
  ],
  [
    'but turns and slides show through it, pressed turns too',
    [
      ...DRAWERS,
      ['everywhere pad/upper-knob clockwise', 'T', 'tap'],
      ['everywhere pad/upper-knob pressed-clockwise', 'P', 'tap'],
      ['everywhere pad/upper-knob press', 'K'],
    ],
    [
      ...key(2, 0),
      '2 detents pad/upper-knob 1',
      '3 down pad/upper-knob',
      '4 detents pad/upper-knob 1',
      '5 up pad/upper-knob',
    ],
    `${tapped('T', 2)} ${tapped('P', 4)}`,
  ],
  [
    'a folder may let through what is not set in it, from below all folders',
    [
      ...DRAWERS.filter(([place]) => place !== 'everywhere@inner pad/key-1 press'),
      ['everywhere pedals/left press', page('open', 'inner')],
    ],
    // From the drawer into the folder inside: what shows through is the pad's own A, not the drawer's B.
    [...key(2, 0), ...key(3, 2), ...key(1, 4)],
    '@4 +KeyA @5 -KeyA',
  ],
  [
    'a cell of a page that does not show does nothing, one of every page works on all; a key that went down comes up',
    [
      ['everywhere panel/cell-1 press', 'A'],
      ['everywhere panel/cell-2 press', page('open', 'takes')],
      ['everywhere@takes panel/cell-3 press', 'C'],
      ['everywhere@puppets panel/cell-4 press', 'D'],
      ['everywhere pedals/left press', page('choose', 'puppets')],
    ],
    [
      // Not shown yet; at home; the cell goes away while it is down.
      ...['0 down panel/cell-3', '1 up panel/cell-3', '2 down panel/cell-1', '3 down panel/cell-2'],
      ...['4 up panel/cell-2', '5 up panel/cell-1', '6 down panel/cell-1', '7 up panel/cell-1'],
      // In the folder, though it lets nothing through: its own cell, and that of every page (which opens it again).
      ...['8 down panel/cell-3', '9 up panel/cell-3', '10 down panel/cell-2', '11 up panel/cell-2'],
      // A set takes the place of home, below the folder.
      ...['12 down pedals/left', '13 up pedals/left', '14 down panel/cell-4', '15 up panel/cell-4'],
    ],
    '@2 +KeyA @5 -KeyA @8 +KeyC @9 -KeyC',
  ],
  [
    'a cell of the page that the one which shows is based on does what it does there; those of others do nothing',
    [
      ['everywhere panel/cell-2 press', page('open', 'third-takes')],
      ['everywhere@takes panel/cell-3 press', 'C'],
      ['everywhere@third-takes panel/cell-3 press', 'X'],
      ['everywhere@puppets panel/cell-4 press', 'D'],
      ['everywhere panel/cell-1 press', 'A'],
      ['everywhere@second panel/cell-3 press', 'L'],
      ['everywhere pedals/left press', { kind: 'layer', layer: 'second', mode: 'on' }],
    ],
    [
      ...['0 down panel/cell-2', '1 up panel/cell-2', '2 down panel/cell-3', '3 up panel/cell-3'],
      ...['4 down panel/cell-4', '5 up panel/cell-4', '6 down panel/cell-1', '7 up panel/cell-1'],
      // A layer lies over it, as over any page.
      ...['8 down pedals/left', '9 down panel/cell-3', '10 up panel/cell-3', '11 up pedals/left'],
    ],
    '@2 +KeyC @3 -KeyC @9 +KeyL @10 -KeyL',
  ],
  [
    'a layer that is on lies over the folder, a profile’s chain counts in it',
    [
      ...DRAWERS,
      ['larkframe@drawer pad/key-1 press', 'D'],
      ['everywhere@second pad/key-1 press', 'L'],
      ['everywhere pedals/left press', { kind: 'layer', layer: 'second', mode: 'on' }],
    ],
    [
      '0 front larkframe',
      ...key(2, 1),
      ...key(1, 3),
      '5 down pedals/left',
      ...key(1, 6),
      '8 up pedals/left',
      '9 front hushbox',
      ...key(1, 10),
    ],
    '@3 +KeyD @4 -KeyD @6 +KeyL @7 -KeyL @10 +KeyB @11 -KeyB',
  ],
  [
    'a folder of a program closes when another comes to the front; one of none stays, also on top of it',
    [
      ...DRAWERS,
      ['everywhere pad/key-3 press', page('open', 'lark-drawer')],
      ['everywhere@lark-drawer pad/key-1 press', 'L'],
      ['everywhere@lark-drawer pad/key-2 press', page('open', 'drawer')],
    ],
    [
      ...['0 front larkframe', ...key(3, 1), ...key(1, 3), '5 front brindle', ...key(1, 6)],
      ...['8 front larkframe', ...key(1, 9), ...key(3, 11), ...key(2, 13), '15 front brindle', ...key(1, 16)],
      // Back from the drawer: the folder under it is closed.
      ...[...key(2, 18), ...key(1, 20)],
    ],
    '@3 +KeyL @4 -KeyL @6 +KeyA @7 -KeyA @9 +KeyA @10 -KeyA @16 +KeyB @17 -KeyB @20 +KeyA @21 -KeyA',
  ],
  [
    'a folder of a program that is not in front does not open',
    [
      ['everywhere pad/key-3 press', page('open', 'lark-drawer')],
      ['everywhere@lark-drawer pad/key-1 press', 'L'],
      ['everywhere pad/key-1 press', 'A'],
    ],
    ['0 front brindle', ...key(3, 1), ...key(1, 3)],
    '@3 +KeyA @4 -KeyA',
  ],
  [
    'what was pressed before the page changed comes up as usual',
    DRAWERS,
    ['0 down pad/key-1', ...key(2, 1), '3 up pad/key-1', '4 down pad/key-1', ...key(2, 5), '7 up pad/key-1'],
    '@0 +KeyA @3 -KeyA @4 +KeyB @7 -KeyB',
  ],
  [
    'a key held in a folder of a program is let go when another comes to the front',
    [
      ['everywhere pad/key-3 press', page('open', 'lark-drawer')],
      ['larkframe@lark-drawer pad/key-1 press', 'L'],
    ],
    ['0 front larkframe', ...key(3, 1), '3 down pad/key-1', '5 front brindle', '7 up pad/key-1'],
    '@3 +KeyL @5 -KeyL',
  ],
  [
    'next set: the program’s in the person’s order, then those of none, then the device’s own',
    SETS,
    [
      ...['0 front larkframe', turn(1), ...dialPress(2), turn(4), ...dialPress(5), turn(7)],
      ...[...dialPress(8), turn(10), ...dialPress(11), turn(13)],
    ],
    ['F 1', 'S 4', 'W 7', 'X 10', 'F 13']
      .map((each) => tapped(each[0] ?? '', Number(each.slice(2))))
      .join(' '),
  ],
  [
    'the set chosen last is remembered for each program, and is there again when it comes back',
    SETS,
    [
      ...[
        '0 front larkframe',
        ...dialPress(1),
        turn(3),
        '4 front brindle',
        turn(5),
        ...dialPress(6),
        turn(8),
      ],
      ...['9 front larkframe', turn(10), '11 front brindle', turn(12), '13 front hushbox', turn(14)],
    ],
    ['S 3', 'X 5', 'B 8', 'S 10', 'B 12', 'X 14']
      .map((each) => tapped(each[0] ?? '', Number(each.slice(2))))
      .join(' '),
  ],
  [
    'a set that follows is the one at first; the device’s own can be chosen in its place, and stays',
    [...SETS.slice(0, -1), ['everywhere pad/key-1 press', { ...page('choose'), device: 'dial' } as Action]],
    ['0 front larkframe', turn(1), ...key(1, 2), turn(4), '5 front brindle', '6 front larkframe', turn(7)],
    `${tapped('F', 1)} ${tapped('X', 4)} ${tapped('X', 7)}`,
  ],
  [
    'reset forgets what was chosen, detach does not',
    SETS,
    [
      ...['0 front larkframe', ...dialPress(1), '3 detach dial', turn(4), '5 reset', turn(6)],
      ...[...dialPress(7), turn(9)],
    ],
    `${tapped('S', 4)} ${tapped('F', 6)} ${tapped('S', 9)}`,
  ],
  [
    'detach and reset close the folders of the device, or of all',
    DRAWERS,
    [
      ...key(2, 0),
      '2 detach dial',
      ...key(1, 3),
      '5 detach pad',
      ...key(1, 6),
      ...key(2, 8),
      '10 reset',
      ...key(1, 11),
    ],
    '@3 +KeyB @4 -KeyB @6 +KeyA @7 -KeyA @11 +KeyA @12 -KeyA',
  ],
  [
    'asked: turning goes round the sets from the one that is on, pressing chooses',
    ASKS,
    ['0 front larkframe', ...dialPress(1), turn(3), turn(4), ...dialPress(5), turn(7)],
    // From Frames one step to Strip, another to Words.
    tapped('W', 7),
  ],
  [
    'asked: turned the other way; half a step is none; held and let go chooses too',
    ASKS,
    [
      '0 front larkframe',
      '1 down dial/dial',
      '2 turn dial/dial -9',
      '3 turn dial/dial -9',
      '4 up dial/dial',
      turn(5),
    ],
    tapped('X', 5),
  ],
  [
    'asked: by the pointer as well, and what trembles in the middle changes nothing that was turned to',
    ASKS,
    [
      ...['0 front larkframe', ...dialPress(1), '3 move 0 -95', turn(4), ...dialPress(5), turn(7)],
      ...['8 move 3 3', ...dialPress(9), turn(11)],
    ],
    // Past the rim at the top: the device's own. Then from there one step to Frames.
    `${tapped('X', 4)} ${tapped('F', 11)}`,
  ],
  [
    'asked: pressed at once it closes, and all is as it was',
    ASKS,
    ['0 front larkframe', ...dialPress(1), ...dialPress(3), turn(5)],
    tapped('F', 5),
  ],
  [
    'asked: another program in front has other sets, so it closes',
    ASKS,
    ['0 front larkframe', ...dialPress(1), turn(3), '4 front brindle', turn(5)],
    tapped('X', 5),
  ],
])('%s', (_name, rows, lines, strokes) => {
  expect(short(simulate(bound(rows, calm()), events(...lines)))).toBe(strokes);
});

test('more than twenty open: the oldest is forgotten, the way back stays', () => {
  const rows: BoundRow[] = [
    ['everywhere pad/key-1 press', page('open', 'drawer')],
    ['everywhere@drawer pad/key-1 press', page('open', 'inner')],
    ['everywhere@inner pad/key-1 press', page('open', 'drawer')],
    ['everywhere@inner pad/key-2 press', page('back')],
  ];
  const lines = Array.from({ length: 30 }, (_, i) => key(1, 2 * i)).flat();
  const { state } = run(rows, ...lines, ...key(2, 60));
  expect(state.folders.pad).toHaveLength(19);
  expect(state.folders.pad?.at(-1)).toBe('drawer');
});

test('pages that come and go are told, and those that cannot', () => {
  const rows: BoundRow[] = [
    ...DRAWERS,
    ['everywhere@base dial/dial press', page('next-set')],
    ['everywhere mouse/thumb-front press', page('open', 'lark-drawer')],
    ['everywhere pedals/left press', page('next-set')],
    ['everywhere pedals/right press', page('ask')],
  ];
  const { explanations } = run(
    rows,
    ...key(2, 0),
    ...key(2, 2),
    '4 front larkframe',
    ...dialPress(5),
    '7 front brindle',
    '8 down mouse/thumb-front',
    '9 down pedals/left',
    '10 down pedals/right',
  );
  const none = { device: 'pedals', page: null, why: 'no-sets' };
  expect(explanations.flatMap(({ changes }) => changes).filter(({ kind }) => kind !== 'profile')).toEqual([
    { kind: 'page', device: 'pad', folder: 'drawer', set: null },
    { kind: 'page', device: 'pad', folder: null, set: null },
    { kind: 'page', device: 'dial', folder: null, set: 'frames' },
    { kind: 'page', device: 'dial', folder: null, set: 'strip' },
    { kind: 'page', device: 'dial', folder: null, set: null },
    { kind: 'no-page', device: 'pad', page: 'lark-drawer', why: 'other-program' },
    { kind: 'no-page', ...none },
    { kind: 'no-page', ...none },
  ]);
});

test('the explanation says which page decided, or which one covers', () => {
  const { explanations } = run(
    DRAWERS,
    ...key(2, 0),
    ...key(1, 2),
    ...key(3, 4),
    '6 down pad/key-1',
    ...key(2, 7),
  );
  const pressed = explanations.flatMap(({ outcome, event }) =>
    outcome.kind === 'pressed' && event.kind === 'down' && event.control === 'key-1'
      ? [outcome.resolution]
      : [],
  );
  expect(pressed[0]?.decided).toMatchObject({ layer: 'drawer', profile: 'everywhere' });
  // Nothing under a folder that covers is looked at.
  expect(pressed[0]?.looked.map(({ layer }) => layer)).toEqual(['drawer']);
  const covered = run(
    [['everywhere pad/key-2 press', page('open', 'drawer')]],
    ...key(2, 0),
    '2 down pad/key-1',
  );
  expect(covered.explanations.at(-1)?.outcome).toMatchObject({
    kind: 'pressed',
    resolution: { decided: null, covered: 'drawer' },
  });
});

/** Runs events with edits in between, each as it stands in the list. */
function withEdits(setup: Setup, parts: readonly (readonly string[] | Edit)[]): string {
  let current = setup;
  let compiled = compile(setup);
  let state = INITIAL_STATE;
  const strokes = parts.flatMap((part) => {
    if (!('kind' in part)) {
      return events(...part).flatMap((event) => {
        const stepped = step(compiled, state, event);
        state = stepped.state;
        return stepped.strokes;
      });
    }
    const applied = applyEdit(current, part);
    if (!applied.ok) throw new Error(applied.problem.code);
    current = applied.value.setup;
    compiled = compile(current, compiled);
    state = advance(compiled, state, state.now).state;
    const stepped = step(compiled, state, { kind: 'edited', t: state.now });
    state = stepped.state;
    return stepped.strokes;
  });
  return short({ strokes });
}

const set = (at: string, fields: Record<string, unknown>): Edit => ({ kind: 'set', at, fields });

test.each<[string, readonly BoundRow[], readonly (readonly string[] | Edit)[], string]>([
  [
    'a folder that is deleted while it is open closes; a key held by what was bound on it holds until it comes up',
    DRAWERS.filter(([place]) => place !== 'everywhere pad/key-2 press'),
    [
      set('profiles/everywhere/bindings/base/pad/key-2/press', {
        'behaviour.action': page('open', 'lark-drawer'),
      }),
      ['0 front larkframe', ...key(2, 1)],
      set('profiles/everywhere/bindings/lark-drawer/pad/key-1/press', {
        'behaviour.action': { kind: 'shortcut', shortcut: 'L' },
      }),
      ['3 down pad/key-1'],
      { kind: 'remove', at: 'profiles/everywhere/bindings/base/pad/key-2/press' },
      { kind: 'remove', at: itemAt.page('lark-drawer') },
      ['5 up pad/key-1', ...key(1, 6)],
    ],
    '@3 +KeyL @5 -KeyL @6 +KeyA @7 -KeyA',
  ],
  [
    'a folder given to another program closes',
    DRAWERS,
    [['0 front larkframe', ...key(2, 1)], set(itemAt.page('drawer'), { program: 'brindle' }), key(1, 3)],
    '@3 +KeyA @4 -KeyA',
  ],
  [
    'a folder that lets through from now on does so at the next press',
    [...DRAWERS.filter(([place]) => place !== 'everywhere@drawer pad/key-1 press')],
    [[...key(2, 0), ...key(1, 2)], set(itemAt.page('drawer'), { showsThrough: true }), key(1, 4)],
    '@4 +KeyA @5 -KeyA',
  ],
  [
    'a set that is deleted gives way to the one that follows, and is chosen still when it is put back',
    SETS,
    [
      ['0 front larkframe', ...dialPress(1), turn(3)],
      { kind: 'remove', at: itemAt.page('strip') },
      [turn(4)],
      {
        kind: 'add',
        at: itemAt.page('strip'),
        item: newPage({ id: 'strip', device: 'dial', kind: 'set', name: 'Strip', program: 'larkframe' }),
        after: 'frames',
      },
      set('profiles/everywhere/bindings/strip/dial/dial/clockwise', {
        'behaviour.action': { kind: 'shortcut', shortcut: 'S' },
      }),
      [turn(5)],
    ],
    `${tapped('S', 3)} ${tapped('F', 4)} ${tapped('S', 5)}`,
  ],
  [
    'sets in another order: the next one is the next of the new order',
    SETS,
    [
      ['0 front larkframe'],
      { kind: 'move', at: itemAt.page('frames'), after: 'sizes' },
      [...dialPress(1), turn(3)],
    ],
    // Strip comes first now, and Frames, which follows, is on at first: after it the one of no program.
    tapped('W', 3),
  ],
  [
    'sets that are added while they are asked for close the menu',
    ASKS,
    [
      ['0 front larkframe', ...dialPress(1), turn(3)],
      {
        kind: 'add',
        at: itemAt.page('more'),
        item: newPage({ id: 'more', device: 'dial', kind: 'set', name: 'More' }),
        after: null,
      },
      [turn(4)],
    ],
    tapped('F', 4),
  ],
])('%s', (_name, rows, parts, strokes) => {
  expect(withEdits(bound(rows, calm()), parts)).toBe(strokes);
});

test('a device at another computer has the sets of the program in front there', () => {
  const rows: BoundRow[] = [
    ['everywhere mouse/thumb-front press', 'A'],
    ['everywhere@paints mouse/thumb-front press', 'P'],
    ['everywhere pad/key-1 press', page('open', 'paints')],
    ['everywhere pad/key-2 press', { kind: 'computer', device: 'mouse', change: 'next', computer: 0 }],
  ];
  const thumb = (at: number) => [`${at} down mouse/thumb-front`, `${at + 1} up mouse/thumb-front`];
  const setup = bound(rows, smallSetup());
  const { strokes } = simulate(
    setup,
    events(
      '0 front brindle',
      ...[...key(1, 1), ...thumb(3)],
      // There nothing is in front: a folder of Brindle closes.
      ...[...key(2, 5), ...thumb(7), ...key(1, 9), ...thumb(11)],
      '13 front-of Loft brindle',
      ...[...key(1, 14), ...thumb(16)],
    ),
  );
  expect(short({ strokes })).toBe(
    '@3 +KeyP @4 -KeyP @7 Loft:+KeyA @8 Loft:-KeyA @11 Loft:+KeyA @12 Loft:-KeyA @16 Loft:+KeyP @17 Loft:-KeyP',
  );
});
