import type { Behaviour } from '../setup/index.ts';
import { type BoundRow, played, run } from '../testing/index.ts';

const KEY = 'everywhere pad/key-1';
const LONGER: BoundRow = [`${KEY} press`, 'Ctrl+Delete', 'follow', { guard: 'longer' }];
const SECOND: BoundRow = [`${KEY} press`, 'A', 'tap', { guard: 'second' }];
const heard = (heardBy: string[], sends: Extract<Behaviour, { kind: 'off' }>['sends'] = null): Behaviour => ({
  kind: 'off',
  heardBy,
  sends,
});
const MENU: BoundRow = [`${KEY} press`, { kind: 'radial', menu: 'ring' }];

test.each<[string, readonly BoundRow[], string[], string]>([
  // Guards: 600 ms for a longer press, 2 s for a second one.
  [
    'a longer press: one tick too short sends nothing, exactly 600 ms goes down and follows',
    [LONGER],
    ['0 down pad/key-1', '599 up pad/key-1', '1000 down pad/key-1', '1700 up pad/key-1'],
    '@1600 +ControlLeft @1600 +Delete @1700 -Delete @1700 -ControlLeft',
  ],
  [
    'a longer press after a hold counts from when it went down',
    [[`${KEY} hold`, 'A', 'follow', { guard: 'longer' }]],
    ['0 down pad/key-1', '700 up pad/key-1'],
    '@600 +KeyA @700 -KeyA',
  ],
  [
    'a longer press that is decided at up must have been long enough',
    [
      [`${KEY} press`, 'A', 'tap', { guard: 'longer' }],
      [`${KEY} nudge-up`, 'U'],
    ],
    ['0 down pad/key-1', '599 up pad/key-1', '1000 down pad/key-1', '1600 up pad/key-1'],
    '@1600 +KeyA @1600 -KeyA',
  ],
  [
    'a second press: within 2 s; then it asks anew',
    [SECOND],
    [
      '0 down pad/key-1',
      '1 up pad/key-1',
      '1999 down pad/key-1',
      '2001 up pad/key-1',
      '3000 down pad/key-1',
      '3001 up pad/key-1',
    ],
    '@1999 +KeyA @1999 -KeyA',
  ],
  [
    'a second press after exactly 2 s is a first one',
    [SECOND],
    ['0 down pad/key-1', '1 up pad/key-1', '2000 down pad/key-1', '2001 up pad/key-1', '2100 down pad/key-1'],
    '@2100 +KeyA @2100 -KeyA',
  ],
  [
    'letting go of a latch is never guarded',
    [[`${KEY} press`, 'Shift', 'latch', { guard: 'longer' }]],
    ['0 down pad/key-1', '700 up pad/key-1', '800 down pad/key-1', '810 up pad/key-1'],
    '@600 +ShiftLeft @800 -ShiftLeft',
  ],
  [
    'a guarded press is dropped when another program comes to the front',
    [['larkframe pad/key-1 press', 'A', 'follow', { guard: 'longer' }]],
    ['0 front larkframe', '1 down pad/key-1', '300 front brindle', '900 up pad/key-1'],
    '',
  ],
  // Targets and background listeners.
  [
    'a binding sent to a named program; its keys are counted by themselves',
    [
      [`${KEY} press`, 'Shift'],
      ['everywhere pad/key-2 press', 'Shift+A', 'tap', { target: { program: 'hushbox', focus: false } }],
    ],
    ['0 down pad/key-1', '1 down pad/key-2', '2 up pad/key-1'],
    '@0 +ShiftLeft @1 hushbox+ShiftLeft @1 hushbox+KeyA @1 hushbox-KeyA @1 hushbox-ShiftLeft @2 -ShiftLeft',
  ],
  [
    'focus first where asked',
    [[`${KEY} press`, 'A', 'tap', { target: { program: 'hushbox', focus: true } }]],
    ['0 down pad/key-1'],
    '@0 *hushbox @0 hushbox+KeyA @0 hushbox-KeyA',
  ],
  [
    // Common practice, no source: a push-to-talk key that must not reach the program in front.
    'off, but heard in the background while it is down',
    [[`${KEY} press`, heard(['hushbox'], { kind: 'shortcut', shortcut: 'F9' })]],
    ['0 front larkframe', '1 down pad/key-1', '2 up pad/key-1'],
    '@1 hushbox+F9 @2 hushbox-F9',
  ],
  [
    'off, but what the control does by itself is heard',
    [['everywhere mouse/thumb-front press', heard(['hushbox', 'brindle'])]],
    ['0 down mouse/thumb-front', '1 up mouse/thumb-front'],
    '@0 hushbox(4 @0 brindle(4 @1 brindle)4 @1 hushbox)4',
  ],
  // Radial menus: Undo at the top, Text right, More below, Plain left; 16 px dead, 90 px to the rim.
  [
    'a flick past the rim chooses',
    [MENU],
    ['0 down pad/key-1', '1 move 95 0', '2 up pad/key-1'],
    '@1 “wing”',
  ],
  [
    'inside, coming up chooses',
    [MENU],
    ['0 down pad/key-1', '1 move 0 -40', '2 up pad/key-1'],
    '@2 +ControlLeft @2 +KeyZ @2 -KeyZ @2 -ControlLeft',
  ],
  [
    'in the dead zone it stays open; pressing again chooses what is highlighted',
    [MENU],
    ['0 down pad/key-1', '1 move 5 5', '2 up pad/key-1', '3 move 40 0', '4 down pad/key-1', '5 up pad/key-1'],
    '@4 “wing”',
  ],
  [
    'pressing in the dead zone closes; the press is no other press',
    [MENU, ['everywhere mouse/left press', 'A']],
    [
      '0 down pad/key-1',
      '1 up pad/key-1',
      '2 down mouse/left',
      '3 up mouse/left',
      '4 move 95 0',
      '5 down mouse/left',
      '6 up mouse/left',
    ],
    '@5 +KeyA @6 -KeyA',
  ],
  [
    'moving back into the dead zone takes the highlight away',
    [MENU],
    [
      '0 down pad/key-1',
      '1 move 40 0',
      '2 move -35 0',
      '3 up pad/key-1',
      '4 down pad/key-1',
      '5 up pad/key-1',
    ],
    '',
  ],
  [
    'an item may open a menu',
    [MENU],
    ['0 down pad/key-1', '1 move 0 95', '2 move 95 0', '3 up pad/key-1'],
    '@2 “wing”',
  ],
  [
    'another program closes it',
    [['larkframe pad/key-1 press', { kind: 'radial', menu: 'ring' }]],
    ['0 front larkframe', '1 down pad/key-1', '2 front brindle', '3 move 95 0', '4 up pad/key-1'],
    '',
  ],
  // Sequences and text.
  [
    'a shortcut pressed twice, and a sequence, each exact',
    [
      [`${KEY} press`, { kind: 'sequence', shortcuts: ['F5', 'F5', 'Ctrl+S'] }],
      ['everywhere pad/key-2 press', 'Alt'],
    ],
    ['0 down pad/key-2', '1 down pad/key-1', '2 up pad/key-2'],
    '@0 +AltLeft @1 -AltLeft @1 +F5 @1 -F5 @1 +AltLeft @1 -AltLeft @1 +F5 @1 -F5 @1 +AltLeft @1 -AltLeft @1 +ControlLeft @1 +KeyS @1 -KeyS @1 -ControlLeft @1 +AltLeft @2 -AltLeft',
  ],
  [
    'a control message goes high with the press and low after',
    [
      [
        `${KEY} press`,
        { kind: 'message', message: { protocol: 'osc', address: '/tallow/bypass', low: 0, high: 1 } },
      ],
    ],
    ['0 down pad/key-1', '9 up pad/key-1'],
    '@0 !1 @9 !0',
  ],
])('%s', (_name, rows, lines, strokes) => {
  expect(played(rows, ...lines)).toBe(strokes);
});

test('a guarded press says that it asks, and when it no longer does', () => {
  const { explanations } = run([SECOND], '0 down pad/key-1', '1 up pad/key-1', '5000 time');
  expect(explanations.flatMap(({ changes }) => changes)).toEqual([
    { kind: 'guard', device: 'pad', control: 'key-1', how: 'second', asks: true },
    { kind: 'guard', device: 'pad', control: 'key-1', how: 'second', asks: false },
  ]);
});

test('items are equal sectors, the first with its middle at the top', () => {
  const chosen = Array.from({ length: 16 }, (_, i) => {
    const angle = (i * Math.PI) / 8 + 0.01;
    return run([MENU], '0 down pad/key-1', `1 move ${50 * Math.sin(angle)} ${-50 * Math.cos(angle)}`).state
      .radial?.highlighted;
  });
  // Four items here: 90° each, so that a sixteenth of a turn at a time gives two, four, four, four, two.
  expect(chosen).toEqual([0, 0, 1, 1, 1, 1, 2, 2, 2, 2, 3, 3, 3, 3, 0, 0]);
});
