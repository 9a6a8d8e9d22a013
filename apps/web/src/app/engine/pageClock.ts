import type { Clock } from '@nimble-lever/session';
import { steadyClock } from './steadyClock.ts';

/** Wakes after a time: in a worker, whose timers a browser does not slow down while the page is hidden. */
type Wake = (ms: number, call: () => void) => () => void;

/**
 * Wakes by the page's own timer. A browser slows it to once a second, later to once a minute, for a page in
 * the background (HTML, "timers and user prompts", leaves it to the browser).
 */
const byTimeout: Wake = (ms, call) => {
  const timeout = setTimeout(call, ms);
  return () => clearTimeout(timeout);
};

/**
 * Wakes by a worker's timer, which runs on in the background: a held key must come up when it is due,
 * whatever page is in front.
 */
function byWorker(): Wake {
  const worker = new Worker(new URL('../../workers/alarm.ts', import.meta.url), { type: 'module' });
  const calls = new Map<number, () => void>();
  let last = 0;
  worker.onmessage = ({ data: id }: MessageEvent<number>) => {
    const call = calls.get(id);
    calls.delete(id);
    call?.();
  };
  return (ms, call) => {
    last += 1;
    const id = last;
    calls.set(id, call);
    worker.postMessage({ id, ms });
    return () => {
      if (calls.delete(id)) worker.postMessage({ id, ms: null });
    };
  };
}

/** The clock of this page. */
export function pageClock(): Clock {
  const now = steadyClock(
    () => performance.now(),
    () => Date.now(),
  );
  const wake = typeof Worker === 'undefined' ? byTimeout : byWorker();
  return { now, wakeAt: (at, call) => wake(Math.max(0, at - now()), call) };
}
