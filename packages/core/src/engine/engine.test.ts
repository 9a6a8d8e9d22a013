import { acting, demoSetup, type PressStyle, type Setup, slotKey } from '../setup/index.ts';
import { short } from '../testing/index.ts';
import type { EngineEvent } from './event.ts';
import { simulate } from './simulate.ts';

const front = (t: number, executable: string | null): EngineEvent => ({
  kind: 'front',
  t,
  window: executable === null ? null : { executable, class: '', title: '' },
});
const key = (number: number) => ({ device: 'twelve-pad', control: `key-${number}` });
const down = (t: number, at = key(1)): EngineEvent => ({ kind: 'down', t, ...at });
const up = (t: number, at = key(1)): EngineEvent => ({ kind: 'up', t, ...at });
const turn = (t: number, amount: number, unit: 'degrees' | 'detents' = 'degrees'): EngineEvent => ({
  kind: 'turn',
  t,
  device: 'bench-dial',
  control: 'dial',
  unit,
  amount,
});

function bound(
  rows: readonly (readonly [profile: string, key: number, shortcut: string, style?: PressStyle])[],
): Setup {
  const setup = demoSetup();
  for (const [profile, number, shortcut, style = 'follow'] of rows) {
    const bindings = setup.profiles[profile]?.bindings;
    if (!bindings) throw new Error(profile);
    bindings[slotKey('base', 'twelve-pad', `key-${number}`, 'press')] = {
      behaviour: acting({ kind: 'shortcut', shortcut }, style),
      face: null,
      note: null,
    };
  }
  return setup;
}

// Common practice, no source: a pedal behaves as a key, down when it goes down, up when it comes up.
const TIMELINES: readonly (readonly [string, Setup, EngineEvent[], string])[] = [
  [
    'follow: down with down, up with up',
    bound([['everywhere', 1, 'Ctrl+Z']]),
    [down(10), up(90)],
    '@10 +ControlLeft @10 +KeyZ @90 -KeyZ @90 -ControlLeft',
  ],
  [
    'tap: down and up at once',
    bound([['everywhere', 1, 'A', 'tap']]),
    [down(10), up(90)],
    '@10 +KeyA @10 -KeyA',
  ],
  [
    'a modifier held by two goes up with the last',
    bound([
      ['everywhere', 1, 'Shift'],
      ['everywhere', 2, 'Shift+A'],
    ]),
    [down(0), down(1, key(2)), up(2), up(3, key(2))],
    '@0 +ShiftLeft @1 +KeyA @3 -KeyA @3 -ShiftLeft',
  ],
  [
    'what decided at down holds until up, whatever comes to the front',
    bound([['everywhere', 1, 'A']]),
    [front(0, 'larkframe'), down(1), front(2, 'brindle'), up(3)],
    '@1 +KeyA @3 -KeyA',
  ],
  [
    'what would no longer decide is let go first, and comes up in silence',
    bound([['larkframe', 1, 'Shift']]),
    [front(0, 'larkframe'), down(1), front(2, 'brindle'), up(3)],
    '@1 +ShiftLeft @2 -ShiftLeft',
  ],
  [
    'time that goes back is taken as the newest time known',
    bound([['everywhere', 1, 'A']]),
    [down(50), up(20)],
    '@50 +KeyA @50 -KeyA',
  ],
  [
    'off sends nothing',
    demoSetup(),
    [front(0, 'brindle'), down(1, mouse('wheel')), up(2, mouse('wheel'))],
    '',
  ],
  [
    'native does what the control does by itself',
    demoSetup(),
    [down(1, mouse('left')), up(2, mouse('left'))],
    '@1 (0 @2 )0',
  ],
  [
    'native wheel ticks, positive away from the person',
    demoSetup(),
    [{ kind: 'turn', t: 5, device: 'pocket-mouse', control: 'wheel', unit: 'detents', amount: -2 }],
    '@5 ~-1 @5 ~-1',
  ],
  [
    'one step every 18°, the rest is kept',
    demoSetup(),
    [front(0, 'larkframe'), turn(1, 17.5), turn(2, 0.5), turn(3, 35), turn(4, 1)],
    '@2 +ArrowRight @2 -ArrowRight @3 +ArrowRight @3 -ArrowRight @4 +ArrowRight @4 -ArrowRight',
  ],
  ['turning back drops the rest', demoSetup(), [turn(1, 17), turn(2, -17), turn(3, -1)], '@3 ~1'],
  [
    'tenths of degrees add up without loss',
    demoSetup(),
    Array.from({ length: 180 }, (_, i) => turn(i, 0.1)),
    '@179 ~-1',
  ],
  [
    'the same turn does something else in another program',
    demoSetup(),
    [front(0, 'larkframe'), turn(1, 18), front(2, 'brindle'), turn(3, 18)],
    '@1 +ArrowRight @1 -ArrowRight @3 +BracketRight @3 -BracketRight',
  ],
  [
    'a pinned profile wins over the program in front; automatic comes back',
    demoSetup(),
    [
      front(0, 'larkframe'),
      { kind: 'pin', t: 1, profile: 'brindle' },
      turn(2, 18),
      { kind: 'pin', t: 3, profile: null },
      turn(4, 18),
    ],
    '@2 +BracketRight @2 -BracketRight @4 +ArrowRight @4 -ArrowRight',
  ],
  [
    'detach lets go of that device only, reset of everything',
    bound([['everywhere', 1, 'A']]),
    [
      down(0),
      down(1, mouse('left')),
      { kind: 'detach', t: 2, device: 'twelve-pad' },
      { kind: 'reset', t: 3 },
      up(4),
      up(4, mouse('left')),
    ],
    '@0 +KeyA @1 (0 @2 -KeyA @3 )0',
  ],
  [
    'a control that is down cannot go down again',
    bound([['everywhere', 1, 'A']]),
    [down(0), down(1), up(2), up(3)],
    '@0 +KeyA @2 -KeyA',
  ],
];

