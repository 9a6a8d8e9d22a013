import type { Input } from '@nimble-lever/core/desks';
import type { Stroke } from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';
import { arbitrarySetup, type BoundRow, bound, fuzz, short } from '@nimble-lever/core/testing';
import fc from 'fast-check';
import { Remotes } from './remotes.ts';
import { Session } from './session.ts';
import { VirtualClock } from './virtualClock.ts';

const [A, B] = ['6f1d5a0e-3c1b-4d36-9a53-0a3a2c1f6b10', '0c1f2e3d-4b5a-4678-8899-aabbccddeeff'];

/** A desk with remotes, that keeps what it is sent. */
function desk(setup: Setup) {
  const clock = new VirtualClock();
  const strokes: Stroke[] = [];
  const session = new Session({
    clock,
    carrier: { carryOut: (stroke) => strokes.push(stroke), front: () => null },
    told: () => undefined,
    failed: (error) => {
      throw error;
    },
  });
  session.use(setup);
  const remotes = new Remotes(session, clock);
  const join = (id: string, ...devices: string[]) =>
    remotes.join({ id, name: 'Tablet', devices, watches: 'panel', uses: null });
  return { clock, session, remotes, join, sent: () => short({ strokes }) };
}

const key = (kind: 'down' | 'up', number = 1): Input => ({ kind, device: 'pad', control: `key-${number}` });
const KEYS: BoundRow[] = [
  ['everywhere pad/key-1 press', 'A'],
  ['everywhere pad/key-2 press', 'B', 'latch'],
];

test('a hold is as long as it was at the remote, whatever the network does', () => {
  const rows: BoundRow[] = [
    ['everywhere pad/key-1 press', 'A', 'tap'],
    ['everywhere pad/key-1 hold', 'B', 'tap'],
  ];
  // The pad's hold time is 250 ms. The remote's clock is 5 s ahead; a message takes 10 ms, the first press 160.
  const play = (held: number) => {
    const { clock, remotes, join, sent } = desk(bound(rows));
    join(A, 'pad');
    clock.advanceTo(1010);
    remotes.take(A, 6000, { kind: 'turn', device: 'pad', control: 'upper-knob', unit: 'detents', amount: 1 });
    clock.advanceTo(2160);
    remotes.take(A, 7000, key('down'));
    clock.advanceTo(Math.max(2160, 2010 + held));
    remotes.take(A, 7000 + held, key('up'));
    clock.advanceTo(5000);
    return sent();
  };
  expect(play(240)).toContain('KeyA');
  expect(play(260)).toContain('KeyB');
});

test('what a remote had down when it went comes up, and its latches end', () => {
  const { clock, session, remotes, join, sent } = desk(bound(KEYS));
  join(A, 'pad');
  remotes.take(A, 0, key('down', 2));
  remotes.take(A, 0, key('up', 2));
  clock.advanceTo(10);
  remotes.take(A, 10, key('down'));
  clock.advanceTo(20);
  remotes.leave(A);
  expect(sent()).toBe('@0 +KeyB @10 +KeyA @20 -KeyA @20 -KeyB');
  expect(session.state.down).toEqual({});
  // It is gone: what still comes of it does nothing.
  expect(remotes.take(A, 30, key('down'))).toBe(false);
});

test('of a device that another has too, only what was down comes up', () => {
  const { clock, remotes, join, sent } = desk(bound(KEYS));
  join(A, 'pad');
  join(B, 'pad', 'dial');
  remotes.take(A, 0, key('down', 2));
  remotes.take(A, 0, key('up', 2));
  clock.advanceTo(2);
  remotes.take(A, 2, key('down'));
  clock.advanceTo(5);
  remotes.leave(A);
  expect(sent()).toBe('@0 +KeyB @2 +KeyA @5 -KeyA');
  clock.advanceTo(9);
  remotes.leave(B);
  expect(sent()).toMatch(/@9 -KeyB$/);
});

test('two hold one key: it is down from the first to the last of them', () => {
  const { clock, remotes, join, sent } = desk(bound(KEYS));
  join(A, 'pad');
  join(B, 'pad');
  for (const [at, id, kind] of [
    [0, A, 'down'],
    [1, B, 'down'],
    [2, A, 'up'],
    [3, B, 'up'],
  ] as const) {
    clock.advanceTo(at);
    remotes.take(id, at, key(kind));
  }
  expect(sent()).toBe('@0 +KeyA @3 -KeyA');
});

test('a remote may use only what it has with it', () => {
  const { remotes, join, sent } = desk(bound(KEYS));
  join(A, 'dial');
  expect(remotes.take(A, 0, key('down'))).toBe(false);
  expect(remotes.take(B, 0, key('down'))).toBe(false);
  expect(sent()).toBe('');
});

test('remotes that come, press, stall and go in any order leave nothing down', () => {
  const act = fc.record({
    what: fc.constantFrom('join', 'leave', 'down', 'up', 'down', 'up', 'turn'),
    who: fc.constantFrom(A, B),
    device: fc.nat(3),
    control: fc.nat(3),
    after: fc.nat(400),
    late: fc.nat(300),
  });
  fuzz(
    fc.property(arbitrarySetup, fc.array(act, { maxLength: 60 }), (setup, acts) => {
      const { clock, session, remotes, join } = desk(setup);
      for (const { what, who, device, control, after, late } of acts) {
        clock.advanceTo(clock.now() + after);
        const at = setup.devices[device % setup.devices.length];
        const used = at?.controls[control % at.controls.length];
        if (!at || !used) continue;
        const place = { device: at.id, control: used.id };
        const t = Math.max(0, clock.now() - late);
        if (what === 'join') join(who, ...setup.devices.slice(0, 1 + (control % 3)).map(({ id }) => id));
        else if (what === 'leave') remotes.leave(who);
        else if (what === 'turn')
          remotes.take(who, t, { kind: 'turn', ...place, unit: 'detents', amount: 1 });
        else remotes.take(who, t, { kind: what as 'down' | 'up', ...place });
      }
      remotes.leaveAll();
      // Macros, waits and repeats run out.
      clock.advanceTo(clock.now() + 60_000);
      expect(session.state.held).toEqual({});
      expect(session.state.latched).toEqual({});
      expect(session.state.down).toEqual({});
      expect(remotes.all).toEqual([]);
    }),
    150,
  );
});
