import type { Compiled } from './compile.ts';
import type { EngineEvent } from './event.ts';
import type { Explanation, Outcome } from './explanation.ts';
import { decideProfile } from './front.ts';
import { press, release } from './press.ts';
import { endHeld, type Run } from './run.ts';
import type { EngineState } from './state.ts';
import type { Stroke } from './stroke.ts';
import { turn } from './turn.ts';

/** The engine after one event: what it remembers, what it sent and why. */
export interface Stepped {
  readonly state: EngineState;
  readonly strokes: readonly Stroke[];
  readonly explanation: Explanation;
}

/**
 * What an event becomes. Pure: the same compiled set-up, state and event always give the same strokes.
 * Works in milliseconds and degrees; every event is explained, those that change nothing too.
 */
export function step(compiled: Compiled, state: EngineState, event: EngineEvent): Stepped {
  const now = Math.max(state.now, event.t);
  const run: Run = { compiled, strokes: [], changes: [], state: { ...state, now, seq: state.seq + 1 } };
  const outcome = outcomeOf(run, event);
  const { strokes, changes } = run;
  const explanation: Explanation = { seq: run.state.seq, t: now, event, outcome, strokes, changes };
  return { state: run.state, strokes, explanation };
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
    case 'attach':
      return { kind: 'noted' };
    case 'detach':
      return letGo(run, event.device);
    case 'reset':
      return letGo(run, null);
  }
}

/** Ends and forgets everything of one device, or of all. */
function letGo(run: Run, device: string | null): Outcome {
  const goes = (owner: string) => device === null || owner === device;
  const ended = endHeld(run, (held) => goes(held.device));
  const kept = <Value>(record: Readonly<Record<string, Value>>) =>
    Object.fromEntries(Object.entries(record).filter(([key]) => !goes(key.slice(0, key.indexOf('/')))));
  run.state = { ...run.state, held: kept(run.state.held), turned: kept(run.state.turned) };
  return { kind: 'let-go', ended };
}
