import type { Control, Trigger } from '../devices/index.ts';
import type { EngineEvent, EventOf } from '../engine/event.ts';

/** How long one tried use lasts, and how many steps a tried turn goes: milliseconds. */
export const TRIED_MS = 1200;
/** A turn of so many steps, so that repeats and speeds show. */
const TURN_STEPS = 6;

/** When a control goes down and comes up again, in milliseconds. */
const PRESSED = [100, 820] as const;
/** Presses and releases of a double press, in milliseconds. */
const TWICE = [100, 180, 300, 820] as const;
interface Place {
  readonly device: string;
  readonly control: string;
}

/** The events of one typical use of a control, from 0 to `TRIED_MS`: a press of 720 ms, a turn of six steps… */
export function eventsOfUse(device: string, control: Control, trigger: Trigger): readonly EngineEvent[] {
  const at = { device, control: control.id };
  return [...uses(at, control, trigger), { kind: 'time', t: TRIED_MS }];
}

/** One use of each trigger, as a hand would do it. */
function uses(at: Place, control: Control, trigger: Trigger): readonly EngineEvent[] {
  switch (trigger) {
    case 'clockwise':
      return turns(at, 1);
    case 'anticlockwise':
      return turns(at, -1);
    case 'pressed-clockwise':
      return [...presses(at, [0]), ...turns(at, 1)];
    case 'pressed-anticlockwise':
      return [...presses(at, [0]), ...turns(at, -1)];
    case 'shuttle-clockwise':
      return positions(at, [3, 0]);
    case 'shuttle-anticlockwise':
      return positions(at, [-3, 0]);
    case 'slide':
    case 'slide-up':
      return positions(at, [0, 0.3, 0.6, 1]);
    case 'slide-down':
      return positions(at, [1, 0.6, 0.3, 0]);
    case 'slide-across':
    case 'slide-right':
      return across(positions(at, [0, 0.3, 0.6, 1]));
    case 'slide-left':
      return across(positions(at, [1, 0.6, 0.3, 0]));
    case 'phrase':
      return [{ kind: 'phrase', t: 100, text: control.phrase ?? '' }];
    case 'double-press':
      return presses(at, TWICE);
    case 'nudge-up':
      return nudged(at, 0, -FAR);
    case 'nudge-right':
      return nudged(at, FAR, 0);
    case 'nudge-down':
      return nudged(at, 0, FAR);
    case 'nudge-left':
      return nudged(at, -FAR, 0);
    case 'press':
    case 'touch-press':
    case 'hold':
      return presses(at, PRESSED);
  }
}

/** Far enough for any nudge distance: pixels. */
const FAR = 500;

/** Pressed, and moved while it is. */
function nudged(at: Place, dx: number, dy: number): EngineEvent[] {
  return [...presses(at, PRESSED), { kind: 'move' as const, t: 200, dx, dy }].toSorted((a, b) => a.t - b.t);
}

/** Down and up in turn at the given moments. */
function presses(at: Place, times: readonly number[]): EngineEvent[] {
  return times.map((t, i) => ({ kind: i % 2 === 0 ? ('down' as const) : ('up' as const), t, ...at }));
}

/** Turned by single steps over the time of one try. */
function turns(at: Place, amount: number): EngineEvent[] {
  return Array.from({ length: TURN_STEPS }, (_, i) => ({
    kind: 'turn',
    t: ((i + 0.5) * TRIED_MS) / TURN_STEPS,
    ...at,
    unit: 'detents',
    amount,
  }));
}

/** The same from left to right. */
function across(moves: readonly EventOf<'position'>[]): EngineEvent[] {
  return moves.map((move) => ({ ...move, axis: 'across' }));
}

/** Pushed from one value to the next. */
function positions(at: Place, values: readonly number[]): EventOf<'position'>[] {
  return values.map((value, i) => ({ kind: 'position', t: 100 + i * 300, ...at, value }));
}