function mouse(control: string) {
  return { device: 'pocket-mouse', control };
}

test.each(TIMELINES)('%s', (_name, setup, events, strokes) => {
  expect(short(simulate(setup, events))).toBe(strokes);
});

/** Key 1 of the pad with press A, hold B and double press C, those that are asked for; key 2 with Shift. */
function decided(hold: boolean, double: boolean, style: PressStyle = 'follow'): Setup {
  const setup = bound([
    ['everywhere', 1, 'A', style],
    ['everywhere', 2, 'Shift'],
  ]);
  const bindings = setup.profiles.everywhere?.bindings ?? {};
  const keys = (shortcut: string) => ({
    behaviour: acting({ kind: 'shortcut', shortcut }, 'follow'),
    face: null,
    note: null,
  });
  if (hold) bindings[slotKey('base', 'twelve-pad', 'key-1', 'hold')] = keys('B');
  if (double) bindings[slotKey('base', 'twelve-pad', 'key-1', 'double-press')] = keys('C');
  return setup;
}
const time = (t: number): EngineEvent => ({ kind: 'time', t });

// Defaults: hold 250 ms, double press 300 ms, repeat 400 then 50 ms.
test.each<[string, Setup, EngineEvent[], string]>([
  [
    'hold bound: up one tick before 250 ms is a press, sent at up',
    decided(true, false),
    [down(0), up(249)],
    '@249 +KeyA @249 -KeyA',
  ],
  [
    'hold bound: exactly 250 ms is the hold',
    decided(true, false),
    [down(0), up(250)],
    '@250 +KeyB @250 -KeyB',
  ],
  [
    'hold bound: the hold is sent when its time comes and follows',
    decided(true, false),
    [down(0), up(900)],
    '@250 +KeyB @900 -KeyB',
  ],
  [
    'double bound: a press waits 300 ms from its up',
    decided(false, true),
    [down(0), up(900), time(2000)],
    '@1200 +KeyA @1200 -KeyA',
  ],
  [
    'double bound: a second down one tick before is the double press',
    decided(false, true),
    [down(0), up(10), down(309), up(400)],
    '@309 +KeyC @400 -KeyC',
  ],
  [
    'double bound: exactly 300 ms is too late, it is another press',
    decided(false, true),
    [down(0), up(10), down(310), up(320), time(9000)],
    '@310 +KeyA @310 -KeyA @620 +KeyA @620 -KeyA',
  ],
  [
    'both bound: short, long, twice',
    decided(true, true),
    [down(0), up(10), time(400), down(1000), up(1500), down(2000), up(2010), down(2020), up(2030)],
    '@310 +KeyA @310 -KeyA @1250 +KeyB @1500 -KeyB @2020 +KeyC @2030 -KeyC',
  ],
  [
    'a waiting press that is a latch turns over at up',
    decided(true, false, 'latch'),
    [down(0), up(10), down(20), up(30)],
    '@10 +KeyA @30 -KeyA',
  ],
  [
    'a press that waits is dropped when another program would decide otherwise',
    bothIn('larkframe'),
    [front(0, 'larkframe'), down(1), front(2, 'brindle'), up(3), time(900)],
    '',
  ],
  [
    'latch: down; next press up',
    bound([['everywhere', 1, 'Shift', 'latch']]),
    [down(0), up(10), down(500), up(510)],
    '@0 +ShiftLeft @500 -ShiftLeft',
  ],
  [
    'latch: ended when its program goes to the back',
    bound([['larkframe', 1, 'Shift', 'latch']]),
    [front(0, 'larkframe'), down(1), up(2), front(3, 'brindle')],
    '@1 +ShiftLeft @3 -ShiftLeft',
  ],
  [
    'latch: what Everywhere latches goes on',
    bound([['everywhere', 1, 'Shift', 'latch']]),
    [front(0, 'larkframe'), down(1), up(2), front(3, 'hushbox'), down(4), up(5)],
    '@1 +ShiftLeft @4 -ShiftLeft',
  ],
  [
    'release: a tap at up',
    bound([['everywhere', 1, 'A', 'release']]),
    [down(0), up(70)],
    '@70 +KeyA @70 -KeyA',
  ],
  [
    'release: silent when its program went to the back',
    bound([['larkframe', 1, 'A', 'release']]),
    [front(0, 'larkframe'), down(1), front(2, 'brindle'), up(3)],
    '',
  ],
  [
    'repeat: at once, after 400 ms, then every 50 ms',
    bound([['everywhere', 1, 'A', 'repeat']]),
    [down(0), up(500)],
    '@0 +KeyA @0 -KeyA @400 +KeyA @400 -KeyA @450 +KeyA @450 -KeyA @500 +KeyA @500 -KeyA',
  ],
  [
    'repeat: one tick before 400 ms is once',
    bound([['everywhere', 1, 'A', 'repeat']]),
    [down(0), up(399), time(2000)],
    '@0 +KeyA @0 -KeyA',
  ],
  [
    'repeat: stops when its program goes to the back',
    bound([['larkframe', 1, 'A', 'repeat']]),
    [front(0, 'larkframe'), down(1), front(402, 'brindle'), time(900), up(901)],
    '@1 +KeyA @1 -KeyA @401 +KeyA @401 -KeyA',
  ],
  [
    'what falls due comes before what happens at that moment',
    decided(true, false),
    [down(0), down(250, key(2)), up(260), up(270, key(2))],
    '@250 +KeyB @250 +ShiftLeft @260 -KeyB @270 -ShiftLeft',
  ],
])('%s', (_name, setup, events, strokes) => {
  expect(short(simulate(setup, events))).toBe(strokes);
});

