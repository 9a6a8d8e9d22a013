import { setDeadline } from './deadlines.ts';
import type { Sending } from './effect.ts';
import type { Outcome } from './explanation.ts';
import { passesGuard } from './guard.ts';
import { type Down, holding, setHeld } from './held.ts';
import { begin, end, tap } from './outputs.ts';
import { withEntry, without } from './record.ts';
import { type Held, type Hold, type ResolvedUse, useKey } from './state.ts';
import { nextSerial, type StepContext } from './stepContext.ts';

/** Starts what was chosen, by its press style; its control is held from now on. A guarded one asks first. */
export function start(context: StepContext, use: ResolvedUse, down: Down): Outcome {
  const { resolution } = use;
  const asked = use.sending?.guard ? passesGuard(context, use, down.since, down) : null;
  if (asked) return asked;
  go(context, use, down);
  return { kind: 'pressed', resolution };
}

/** Starts what was chosen and whose guard, if any, is satisfied. */
export function go(context: StepContext, use: ResolvedUse, down: Down): void {
  const { using, sending } = use;
  const serial = nextSerial(context);
  const holds = sending?.style === 'follow' ? begin(context, sending, using) : NOTHING;
  setHeld(context, holding(use, down, holds, serial, laterOf(sending)));
  switch (sending?.style) {
    case 'tap':
      tap(context, sending, using);
      return;
    case 'latch':
      toggleLatch(context, use, sending);
      return;
    case 'repeat':
      tap(context, sending, using);
      setDeadline(context, 'repeat', using.key, context.state.now + sending.repeat.delayMs);
      return;
    case 'follow':
    case 'release':
    case undefined:
      return;
  }
}

/** Nothing is held. */
const NOTHING: readonly Hold[] = [];

/** What its control still has to do: repeat, or tap when it comes up. */
function laterOf(sending: Sending | null): Held['later'] {
  if (sending?.style !== 'release' && sending?.style !== 'repeat') return null;
  return { when: sending.style, sending };
}

/** Sends what was chosen when its control has come up already: a latch turns over, all else is a tap. */
export function sendShort(context: StepContext, use: ResolvedUse, heldFor: number): Outcome {
  const { using, sending, resolution } = use;
  const asked = passesGuard(context, use, context.state.now - heldFor, null);
  if (asked) return asked;
  if (sending?.style === 'latch') toggleLatch(context, use, sending);
  else if (sending) tap(context, sending, using);
  return { kind: 'pressed', resolution };
}

/** A held control's repeat falls due: it is sent again, and set to fall due again. */
export function repeatAgain(context: StepContext, key: string): Outcome {
  const later = context.state.held[key]?.later;
  const using = context.state.held[key]?.using;
  if (later?.when === 'repeat' && using) {
    tap(context, later.sending, using);
    setDeadline(context, 'repeat', key, context.state.now + later.sending.repeat.everyMs);
  }
  return { kind: 'repeated' };
}

/** Down and stays; or, when it is down, up. */
function toggleLatch(context: StepContext, { using }: ResolvedUse, sending: Sending): void {
  const key = useKey(using);
  const latched = context.state.latched[key];
  if (latched) {
    context.state.latched = without(context.state.latched, key);
    end(context, latched.holds);
  } else {
    const serial = nextSerial(context);
    const holds = begin(context, sending, using);
    context.state.latched = withEntry(context.state.latched, key, { using, holds, serial });
  }
}
