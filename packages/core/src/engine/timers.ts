import type { Run } from './run.ts';
import type { EngineState, Timer } from './state.ts';

/** Sets something to fall due. */
export function setTimer(run: Run, what: Timer['what'], key: string, at: number): void {
  run.state.timers = [...run.state.timers, { at, what, key, cause: run.cause }];
}

/** Takes back what was to fall due: of one kind and key. */
export function dropTimer(run: Run, what: Timer['what'], key: string): void {
  const { timers } = run.state;
  for (const timer of timers) {
    if (timer.what !== what || timer.key !== key) continue;
    run.state.timers = timers.filter((other) => other.what !== what || other.key !== key);
    return;
  }
}

/** What falls due first; of those at the same time the one that was set first. Null when nothing does. */
export function nextTimer({ timers }: EngineState): Timer | null {
  let first: Timer | null = null;
  for (const timer of timers) if (!first || timer.at < first.at) first = timer;
  return first;
}

/** When the engine next has something to do by itself, in milliseconds; null for never. */
export function nextDeadline(state: EngineState): number | null {
  return nextTimer(state)?.at ?? null;
}
