/** Something that is to happen. */
export interface Due {
  readonly at: number;
  readonly act: () => void;
}

/** What is to happen, in the order in which it was set. */
export class SlowClock {
  #dues: Due[] = [];

  set(at: number, act: () => void): Due {
    const due = { at, act };
    this.#dues.push(due);
    return due;
  }

  drop(due: Due | null): void {
    this.#dues = this.#dues.filter((other) => other !== due);
  }

  /** Takes the earliest that is due by a time; of those at the same time the one that was set first. */
  take(until: number): Due | null {
    const earliest = Math.min(...this.#dues.map(({ at }) => at));
    const due = earliest <= until ? this.#dues.find(({ at }) => at === earliest) : undefined;
    if (!due) return null;
    this.drop(due);
    return due;
  }
}
