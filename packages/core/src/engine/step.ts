import type { Compiled } from './compile.ts';
import type { EngineEvent } from './event.ts';
import type { Explanation, Outcome } from './explanation.ts';
import { decideProfile } from './front.ts';
import { letGo } from './letGo.ts';
import { fallDue, press, release } from './press.ts';
import type { Run } from './run.ts';
import type { EngineState } from './state.ts';
import type { Stroke } from './stroke.ts';
import { nextTimer } from './timers.ts';
import { turn } from './turn.ts';

/** The engine after one event: what it remembers, what it sent and why. */
export interface Stepped {
  readonly state: EngineState;
  /** Everything sent, in order of time: first what had fallen due by then. */
  readonly strokes: readonly Stroke[];
  readonly explanation: Explanation;
  /** What fell due before the event, in order; each is explained under the event it came from. */
  readonly due: readonly Explanation[];
}

/**
 * What an event becomes. Pure: the same compiled set-up, state and event always give the same strokes.
 * Works in milliseconds and degrees. What falls due up to and at the event's time comes before it, one by one,
 * also what is set by something that fell due; every event is explained, those that change nothing too.
 */
export function step(compiled: Compiled, state: EngineState, event: EngineEvent): Stepped {
  const now = Math.max(state.now, event.t);
  const due: Explanation[] = [];
  let current = state;
  for (let timer = nextTimer(current); timer && timer.at <= now; timer = nextTimer(current)) {
    const { device, control, cause, at } = timer;
    const timers = current.timers.filter((other) => other !== timer);
    const run = begun(compiled, { ...current, timers, now: Math.max(current.now, at) }, cause);
    const outcome = fallDue(run, timer);
    due.push(explained(run, { kind: 'due', t: run.state.now, device, control }, outcome));
    current = run.state;
  }
  const seq = current.seq + 1;
  const run = begun(compiled, { ...current, now, seq }, seq);
  const explanation = explained(run, event, outcomeOf(run, event));
  const strokes = due.length === 0 ? run.strokes : [...due.flatMap((each) => each.strokes), ...run.strokes];
  return { state: run.state, strokes, explanation, due };
}

function begun(compiled: Compiled, state: EngineState, cause: number): Run {
  return { compiled, strokes: [], changes: [], state, cause };
}

function explained(run: Run, event: Explanation['event'], outcome: Outcome): Explanation {
  const { cause: seq, state, strokes, changes } = run;
  return { seq, t: state.now, event, outcome, strokes, changes };
}

function outcomeOf(run: Run, event: EngineEvent): Outcome {
  switch (event.kind) {
    case 'down':
      return press(run, event);
    case 'up':
      return release(run, event);
    case 'turn':
      return turn(run, event);
    case 'front':
      return decideProfile(run, { front: event.window });
    case 'pin':
      if (event.profile !== null && !run.compiled.profiles.has(event.profile)) {
        return { kind: 'ignored', why: 'unknown-profile' };
      }
      return decideProfile(run, { pinned: event.profile });
    case 'edited':
      return decideProfile(run, {});
    case 'time':
    case 'attach':
      return { kind: 'noted' };
    case 'detach':
      return { kind: 'let-go', ended: letGo(run, event.device) };
    case 'reset':
      return { kind: 'let-go', ended: letGo(run, null) };
  }
}
