import type { Deadline, EngineState } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Sets something to fall due; its strokes will name `cause`. */
export function setDeadline(
  context: StepContext,
  what: Deadline['what'],
  key: string,
  at: number,
  cause: number = context.cause,
): void {
  context.state.deadlines = [...context.state.deadlines, { at, what, key, cause }];
}

/** Takes back what was to fall due: of one kind and key. */
export function dropDeadline(context: StepContext, what: Deadline['what'], key: string): void {
  const { deadlines } = context.state;
  for (const deadline of deadlines) {
    if (deadline.what !== what || deadline.key !== key) continue;
    context.state.deadlines = deadlines.filter((other) => other.what !== what || other.key !== key);
    return;
  }
}

/** What falls due first; of those at the same time the one that was set first. Null when nothing does. */
export function earliestDeadline({ deadlines }: EngineState): Deadline | null {
  let first: Deadline | null = null;
  for (const deadline of deadlines) if (!first || deadline.at < first.at) first = deadline;
  return first;
}

/** When the engine next has something to do by itself, in milliseconds; null for never. */
export function nextDeadline(state: EngineState): number | null {
  return earliestDeadline(state)?.at ?? null;
}
