import type { Action, PressStyle } from '../setup/index.ts';
import { type BoundRow, bound, events } from '../testing/index.ts';
import { compile } from './compile.ts';
import { faceState } from './faceState.ts';
import { resolutionNow } from './lookup.ts';
import { INITIAL_STATE } from './state.ts';
import { advance, step } from './step.ts';

const page = (change: 'open' | 'choose' | 'back', to: string | null = null): Action => ({
  kind: 'page',
  change,
  page: to,
  device: null,
});
const tapKey = (number: number, at: number) => [
  `${at} down pad/key-${number}`,
  `${at + 1} up pad/key-${number}`,
];

/** What key 1 shows after events, when it does something. */
function shown(rows: readonly BoundRow[], lines: readonly string[], queues = false) {
  const setup = bound(rows);
  const queueing = setup.macros.map((macro) => ({
    ...macro,
    run: 'times' as const,
    again: 'queue' as const,
  }));
  const compiled = compile(queues ? { ...setup, macros: queueing } : setup);
  let state = INITIAL_STATE;
  for (const event of events(...lines)) {
    state = advance(compiled, state, event.t).state;
    state = step(compiled, state, event).state;
  }
  return faceState(compiled, state, resolutionNow(compiled, state, 'pad', 'key-1', 'press'));
}

const NONE = { on: false, queued: 0 };
const ON = { on: true, queued: 0 };

test.each<[string, string | Action, PressStyle, string[], object]>([
  ['nothing goes on', 'A', 'latch', [], NONE],
  ['latched', 'A', 'latch', tapKey(1, 0), ON],
  ['latched and let go', 'A', 'latch', [...tapKey(1, 0), ...tapKey(1, 5)], NONE],
  ['held is felt, not shown', 'A', 'follow', ['0 down pad/key-1'], NONE],
  ['its layer is on', { kind: 'layer', layer: 'second', mode: 'on' }, 'latch', tapKey(1, 0), ON],
  [
    'its layer is on by another key',
    { kind: 'layer', layer: 'second', mode: 'on' },
    'follow',
    tapKey(2, 0),
    ON,
  ],
  ['its folder is open', page('open', 'lark-drawer'), 'tap', tapKey(3, 0), ON],
  ['its folder is closed', page('open', 'lark-drawer'), 'tap', [], NONE],
  ['the device’s own set is on', page('choose'), 'tap', [], ON],
  [
    'its profile is pinned',
    { kind: 'profile', change: 'pin', profiles: ['brindle'] },
    'tap',
    ['0 pin brindle'],
    ON,
  ],
  [
    'another profile is pinned',
    { kind: 'profile', change: 'pin', profiles: ['hushbox'] },
    'tap',
    ['0 pin brindle'],
    NONE,
  ],
  ['its macro runs', { kind: 'macro', macro: 'toggling' }, 'tap', tapKey(1, 0), ON],
])('a face while %s', (_name, does, style, lines, expected) => {
  const rows: BoundRow[] = [
    ['everywhere pad/key-1 press', does, style],
    ['everywhere@second pad/key-1 press', does, style],
    ['everywhere@lark-drawer pad/key-1 press', does, style],
    ['everywhere pad/key-2 press', { kind: 'layer', layer: 'second', mode: 'on' }, 'latch'],
    ['everywhere pad/key-3 press', page('open', 'lark-drawer'), 'tap'],
  ];
  expect(shown(rows, ['0 front larkframe', ...lines])).toEqual(expected);
});

test('presses that wait for their run are counted', () => {
  const rows: BoundRow[] = [['everywhere pad/key-1 press', { kind: 'macro', macro: 'toggling' }, 'tap']];
  const lines = [...tapKey(1, 0), ...tapKey(1, 5), ...tapKey(1, 10)];
  expect(shown(rows, lines, true)).toEqual({ on: true, queued: 2 });
});
