/** How long the smallest difference counts: milliseconds. Clocks of computers drift apart by less in that time. */
const MEMORY_MS = 60_000;

/**
 * The time of a remote in a desk's time. Messages take a while, not always the same; the smallest difference between when
 * one came and when it says it was sent is nearest to the difference of the clocks, so that what took 250 ms at the
 * remote takes 250 ms here, whatever the network does in between.
 */
export class RemoteClock {
  /** Differences in the order in which they came, each smaller than those after it: the first is the smallest. */
  #differences: { readonly at: number; readonly by: number }[] = [];
  #last = Number.NEGATIVE_INFINITY;

  /**
   * When something happened: never later than it came, and never before what came before it.
   *
   * @param t by the remote's clock, in milliseconds
   * @param now when it came by the desk's clock, in milliseconds
   */
  timeOf(t: number, now: number): number {
    const by = now - t;
    while ((this.#differences.at(-1)?.by ?? Number.NEGATIVE_INFINITY) >= by) this.#differences.pop();
    this.#differences.push({ at: now, by });
    while ((this.#differences[0]?.at ?? now) < now - MEMORY_MS) this.#differences.shift();
    const smallest = this.#differences[0]?.by ?? by;
    this.#last = Math.max(this.#last, Math.min(now, t + smallest));
    return this.#last;
  }
}
