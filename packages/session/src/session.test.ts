import {
  type EngineState,
  type Explanation,
  type Keyboards,
  type Stroke,
  US_KEYBOARDS,
} from '@nimble-lever/core/engine';
import { applyEdit, type Setup } from '@nimble-lever/core/setup';
import {
  arbitraryScenario,
  type BoundRow,
  bound,
  events,
  type Happens,
  runAll,
  SMALL_KEYBOARDS,
  short,
  tryOut,
} from '@nimble-lever/core/testing';
import { playRecording } from './playRecording.ts';
import { Session, SLEPT_MS } from './session.ts';
import { VirtualClock } from './virtualClock.ts';

/** A session at a desk that keeps what it is sent; `on` answers strokes, as a desk's windows do. */
function desk(
  setup: Setup,
  on: (stroke: Stroke, session: Session) => void = () => undefined,
  keyboards: Keyboards = US_KEYBOARDS,
) {
  const clock = new VirtualClock();
  const strokes: Stroke[] = [];
  const told: Explanation[] = [];
  const failures: unknown[] = [];
  const session: Session = new Session({
    clock,
    carrier: {
      carryOut: (stroke) => {
        strokes.push(stroke);
        on(stroke, session);
      },
      front: () => null,
    },
    told: (explanation) => told.push(explanation),
    failed: (error) => failures.push(error),
  });
  session.use(setup, keyboards);
  const play = (...lines: string[]) => {
    for (const { t, ...event } of events(...lines)) {
      clock.advanceTo(t);
      session.take(event);
    }
  };
  return { clock, session, strokes, told, failures, play, sent: () => short({ strokes }) };
}

const KEY = 'everywhere pad/key-1';
const REPEAT: BoundRow = [`${KEY} press`, 'A', 'repeat'];

test('random runs with edits in between send and explain what the engine alone does, woken at each deadline', () => {
  const same = ({ setup, happenings }: { setup: Setup; happenings: readonly Happens[] }) => {
    const alone = runAll(setup, happenings);
    const { clock, session, strokes, told } = desk(setup, undefined, SMALL_KEYBOARDS);
    let current = setup;
    for (const each of happenings) {
      clock.advanceTo(each.t);
      if (each.kind !== 'edit') {
        const { t: _t, ...event } = each;
        session.take(event);
        continue;
      }
      const applied = applyEdit(current, each.edit);
      if (!applied.ok) continue;
      current = applied.value.setup;
      session.use(current, SMALL_KEYBOARDS);
    }
    // Events in the past are taken at the newest time known by both; only the event itself says its own time.
    const bare = (all: readonly Explanation[]) =>
      JSON.stringify(all.map(({ event: { t: _t, ...event }, ...rest }) => ({ ...rest, event })));
    if (JSON.stringify(strokes) !== JSON.stringify(alone.strokes)) throw new Error('other strokes');
    if (bare(told) !== bare(alone.explanations)) throw new Error('explained otherwise');
    // An edit that is refused is not told to the session, so that its time may be a little behind.
    const still = (state: EngineState) => JSON.stringify({ ...state, now: 0 });
    if (still(session.state) !== still(alone.state)) throw new Error('another state');
  };
  expect(tryOut(arbitraryScenario, same, { runs: 100 }).failure).toBeNull();
});

test('an event that a stroke causes waits its turn, and is not lost', () => {
  const opens: BoundRow = [`${KEY} hold`, { kind: 'program', program: 'brindle', launch: true }, 'tap'];
  const raised = desk(bound([opens, [`${KEY} press`, 'A']]), (stroke, session) => {
    if (stroke.kind !== 'focus') return;
    session.take({ kind: 'front', window: { executable: stroke.program, class: '', title: '' } });
    // Still the state of before: the event waits.
    expect(session.state.profile).toBe('everywhere');
  });
  raised.play('0 down pad/key-1', '400 up pad/key-1');
  expect(raised.session.state.profile).toBe('brindle');
  expect(raised.told.map(({ event }) => event.kind)).toEqual(['down', 'due', 'front', 'up']);
});

test('an edit that comes with a stroke waits too, and what was due before it is done as it was', () => {
  const other = bound([[`${KEY} press`, 'B', 'repeat']]);
  const edited = desk(bound([REPEAT]), (stroke, session) => {
    if (stroke.t === 450 && stroke.kind === 'key-up') session.use(other);
  });
  edited.play('0 down pad/key-1', '460 up pad/key-1', '470 down pad/key-1');
  expect(edited.sent()).toBe(
    '@0 +KeyA @0 -KeyA @400 +KeyA @400 -KeyA @450 +KeyA @450 -KeyA @470 +KeyB @470 -KeyB',
  );
});

test('a stroke that cannot be carried out is told, and the others are carried out', () => {
  const failing = desk(bound([[`${KEY} press`, 'Ctrl+A', 'tap']]), (stroke) => {
    if (stroke.kind === 'key-down' && stroke.code === 'KeyA') throw new Error('no window');
  });
  failing.play('0 down pad/key-1');
  expect(failing.strokes.length).toBe(4);
  expect(failing.failures).toEqual([new Error('no window')]);
  failing.play('1 up pad/key-1', '2 down pad/key-1');
  expect(failing.strokes.length).toBe(8);
});

