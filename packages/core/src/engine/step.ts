import type { Compiled } from './compile.ts';
import { fallDue, ownerOf } from './due.ts';
import type { EngineEvent } from './event.ts';
import type { Explanation, Outcome } from './explanation.ts';
import { afterEdit, decideProfile } from './front.ts';
import { letGo } from './letGo.ts';
import { move } from './move.ts';
import { phrase } from './phrase.ts';
import { position } from './position.ts';
import { press, release } from './press.ts';
import { copyOf, type Run } from './run.ts';
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
    const { cause, at } = timer;
    const t = Math.max(current.now, at);
    const owner = ownerOf(current, timer);
    const run = begun(compiled, current, t, cause);
    run.state.timers = current.timers.filter((other) => other !== timer);
    const { device = '', control = '' } = owner ?? {};
    due.push(explained(run, { kind: 'due', t, device, control }, fallDue(run, timer)));
    current = run.state;
  }
  const seq = current.seq + 1;
  const run = begun(compiled, current, now, seq);
  run.state.seq = seq;
  const explanation = explained(run, event, outcomeOf(run, event));
  return { state: run.state, strokes: joined(due, run.strokes), explanation, due };
}

function joined(due: readonly Explanation[], last: readonly Stroke[]): readonly Stroke[] {
  if (due.length === 0) return last;
  const all: Stroke[] = [];
  for (const { strokes } of due) for (const stroke of strokes) all.push(stroke);
  for (const stroke of last) all.push(stroke);
  return all;
}

function begun(compiled: Compiled, before: EngineState, now: number, cause: number): Run {
  const state = copyOf(before);
  state.now = now;
  return { compiled, strokes: [], changes: [], wishes: [], state, cause };
}

function explained(run: Run, event: Explanation['event'], outcome: Outcome): Explanation {
  if (run.wishes.length > 0) grantWishes(run);
  const { cause: seq, state, strokes, changes } = run;
  return { seq, t: state.now, event, outcome, strokes, changes };
}

/** Does what waits for the event to be dealt with: another profile, a device that is gone. */
function grantWishes(run: Run): void {
  for (let wish = run.wishes.shift(); wish; wish = run.wishes.shift()) {
    const ended =
      wish.kind === 'pin' ? decideProfile(run, { pinned: wish.profile }).ended : letGo(run, wish.device);
    if (ended.length > 0) run.changes.push({ kind: 'let-go', ended });
  }
}

function outcomeOf(run: Run, event: EngineEvent): Outcome {
  switch (event.kind) {
    case 'down':
      return press(run, event);
    case 'up':
      return release(run, event);
    case 'turn':
      return turn(run, event);
    case 'position':
      return position(run, event);
    case 'move':
      return move(run, event);
    case 'phrase':
      return phrase(run, event);
    case 'front':
      return decideProfile(run, { front: event.window });
    case 'pin':
      if (event.profile !== null && !run.compiled.profiles.has(event.profile)) {
        return { kind: 'ignored', why: 'unknown-profile' };
      }
      return decideProfile(run, { pinned: event.profile });
    case 'edited':
      return afterEdit(run);
    case 'time':
    case 'attach':
      return { kind: 'noted' };
    case 'detach':
      return { kind: 'let-go', ended: letGo(run, event.device) };
    case 'reset':
      return { kind: 'let-go', ended: letGo(run, null) };
  }
}