/** The dial in Everywhere with press A, turns X and Y, turns while pressed P and Q; hold B if asked for. */
function pressedTurns(hold = false): Setup {
  const setup = demoSetup();
  const bindings = setup.profiles.everywhere?.bindings ?? {};
  const rows = [
    ['press', 'A', 'follow'],
    ['clockwise', 'X', 'tap'],
    ['pressed-clockwise', 'P', 'tap'],
    ['pressed-anticlockwise', 'Q', 'tap'],
    ...(hold ? ([['hold', 'B', 'follow']] as const) : []),
  ] as const;
  for (const [trigger, shortcut, style] of rows) {
    bindings[slotKey('base', 'bench-dial', 'dial', trigger)] = {
      behaviour: acting({ kind: 'shortcut', shortcut }, style),
      face: null,
      note: null,
    };
  }
  return setup;
}
const dial = { device: 'bench-dial', control: 'dial' };

test.each<[string, Setup, EngineEvent[], string]>([
  [
    'turned while pressed is a use of its own, and no press when it comes up',
    pressedTurns(),
    [down(0, dial), turn(10, 18), turn(20, -18), up(30, dial)],
    '@10 +KeyP @10 -KeyP @20 +KeyQ @20 -KeyQ',
  ],
  [
    'pressed without a turn is a press, sent at up',
    pressedTurns(),
    [down(0, dial), up(900, dial), turn(910, 18)],
    '@900 +KeyA @900 -KeyA @910 +KeyX @910 -KeyX',
  ],
  [
    'a turn too small for a step takes the press away too',
    pressedTurns(),
    [down(0, dial), turn(10, 5), up(20, dial)],
    '',
  ],
  [
    'a turn before its time takes the hold away',
    pressedTurns(true),
    [down(0, dial), turn(249, 18), up(600, dial)],
    '@249 +KeyP @249 -KeyP',
  ],
  [
    'a hold goes on while it is turned',
    pressedTurns(true),
    [down(0, dial), turn(400, 18), up(600, dial)],
    '@250 +KeyB @400 +KeyP @400 -KeyP @600 -KeyB',
  ],
  [
    'not bound while pressed: the plain turn, and the press follows',
    demoSetup(),
    [front(0, 'larkframe'), down(1, dial), turn(2, 18), up(3, dial)],
    '@1 +Enter @2 +ArrowRight @2 -ArrowRight @3 -Enter',
  ],
])('%s', (_name, setup, events, strokes) => {
  expect(short(simulate(setup, events))).toBe(strokes);
});

