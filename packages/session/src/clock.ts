/** The time of a desk, and a way to be woken. */
export interface Clock {
  /** Milliseconds; never goes back. Where it starts does not matter. */
  now(): number;
  /**
   * Calls once, at or after a time: a call may come late, and must not come before this returns.
   *
   * @returns takes the call back
   */
  wakeAt(at: number, call: () => void): () => void;
}
