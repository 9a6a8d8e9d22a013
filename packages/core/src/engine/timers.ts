import type { Run } from './run.ts';
import type { EngineState, Timer } from './state.ts';

/** Sets something to fall due. */
export function setTimer(run: Run, what: Timer['what'], key: string, at: number): void {
  run.state.timers = [...run.state.timers, { at, what, key, cause: run.cause }];
}

/** Takes back what was to fall due: of one kind and key. */
export function dropTimer(run: Run, what: Timer['what'], key: string): void {
  const { timers } = run.state;
  if (timers.length === 0 || !timers.some((timer) => timer.what === what && timer.key === key)) return;
  run.state.timers = timers.filter((timer) => timer.what !== what || timer.key !== key);
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
