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

const ROUNDS = 7;

/** Goes per second: the median of several rounds, after two to warm up. */
export function perSecond(count: number, goAll: () => void): number {
  goAll();
  goAll();
  const rates = Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    goAll();
    return (count / (performance.now() - began)) * 1000;
  });
  return rates.toSorted((a, b) => a - b)[Math.floor(ROUNDS / 2)] ?? 0;
}
