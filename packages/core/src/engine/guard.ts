import { controlAt } from './compile.ts';
import { dropDeadline, setDeadline } from './deadlines.ts';
import type { Outcome } from './explanation.ts';
import { type Down, quietly, setHeld } from './held.ts';
import { withEntry, without } from './record.ts';
import { type ResolvedUse, type Using, useKey } from './state.ts';
import type { StepContext } from './stepContext.ts';

/**
 * Whether a guarded press may go on: null when it may, else what it asks for. Letting go of a latch is never
 * guarded.
 *
 * @param since when its control went down
 * @param down null where it has come up already, so that it cannot be held longer
 */
export function passesGuard(
  context: StepContext,
  use: ResolvedUse,
  since: number,
  down: Down | null,
): Outcome | null {
  const { using, sending, resolution } = use;
  const how = sending?.guard ?? null;
  if (how === null || context.state.latched[useKey(using)]) return null;
  const { key } = using;
  const settings = controlAt(context.compiled, using.device, using.control)?.settings;
  if (!settings) return null;
  if (how === 'second') {
    if (context.state.confirmations[useKey(using)]) {
      endConfirmation(context, using);
      return null;
    }
    context.state.confirmations = withEntry(context.state.confirmations, useKey(using), using);
    setDeadline(context, 'confirm', useKey(using), context.state.now + settings.confirmMs);
  } else {
    const until = since + settings.guardMs;
    if (context.state.now >= until) return null;
    if (!down) return { kind: 'guarded', how, asks: false, resolution };
    setDeadline(context, 'guard', key, until);
  }
  if (down) setHeld(context, { ...quietly(use, down), guarded: how === 'longer' ? use : null });
  context.changes.push({ kind: 'guard', device: using.device, control: using.control, how, asks: true });
  return { kind: 'guarded', how, asks: true, resolution };
}

/** A second press came, or is no longer waited for. */
export function endConfirmation(context: StepContext, using: Using): void {
  const key = useKey(using);
  if (!context.state.confirmations[key]) return;
  context.state.confirmations = without(context.state.confirmations, key);
  dropDeadline(context, 'confirm', key);
  const { device, control } = using;
  context.changes.push({ kind: 'guard', device, control, how: 'second', asks: false });
}
