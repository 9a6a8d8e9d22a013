import type { Platform } from '@nimble-lever/core/keys';
import { demoSetup } from '@nimble-lever/core/setup';
import fc from 'fast-check';
import { DESK_WINDOWS, type DeskState, deskReducer, windowRaised } from './deskSlice.ts';
import { STAND_INS } from './programs/standIns.ts';
import { WINDOW_SHORTCUTS, windowCommandOf } from './windowShortcuts.ts';
import { commanded, placeNow, tileOf, visibleWindows, WINDOW_COMMANDS } from './windows.ts';

const first = deskReducer(undefined, { type: 'first' });
const after = (...commands: Parameters<typeof commanded>[1][]) => commands.reduce(commanded, first);
const usual = { left: '1%', top: '2%', width: '3%', height: '4%' };
const PLATFORMS = Object.keys(WINDOW_SHORTCUTS) as Platform[];

test('halves and the whole desk; the same again puts a window back', () => {
  expect(placeNow(after('left-half'), 'larkframe', usual)).toMatchObject({ left: '0%', width: '50%' });
  expect(placeNow(after('right-half'), 'larkframe', usual)).toMatchObject({ left: '50%', width: '50%' });
  expect(placeNow(after('left-half', 'maximise'), 'larkframe', usual)).toMatchObject({ width: '100%' });
  expect(placeNow(after('maximise', 'maximise'), 'larkframe', usual)).toEqual(usual);
  expect(placeNow(after('maximise'), 'brindle', usual)).toEqual(usual);
});

test('what is minimised or closed leaves the front to the next; the desk comes and goes as a whole', () => {
  expect(after('minimise')).toMatchObject({ active: 'brindle', order: ['brindle', 'larkframe'] });
  expect(after('close')).toMatchObject({ active: 'brindle', order: ['brindle'] });
  expect(after('close', 'close')).toMatchObject({ active: null, order: [] });
  expect(visibleWindows(after('show-desk'))).toEqual([]);
  expect(visibleWindows(after('show-desk', 'show-desk'))).toEqual(['brindle', 'larkframe']);
  // One that was put away by itself stays away.
  expect(visibleWindows(after('minimise', 'show-desk', 'show-desk'))).toEqual(['brindle']);
  expect(deskReducer(after('minimise'), windowRaised('larkframe'))).toMatchObject({ minimised: [] });
});

test('whatever is done with windows: the one in front is seen and topmost, and only open ones are put away', () => {
  const step = fc.oneof(
    fc.constantFrom(...WINDOW_COMMANDS).map((command) => (desk: DeskState) => commanded(desk, command)),
    fc
      .constantFrom(null, ...DESK_WINDOWS.map(({ id }) => id))
      .map((id) => (desk: DeskState) => deskReducer(desk, windowRaised(id))),
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
      const desk = steps.reduce((before, each) => each(before), first);
      const seen = visibleWindows(desk);
      expect(new Set(desk.order).size).toBe(desk.order.length);
      if (desk.active !== null) expect(seen.at(-1)).toBe(desk.active);
      if (desk.overview) expect(seen.length).toBeGreaterThan(0);
      for (const id of Object.keys(desk.places)) expect(desk.order).toContain(id);
    }),
  );
});

test('tiles of all windows lie beside each other, inside the desk', () => {
  for (let count = 1; count <= DESK_WINDOWS.length; count++) {
    const boxes = Array.from({ length: count }, (_, i) => {
      const { left, top, width, height } = tileOf(i, count);
      return [left, top, width, height].map(Number.parseFloat) as [number, number, number, number];
    });
    for (const [i, [x, y, w, h]] of boxes.entries()) {
      expect(x >= 0 && y >= 0 && x + w <= 100.001 && y + h <= 100.001 && w > 0 && h > 0).toBe(true);
      for (const [ox, oy, ow, oh] of boxes.slice(i + 1)) {
        expect(x + w <= ox || ox + ow <= x || y + h <= oy || oy + oh <= y).toBe(true);
      }
    }
  }
});

test.each(PLATFORMS)(
  '%s: each command has a shortcut of its own, and hides none of a program',
  (platform) => {
    const own = WINDOW_SHORTCUTS[platform];
    expect(new Set(Object.values(own)).size).toBe(WINDOW_COMMANDS.length);
    for (const command of WINDOW_COMMANDS) expect(windowCommandOf(own[command], platform)).toBe(command);
    for (const { commands } of Object.values(STAND_INS)) {
      for (const { shortcut } of commands) expect(windowCommandOf(shortcut, platform)).toBeNull();
    }
  },
);

test('what the demo binds for windows the desk does', () => {
  const bound = demoSetup().commonCommands.flatMap(
    ({ shortcut }) => windowCommandOf(shortcut, 'windows') ?? [],
  );
  expect(new Set(bound)).toEqual(new Set(WINDOW_COMMANDS));
});
