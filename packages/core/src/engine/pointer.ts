import type { Effect } from './effect.ts';
import { buttonDown, buttonUp } from './ledger.ts';
import { type Run, send } from './run.ts';

/** Clicks a pointer button, at a place where one is given. */
export function sendClick(
  run: Run,
  program: string | null,
  { button, count, at }: Pick<Extract<Effect, { kind: 'click' }>, 'button' | 'count' | 'at'>,
): void {
  if (at) send(run, program, { kind: 'pointer-move', to: at });
  for (let i = 0; i < count; i++) {
    buttonDown(run, program, button);
    buttonUp(run, program, button);
  }
}

/** Turns the wheel by ticks. */
export function sendWheel(
  run: Run,
  program: string | null,
  { ticks, axis }: Pick<Extract<Effect, { kind: 'wheel' }>, 'ticks' | 'axis'>,
): void {
  send(run, program, { kind: 'wheel', ticks, axis });
}
