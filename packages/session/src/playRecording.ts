import {
  type EngineEvent,
  type Explanation,
  type Keyboards,
  type Stroke,
  US_KEYBOARDS,
} from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';
import { Session } from './session.ts';
import { VirtualClock } from './virtualClock.ts';

/** What came of a recording: every explanation, and every stroke, in order. */
export interface Played {
  readonly explanations: readonly Explanation[];
  readonly strokes: readonly Stroke[];
}

/** Plays recorded events at a desk of their own, in virtual time. An event in the past is taken at the newest time. */
export function playRecording(
  setup: Setup,
  events: readonly EngineEvent[],
  keyboards: Keyboards = US_KEYBOARDS,
): Played {
  const clock = new VirtualClock();
  const explanations: Explanation[] = [];
  const strokes: Stroke[] = [];
  const session = new Session({
    clock,
    carrier: { carryOut: (stroke) => strokes.push(stroke), front: () => null },
    told: (explanation) => explanations.push(explanation),
    failed: (error) => {
      throw error;
    },
  });
  session.use(setup, keyboards);
  for (const { t, ...event } of events) {
    clock.advanceTo(t);
    session.take(event);
  }
  return { explanations, strokes };
}
