import { demoSetup } from '@nimble-lever/core/setup';
import {
  DESK_WINDOWS,
  deskReducer,
  deskShown,
  heardElsewhere,
  pointerMoved,
  volumeKey,
  windowRaised,
} from './deskSlice.ts';

const first = deskReducer(undefined, { type: 'first' });
const after = (...actions: Parameters<typeof deskReducer>[1][]) => actions.reduce(deskReducer, first);

test('every program of the demo has a window whose rule finds it; only two are open at first', () => {
  for (const { id, name } of demoSetup().programs) {
    expect(DESK_WINDOWS.find((window) => window.id === id)).toMatchObject({ name, executable: id });
  }
  expect(first).toMatchObject({ order: ['brindle', 'larkframe'], active: 'larkframe', shown: null });
});

test('a window that is raised is open and in front; the bare desk leaves the windows where they are', () => {
  expect(after(windowRaised('tallow'))).toMatchObject({
    order: ['brindle', 'larkframe', 'tallow'],
    active: 'tallow',
  });
  expect(after(windowRaised('brindle'))).toMatchObject({
    order: ['larkframe', 'brindle'],
    active: 'brindle',
  });
  expect(after(windowRaised(null))).toMatchObject({ order: ['brindle', 'larkframe'], active: null });
});

// Common practice, no source: a volume key changes the volume by 2 points of 100.
test.each([
  [['up'], 42, false],
  [['down', 'down'], 36, false],
  [['mute'], 40, true],
  [['mute', 'up'], 42, false],
  [Array(60).fill('up'), 100, false],
  [Array(60).fill('down'), 0, false],
] as const)('volume keys %j: %s, muted %s', (keys, volume, muted) => {
  expect(after(...keys.map((key) => volumeKey(key)))).toMatchObject({ volume, muted });
});

test('what another computer heard is kept newest first, and not without end', () => {
  const computer = 'Loft laptop';
  const heard = Array.from({ length: 40 }, (_, i) => heardElsewhere({ computer, words: `key ${i}` }));
  const { elsewhere, shown, pointer } = after(...heard, deskShown(computer), pointerMoved({ x: 3, y: 4 }));
  expect(elsewhere[computer]?.slice(0, 2)).toEqual(['key 39', 'key 38']);
  expect(elsewhere[computer]?.length).toBe(30);
  expect([shown, pointer]).toEqual([computer, { x: 3, y: 4 }]);
});
