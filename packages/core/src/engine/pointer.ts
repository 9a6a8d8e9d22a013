import type { Effect } from './effect.ts';
import { buttonDown, buttonUp } from './ledger.ts';
import type { Destination } from './state.ts';
import { type StepContext, send } from './stepContext.ts';

/** Clicks a pointer button, at a place where one is given. */
export function sendClick(
  context: StepContext,
  to: Destination,
  { button, count, at }: Pick<Extract<Effect, { kind: 'click' }>, 'button' | 'count' | 'at'>,
): void {
  if (at) send(context, to, { kind: 'pointer-move', to: at });
  for (let i = 0; i < count; i++) {
    buttonDown(context, to, button);
    buttonUp(context, to, button);
  }
}

/** Turns the wheel by ticks. */
export function sendWheel(
  context: StepContext,
  to: Destination,
  { ticks, axis }: Pick<Extract<Effect, { kind: 'wheel' }>, 'ticks' | 'axis'>,
): void {
  send(context, to, { kind: 'wheel', ticks, axis });
}
