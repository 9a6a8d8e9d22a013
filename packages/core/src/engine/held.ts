import { withEntry } from './record.ts';
import type { Held, ResolvedUse } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** When a control went down, and what its turns do while it is. */
export type Down = Pick<Held, 'since' | 'turns'>;

/** A control that is down and holds nothing. */
export function quietly({ using }: ResolvedUse, { since, turns }: Down): Held {
  return {
    using,
    holds: NOTHING,
    serial: 0,
    since,
    silent: false,
    turned: false,
    turns,
    later: null,
    guarded: null,
  };
}

/** A control that is down, with what it holds. Written out: spreading costs as much as all the rest of a press. */
export function holding(
  { using }: ResolvedUse,
  { since, turns }: Down,
  holds: Held['holds'],
  serial: number,
  later: Held['later'],
): Held {
  return { using, holds, serial, since, silent: false, turned: false, turns, later, guarded: null };
}

/** The same empty list, so that states without holds are equal by identity. */
const NOTHING: Held['holds'] = [];

/** Notes a control as down and decided. */
export function setHeld(context: StepContext, held: Held): void {
  context.state.held = withEntry(context.state.held, held.using.key, held);
}
