import { type BoundRow, played } from '../testing/index.ts';

const KEY = 'everywhere pad/key-1';
const NUDGES: BoundRow[] = [
  [`${KEY} press`, 'P'],
  [`${KEY} nudge-up`, 'U'],
  [`${KEY} nudge-right`, 'R'],
  [`${KEY} nudge-down`, 'D'],
  [`${KEY} nudge-left`, 'L'],
];
const PEN: BoundRow[] = [
  ['everywhere tablet/upper-switch press', 'H'],
  ['everywhere tablet/upper-switch touch-press', 'T'],
];
const RING: BoundRow[] = [
  ['everywhere shuttle/ring shuttle-clockwise', 'L', 'tap'],
  ['everywhere shuttle/ring shuttle-anticlockwise', 'J', 'tap'],
];
const tapped = (...times: [number, string][]) =>
  times.map(([t, key]) => `@${t} +Key${key} @${t} -Key${key}`).join(' ');

test.each<[string, readonly BoundRow[], string[], string]>([
  // Nudges: 24 px from where it went down, sectors of 90°, diagonals vertical.
  [
    'one button with press and four nudges gives five commands (common practice, no source)',
    NUDGES,
    [
      '0 down pad/key-1',
      '10 up pad/key-1',
      ...['0 -24', '24 0', '0 24', '-24 0'].flatMap((way, i) => [
        `${100 * (i + 1)} down pad/key-1`,
        `${100 * (i + 1) + 1} move ${way}`,
        `${100 * (i + 1) + 2} up pad/key-1`,
      ]),
    ],
    '@10 +KeyP @10 -KeyP @101 +KeyU @102 -KeyU @201 +KeyR @202 -KeyR @301 +KeyD @302 -KeyD @401 +KeyL @402 -KeyL',
  ],
  [
    '23.9 px is a press still',
    NUDGES,
    ['0 down pad/key-1', '1 move 23.9 0', '2 up pad/key-1'],
    tapped([2, 'P']),
  ],
  [
    'movement adds up; a diagonal is vertical',
    NUDGES,
    ['0 down pad/key-1', '1 move 10 -10', '2 move 10 -10', '3 up pad/key-1'],
    '@2 +KeyU @3 -KeyU',
  ],
  [
    'a nudge fires once',
    NUDGES,
    ['0 down pad/key-1', '1 move 30 0', '2 move 0 90', '3 up pad/key-1'],
    '@1 +KeyR @3 -KeyR',
  ],
  [
    'a direction that is not bound does not fire; the movement goes on adding up',
    [NUDGES[0], NUDGES[1]] as BoundRow[],
    [
      '0 down pad/key-1',
      '1 move 30 0',
      '2 move 0 -40',
      '3 up pad/key-1',
      '9 down pad/key-1',
      '10 move 50 0',
      '11 up pad/key-1',
    ],
    '@2 +KeyU @3 -KeyU @11 +KeyP @11 -KeyP',
  ],
  [
    'a nudge before its time takes the hold away; exactly at its time the hold is first',
    [...NUDGES, [`${KEY} hold`, 'H']],
    [
      '0 down pad/key-1',
      '249 move 24 0',
      '300 up pad/key-1',
      '1000 down pad/key-1',
      '1250 move 24 0',
      '1300 up pad/key-1',
    ],
    '@249 +KeyR @300 -KeyR @1250 +KeyH @1300 -KeyH',
  ],
  // Pen. Common practice, no source: hovering pen + side switch pans; touching pen + side switch zooms.
  [
    'a pen switch hovering and touching',
    PEN,
    [
      '0 down tablet/upper-switch',
      '1 up tablet/upper-switch',
      '2 down tablet/tip',
      '3 down tablet/upper-switch',
      '4 up tablet/tip',
      '5 up tablet/upper-switch',
    ],
    '@0 +KeyH @1 -KeyH @2 (0 @3 +KeyT @4 )0 @5 -KeyT',
  ],
  [
    'touching where only the press is bound is a press',
    [PEN[0]] as BoundRow[],
    ['0 down tablet/tip', '1 down tablet/upper-switch', '2 up tablet/upper-switch', '3 up tablet/tip'],
    '@0 (0 @1 +KeyH @2 -KeyH @3 )0',
  ],
  // Shuttle: 1, 2, 4, 8, 15, 30, 60 steps a second.
  [
    'a ring steps at once, then at the rate of its position; back at rest it stops',
    RING,
    ['0 to shuttle/ring 3', '600 to shuttle/ring 0', '9000 time'],
    tapped([0, 'L'], [250, 'L'], [500, 'L']),
  ],
  [
    'moved on, it keeps the time of its last step',
    RING,
    ['0 to shuttle/ring 1', '100 to shuttle/ring 2', '600 to shuttle/ring 3', '800 to shuttle/ring 0'],
    tapped([0, 'L'], [500, 'L'], [750, 'L']),
  ],
  [
    'a faster position whose time has come steps at once; the other way is another use',
    RING,
    ['0 to shuttle/ring 1', '900 to shuttle/ring 7', '905 to shuttle/ring -1', '906 to shuttle/ring 0'],
    tapped([0, 'L'], [900, 'L'], [905, 'J']),
  ],
  [
    'beyond its last position a ring is at its last',
    RING,
    ['0 to shuttle/ring 50', '17 to shuttle/ring 0'],
    tapped([0, 'L'], [16.667, 'L']),
  ],
  [
    'another program: the ring does nothing until it was back at rest',
    [['larkframe shuttle/ring shuttle-clockwise', 'L', 'tap']],
    [
      '0 front larkframe',
      '1 to shuttle/ring 2',
      '2 front brindle',
      '900 to shuttle/ring 3',
      '1000 front larkframe',
      '1001 to shuttle/ring 0',
      '1002 to shuttle/ring 1',
      '1003 to shuttle/ring 0',
    ],
    tapped([1, 'L'], [1002, 'L']),
  ],
  [
    'a jog steps with each detent',
    [['everywhere shuttle/jog anticlockwise', 'J', 'tap']],
    ['5 detents shuttle/jog -2'],
    tapped([5, 'J'], [5, 'J']),
  ],
  // Sliders.
  [
    'a slider sends its value, scaled; MIDI values are whole',
    [
      [
        'everywhere panel/fader-1 slide',
        { kind: 'message', message: { protocol: 'midi', channel: 1, controller: 7, low: 0, high: 127 } },
        'tap',
      ],
    ],
    ['0 to panel/fader-1 0.5', '1 to panel/fader-1 2'],
    '@0 !64 @1 !127',
  ],
  [
    'a slider steps as it crosses its thresholds; the first value heard crosses none',
    [
      ['everywhere panel/fader-1 slide-up', 'U', 'tap'],
      ['everywhere panel/fader-1 slide-down', 'D', 'tap'],
    ],
    [
      '0 to panel/fader-1 0.1',
      '1 to panel/fader-1 0.5',
      '2 to panel/fader-1 0.5',
      '3 to panel/fader-1 0.4',
      '4 to panel/fader-1 0.2',
    ],
    tapped([1, 'U'], [1, 'U'], [3, 'D'], [4, 'D']),
  ],
  // Two ways at once; the small panel's fader slides both, across with steps at 0.2 and 0.55.
  [
    'each way of an XY pad has a value of its own and steps of its own',
    [
      [
        'everywhere panel/fader-1 slide-across',
        { kind: 'message', message: { protocol: 'midi', channel: 1, controller: 9, low: 0, high: 100 } },
        'tap',
      ],
      ['everywhere panel/fader-1 slide-up', 'U', 'tap'],
      ['everywhere panel/fader-1 slide-right', 'R', 'tap'],
      ['everywhere panel/fader-1 slide-left', 'L', 'tap'],
    ],
    [
      '0 to panel/fader-1 0.1',
      '1 across panel/fader-1 0.1',
      '2 across panel/fader-1 0.6',
      '3 to panel/fader-1 0.3',
      '4 across panel/fader-1 0.5',
    ],
    '@1 !10 @2 !60 @2 +KeyR @2 -KeyR @2 +KeyR @2 -KeyR @3 +KeyU @3 -KeyU @4 !50 @4 +KeyL @4 -KeyL',
  ],
  // Phrases.
  [
    'a phrase is a tap, whatever its case, accents and spacing',
    [['everywhere voice/phrase-1 phrase', 'Enter', 'tap']],
    ['0 said Take the frame', '1 said  TAKE thé  fráme', '2 said take a frame'],
    '@0 +Enter @0 -Enter @1 +Enter @1 -Enter',
  ],
  // Pedals. Common practice, no source: a pedal is a key; three may all send the same.
  [
    'two pedals that send the same key keep it down until both are up',
    [
      ['everywhere pedals/left press', 'Shift'],
      ['everywhere pedals/right press', 'Shift'],
    ],
    ['0 down pedals/left', '1 down pedals/right', '2 up pedals/left', '3 up pedals/right'],
    '@0 +ShiftLeft @3 -ShiftLeft',
  ],
  [
    'modifiers held on one device work with presses on another',
    [
      ['everywhere pedals/left press', 'Shift'],
      ['everywhere mouse/thumb-front press', 'A'],
    ],
    ['0 down pedals/left', '1 down mouse/thumb-front', '2 up mouse/thumb-front', '3 up pedals/left'],
    '@0 +ShiftLeft @1 +KeyA @2 -KeyA @3 -ShiftLeft',
  ],
])('%s', (_name, rows, lines, strokes) => {
  expect(played(rows, ...lines)).toBe(strokes);
});

// Common practice, no source: a mouse with seven controls; tilt would add two.
test('the mouse does by itself what a mouse does', () => {
  expect(
    played(
      [],
      '0 down mouse/left',
      '1 up mouse/left',
      '2 detents mouse/wheel 1',
      '3 down mouse/wheel',
      '4 up mouse/wheel',
    ),
  ).toBe('@0 (0 @1 )0 @2 ~1 @3 (1 @4 )1');
});
