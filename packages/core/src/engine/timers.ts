import type { Run } from './run.ts';
import type { EngineState, Timer } from './state.ts';

/** Sets something to fall due. */
export function setTimer(run: Run, timer: Omit<Timer, 'cause'>): void {
  run.state.timers = [...run.state.timers, { ...timer, cause: run.cause }];
}

/** Takes back what was to fall due for a control, or for controls. */
export function dropTimers(run: Run, which: (timer: Timer) => boolean): void {
  if (!run.state.timers.some(which)) return;
  run.state.timers = run.state.timers.filter((timer) => !which(timer));
}

/** What falls due first; of those at the same time the one that was set first. Null when nothing does. */
export function nextTimer({ timers }: EngineState): Timer | null {
  return timers.reduce<Timer | null>((first, timer) => (first && first.at <= timer.at ? first : timer), null);
}

/** When the engine next has something to do by itself, in milliseconds; null for never. */
export function nextDeadline(state: EngineState): number | null {
  return nextTimer(state)?.at ?? null;
}