// From 180 to 720 degrees per second up to 6 times: at 450 half way, round(1 + 5 · 0.5) = 4 (3.5 goes up).
test.each([
  ['the first turn is at rest', [turn(1000, 18)], 1],
  ['below the lower speed', [turn(1000, 18), turn(1101, 18)], 2],
  ['half way', [turn(1000, 18), turn(1040, 18)], 5],
  ['at the upper speed and above', [turn(1000, 18), turn(1025, 18), turn(1026, 18)], 13],
  ['after a rest of 200 ms it is slow again, whatever the angle', [turn(1000, 18), turn(1201, 180)], 11],
])('speed-up: %s', (_name, events, steps) => {
  const setup = demoSetup();
  const rotor = setup.devices.find(({ id }) => id === 'bench-dial')?.controls[0]?.rotor;
  if (rotor) rotor.speedUp = { max: 6, from: 180, to: 720 };
  expect(simulate(setup, events).strokes).toHaveLength(steps);
});

function bothIn(profile: string): Setup {
  const setup = decided(true, true);
  const [from, to] = [setup.profiles.everywhere, setup.profiles[profile]];
  if (from && to) {
    to.bindings = from.bindings;
    from.bindings = {};
  }
  return setup;
}

test('events that change nothing are explained too', () => {
  const odd: EngineEvent[] = [
    up(1),
    down(2, { device: 'gone', control: 'x' }),
    { ...turn(3, 5), ...key(1) } as EngineEvent,
    { kind: 'pin', t: 4, profile: 'gone' },
  ];
  expect(simulate(demoSetup(), odd).explanations.map(({ outcome }) => outcome)).toEqual([
    { kind: 'ignored', why: 'not-down' },
    { kind: 'ignored', why: 'unknown-control' },
    { kind: 'ignored', why: 'cannot-turn' },
    { kind: 'ignored', why: 'unknown-profile' },
  ]);
});

test('the explanation of a change of front names the rule and what was let go', () => {
  const { explanations } = simulate(bound([['larkframe', 1, 'Shift']]), [
    front(0, 'larkframe'),
    down(1),
    front(2, 'brindle'),
  ]);
  expect(explanations[2]).toMatchObject({
    outcome: {
      kind: 'profile-decided',
      decision: { profile: 'brindle', because: 'rule' },
      ended: [{ device: 'twelve-pad', control: 'key-1', holds: [{ kind: 'key', code: 'ShiftLeft' }] }],
    },
    changes: [{ kind: 'profile', from: 'larkframe', to: 'brindle' }],
  });
});
