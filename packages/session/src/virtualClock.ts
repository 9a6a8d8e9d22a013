import type { Clock } from './clock.ts';

/** A clock that goes on only when it is told to: for recordings and tests. */
export class VirtualClock implements Clock {
  #now = 0;
  #calls: { readonly at: number; readonly call: () => void }[] = [];

  now(): number {
    return this.#now;
  }

  wakeAt(at: number, call: () => void): () => void {
    const own = { at, call };
    this.#calls.push(own);
    return () => {
      this.#calls = this.#calls.filter((other) => other !== own);
    };
  }

  /** Goes on to a time, and on the way makes every call at its own time, the earliest first. */
  advanceTo(time: number): void {
    for (let next = this.#earliest(time); next; next = this.#earliest(time)) {
      const { at, call } = next;
      this.#calls = this.#calls.filter((other) => other !== next);
      this.#now = Math.max(this.#now, at);
      call();
    }
    this.#now = Math.max(this.#now, time);
  }

  /** Jumps to a time without a call on the way, as a computer does that slept; those that are due come late. */
  jumpTo(time: number): void {
    this.#now = Math.max(this.#now, time);
    this.advanceTo(this.#now);
  }

  #earliest(until: number) {
    const due = this.#calls.filter(({ at }) => at <= until);
    return due.toSorted((a, b) => a.at - b.at)[0];
  }
}
