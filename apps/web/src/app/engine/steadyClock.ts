/** How far the two clocks may drift apart before it counts as time that one of them missed: milliseconds. */
const DRIFT_MS = 1000;

/**
 * The time that passed, also while the computer slept: a monotonic clock stands still then in some browsers, while the
 * wall clock goes on. Never goes back, whatever the wall clock does.
 *
 * @param monotonic milliseconds that never go back, as `performance.now`
 * @param wall milliseconds since 1970, as `Date.now`
 */
export function steadyClock(monotonic: () => number, wall: () => number): () => number {
  let missed = 0;
  let apart = wall() - monotonic();
  return () => {
    const now = monotonic();
    const drift = wall() - now - apart;
    if (Math.abs(drift) > DRIFT_MS) {
      apart += drift;
      missed += Math.max(0, drift);
    }
    return now + missed;
  };
}
