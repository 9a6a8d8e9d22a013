import type { Setup } from '../setup/index.ts';
import { compile } from './compile.ts';
import type { EngineEvent } from './event.ts';
import type { Explanation } from './explanation.ts';
import { type Keyboards, US_KEYBOARDS } from './keyboards.ts';
import { type EngineState, INITIAL_STATE } from './state.ts';
import { step } from './step.ts';
import type { Stroke } from './stroke.ts';

/** A whole run: what was sent, why, and what the engine remembers at the end. */
export interface Simulated {
  readonly strokes: readonly Stroke[];
  /** One an event, and those that fell due in between. */
  readonly explanations: readonly Explanation[];
  /** The state after the last. */
  readonly state: EngineState;
}

/** Runs a recording of events through the engine in virtual time. */
export function simulate(
  setup: Setup,
  events: readonly EngineEvent[],
  keyboards: Keyboards = US_KEYBOARDS,
): Simulated {
  const compiled = compile(setup, null, keyboards);
  let state = INITIAL_STATE;
  const explanations: Explanation[] = [];
  for (const event of events) {
    const stepped = step(compiled, state, event);
    state = stepped.state;
    for (const due of stepped.due) explanations.push(due);
    explanations.push(stepped.explanation);
  }
  return { strokes: explanations.flatMap(({ strokes }) => strokes), explanations, state };
}
