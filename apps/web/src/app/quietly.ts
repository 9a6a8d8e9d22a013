import { type Middleware, SHOULD_AUTOBATCH } from '@reduxjs/toolkit';

/** How long those that draw may wait for what comes quietly: milliseconds. Ten times a second is smooth enough to look at from afar. */
export const QUIET_MS = 100;

/**
 * For what comes a hundred times a second: it changes the state at once, and whoever draws is told of all of it together,
 * a moment later. Anything else that is dispatched meanwhile is told at once, and all before it.
 */
export class Quietly {
  #isQuiet = false;

  /** Marks what is dispatched while something is done quietly, for the store's enhancer that batches. */
  readonly middleware: Middleware = () => (next) => (action) => next(this.#isQuiet ? marked(action) : action);

  /** Does something whose actions may be told later. */
  do(act: () => void): void {
    const before = this.#isQuiet;
    this.#isQuiet = true;
    try {
      act();
    } finally {
      this.#isQuiet = before;
    }
  }
}

function marked(action: unknown): unknown {
  const { meta, ...rest } = action as { readonly meta?: object };
  return { ...rest, meta: { ...meta, [SHOULD_AUTOBATCH]: true } };
}
