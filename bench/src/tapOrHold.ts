import { compile, type EngineEvent, type EngineState, INITIAL_STATE, step } from '@nimble-lever/core/engine';
import { acting, demoSetup, slotKey } from '@nimble-lever/core/setup';
import { createActor, SimulatedClock, setup } from 'xstate';
import { sideBySide } from './times.ts';

/** When a press becomes a hold; the same in both machines. */
const HOLD_MS = 250;

/** Taps and holds in turn on one control: down, then up after 100 or 400 ms. */
function presses(count: number): { readonly t: number; readonly down: boolean }[] {
  return Array.from({ length: count }, (_, i) => {
    const press = Math.floor(i / 2);
    const down = i % 2 === 0;
    return { t: press * 1000 + (down ? 0 : press % 2 === 0 ? 100 : 400), down };
  });
}

/** All the events once; gives how many strokes were sent. */
type Task = () => number;

/** Our engine: one control with a press and a hold. */
function ours(count: number): Task {
  const demo = demoSetup();
  const bindings = demo.profiles.everywhere?.bindings ?? {};
  for (const [trigger, shortcut] of [
    ['press', 'A'],
    ['hold', 'B'],
  ] as const) {
    bindings[slotKey('base', 'twelve-pad', 'key-5', trigger)] = {
      behaviour: acting({ kind: 'shortcut', shortcut }, 'follow'),
      face: null,
      note: null,
    };
  }
  const compiled = compile(demo);
  const at = { device: 'twelve-pad', control: 'key-5' };
  const events = presses(count).map(({ t, down }): EngineEvent => ({ kind: down ? 'down' : 'up', t, ...at }));
  return () => {
    let state: EngineState = INITIAL_STATE;
    let sent = 0;
    for (const event of events) {
      const stepped = step(compiled, state, event);
      state = stepped.state;
      sent += stepped.strokes.length;
    }
    return sent;
  };
}

/** The same task as an xstate machine with a delayed transition, driven by a simulated clock. */
function theirs(count: number): Task {
  let sent = 0;
  const send = () => {
    sent += 1;
  };
  const machine = setup({
    types: { events: {} as { type: 'down' } | { type: 'up' } },
    actions: { send },
    delays: { hold: HOLD_MS },
  }).createMachine({
    initial: 'up',
    states: {
      up: { on: { down: 'waiting' } },
      waiting: {
        after: { hold: 'holding' },
        on: { up: { target: 'up', actions: ['send', 'send'] } },
      },
      holding: { entry: 'send', on: { up: { target: 'up', actions: 'send' } } },
    },
  });
  const events = presses(count);
  return () => {
    const clock = new SimulatedClock();
    const actor = createActor(machine, { clock }).start();
    sent = 0;
    for (const { t, down } of events) {
      clock.set(t);
      actor.send({ type: down ? 'down' : 'up' });
    }
    actor.stop();
    return sent;
  };
}

/** Events per second of both at the same task, in one run; both must send the same number of strokes. */
export function tapOrHold(count: number): { ours: number; theirs: number; ratio: number } {
  const [a, b] = [ours(count), theirs(count)];
  const [sentByOurs, sentByTheirs] = [a(), b()];
  if (sentByOurs !== sentByTheirs) {
    throw new Error(`The engine sends ${sentByOurs} strokes, the machine ${sentByTheirs}.`);
  }
  const { first, second, ratio } = sideBySide(count, a, b);
  return { ours: first, theirs: second, ratio };
}
