import { withEntry } from './record.ts';
import type { Held, ResolvedUse } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** When a control went down, and what its turns do while it is. */
export type Down = Pick<Held, 'since' | 'turns'>;

/** A control that is down and holds nothing. */
export function quietly({ using }: ResolvedUse, { since, turns }: Down): Held {
  return {
    using,
    holds: [],
    serial: 0,
    since,
    silent: false,
    turned: false,
    turns,
    later: null,
    guarded: null,
  };
}

/** Notes a control as down and decided. */
export function setHeld(context: StepContext, held: Held): void {
  context.state.held = withEntry(context.state.held, held.using.key, held);
}
