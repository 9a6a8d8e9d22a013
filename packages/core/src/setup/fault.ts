import type { Refusal } from './refusal.ts';

/** Something wrong with a set-up, and where: the way from the set-up (or the thing that is looked at) to it. */
export interface Fault {
  /** Where it is: names and numbers from the top. */
  readonly at: readonly (string | number)[];
  readonly refusal: Refusal;
}