test('a computer that slept lets go of everything, says so, and sends nothing of what it missed', () => {
  const slept = desk(bound([REPEAT, ['everywhere pad/key-2 press', 'Shift']]));
  slept.play('0 down pad/key-1', '1 down pad/key-2');
  slept.clock.jumpTo(3_600_000);
  expect(slept.sent()).toBe('@0 +KeyA @0 -KeyA @1 +ShiftLeft @1 -ShiftLeft');
  expect(slept.told.at(-1)?.event).toMatchObject({ kind: 'reset', slept: 3_599_999 });
  slept.play('3600001 up pad/key-1', '3600002 down pad/key-1');
  expect(slept.strokes.slice(4).map(({ t }) => t)).toEqual([3_600_002, 3_600_002]);
});

test.each([
  ['something is held', ['0 down pad/key-2'], 30_000, 'reset'],
  ['something is held, and the gap is short', ['0 down pad/key-2'], SLEPT_MS, 'down'],
  ['nothing is held', ['0 down pad/key-2', '1 up pad/key-2'], 3_600_000, 'up'],
] as const)('a gap in the clock while %s', (_name, lines, gap, last) => {
  const one = desk(bound([['everywhere pad/key-2 press', 'Shift']]));
  one.play(...lines);
  one.clock.jumpTo(gap);
  expect(one.told.at(-1)?.event.kind).toBe(last);
});

test('an event that comes before the late call of the clock finds that the computer slept', () => {
  const setup = bound([['everywhere pad/key-2 press', 'Shift']]);
  let now = 0;
  const told: Explanation[] = [];
  const session = new Session({
    clock: { now: () => now, wakeAt: () => () => undefined },
    carrier: { carryOut: () => undefined, front: () => null },
    told: (explanation) => told.push(explanation),
    failed: () => undefined,
  });
  session.use(setup);
  session.take({ kind: 'down', device: 'pad', control: 'key-2' });
  now = 60_000;
  session.take({ kind: 'up', device: 'pad', control: 'key-2' });
  expect(told.map(({ event }) => event.kind)).toEqual(['down', 'reset', 'up']);
  session.take({ kind: 'down', device: 'pad', control: 'key-2' });
  now = 120_000;
  session.use(bound([]));
  expect(told.map(({ event }) => event.kind).slice(3)).toEqual(['down', 'reset', 'edited']);
});

test('it is woken only while there is something to be awake for', () => {
  const clock = new VirtualClock();
  const calls: number[] = [];
  const wakeAt = (at: number, call: () => void) => {
    calls.push(at);
    return clock.wakeAt(at, call);
  };
  const session = new Session({
    clock: { now: () => clock.now(), wakeAt },
    carrier: { carryOut: () => undefined, front: () => null },
    told: () => undefined,
    failed: () => undefined,
  });
  session.use(bound([['everywhere pad/key-2 press', 'Shift']]));
  session.take({ kind: 'down', device: 'pad', control: 'key-2' });
  clock.advanceTo(2500);
  expect(calls).toEqual([1000, 2000, 3000]);
  session.take({ kind: 'up', device: 'pad', control: 'key-2' });
  clock.advanceTo(60_000);
  expect(calls.length).toBe(3);
});

test('stopped, it holds nothing and is not woken again', () => {
  const stopped = desk(bound([REPEAT]));
  stopped.play('0 down pad/key-1');
  stopped.session.stop();
  stopped.clock.advanceTo(10_000);
  expect(stopped.sent()).toBe('@0 +KeyA @0 -KeyA');
  expect(stopped.session.state.held).toEqual({});
});

test('before there is a set-up events are dropped; the first one asks what is in front', () => {
  const told: Explanation[] = [];
  const session = new Session({
    clock: new VirtualClock(),
    carrier: {
      carryOut: () => undefined,
      front: () => ({ executable: 'brindle', class: '', title: '' }),
    },
    told: (explanation) => told.push(explanation),
    failed: () => undefined,
  });
  session.take({ kind: 'down', device: 'pad', control: 'key-1' });
  expect([told.length, session.compiled]).toEqual([0, null]);
  session.use(bound([]));
  expect(session.state.profile).toBe('brindle');
});

test('a recording is played with each cause the number of its event', () => {
  const recorded = events('0 down pad/key-1', '460 up pad/key-1', '500 down pad/key-1');
  const { strokes, explanations } = playRecording(bound([REPEAT]), recorded);
  expect(strokes.map(({ t, cause }) => `${t}:${cause}`)).toEqual([
    '0:1',
    '0:1',
    '400:1',
    '400:1',
    '450:1',
    '450:1',
    '500:3',
    '500:3',
  ]);
  expect(explanations.map(({ event }) => event.kind)).toEqual(['down', 'due', 'due', 'up', 'down']);
});
