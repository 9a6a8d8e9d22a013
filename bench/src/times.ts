/** Times of many goes at one thing, in microseconds. */
export interface Times {
  readonly median: number;
  readonly p99: number;
}

/** Does something `count` times, each time measured; a first round warms up. */
export function timed(count: number, go: (i: number) => void): Times {
  for (let i = 0; i < count; i++) go(i);
  const times = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    const began = performance.now();
    go(i);
    times[i] = (performance.now() - began) * 1000;
  }
  times.sort();
  const at = (part: number) => times[Math.floor(count * part)] ?? 0;
  return { median: at(0.5), p99: at(0.99) };
}

/** Rounds of which the median counts, so that one in which the machine did something else does not. */
const ROUNDS = 9;

/**
 * Goes per second of two ways to do the same, and the first's through the second's: the median of rounds in which
 * each had its turn, so that a machine that is busy for a while is busy for both.
 */
export function sideBySide(count: number, first: () => void, second: () => void) {
  const rate = (goAll: () => void) => {
    const began = performance.now();
    goAll();
    return (count / (performance.now() - began)) * 1000;
  };
  for (let i = 0; i < 2; i++) for (const each of [first, second]) each();
  const rounds = Array.from({ length: ROUNDS }, () => {
    const [a, b] = [rate(first), rate(second)];
    return { first: a, second: b, ratio: a / b };
  });
  const median = (of: (round: (typeof rounds)[number]) => number) =>
    rounds.map(of).toSorted((a, b) => a - b)[Math.floor(ROUNDS / 2)] ?? 0;
  return {
    first: median((round) => round.first),
    second: median((round) => round.second),
    ratio: median((round) => round.ratio),
  };
}
