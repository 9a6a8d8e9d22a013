import type { Sending } from './effect.ts';
import type { Outcome } from './explanation.ts';
import { passesGuard } from './guard.ts';
import { begin, end, tap } from './outputs.ts';
import { type Run, withEntry, without } from './run.ts';
import { type Choice, type Held, useKey } from './state.ts';
import { setTimer } from './timers.ts';

/** A control that is down and holds nothing. */
export function quietly({ using }: Choice, since: number): Held {
  return { using, holds: [], since, silent: false, turned: false, later: null, guarded: null };
}

/** Notes a control as down and decided. */
export function keepHeld(run: Run, held: Held): void {
  run.state.held = withEntry(run.state.held, held.using.key, held);
}

/**
 * Starts what was chosen, by its press style; its control is held from now on. A guarded one asks first.
 * `since` is when the control went down.
 */
export function start(run: Run, choice: Choice, since: number = run.state.now): Outcome {
  const { resolution } = choice;
  const asked = choice.sending?.guard ? passesGuard(run, choice, since, true) : null;
  if (asked) return asked;
  go(run, choice, since);
  return { kind: 'pressed', resolution };
}

/** Starts what was chosen and whose guard, if any, is satisfied. */
export function go(run: Run, choice: Choice, since: number): void {
  const { using, sending } = choice;
  const holds = sending?.style === 'follow' ? begin(run, sending, using) : [];
  const later = laterOf(sending);
  keepHeld(run, { using, holds, since, silent: false, turned: false, later, guarded: null });
  switch (sending?.style) {
    case 'tap':
      tap(run, sending, using);
      return;
    case 'latch':
      toggleLatch(run, choice, sending);
      return;
    case 'repeat': {
      tap(run, sending, using);
      setTimer(run, 'repeat', using.key, run.state.now + sending.repeat.delayMs);
      return;
    }
  }
}

function laterOf(sending: Sending | null): Held['later'] {
  if (sending?.style !== 'release' && sending?.style !== 'repeat') return null;
  return { when: sending.style, sending };
}

/** Sends what was chosen when its control has come up already: a latch turns over, all else is a tap. */
export function sendShort(run: Run, choice: Choice, heldFor: number): Outcome {
  const { using, sending, resolution } = choice;
  const asked = passesGuard(run, choice, run.state.now - heldFor, false);
  if (asked) return asked;
  if (sending?.style === 'latch') toggleLatch(run, choice, sending);
  else if (sending) tap(run, sending, using);
  return { kind: 'pressed', resolution };
}

/** A held control's repeat falls due: it is sent again, and set to fall due again. */
export function repeatAgain(run: Run, key: string): Outcome {
  const later = run.state.held[key]?.later;
  const using = run.state.held[key]?.using;
  if (later?.when === 'repeat' && using) {
    tap(run, later.sending, using);
    setTimer(run, 'repeat', key, run.state.now + later.sending.repeat.everyMs);
  }
  return { kind: 'repeated' };
}

/** Down and stays; or, when it is down, up. */
function toggleLatch(run: Run, { using }: Choice, sending: Sending): void {
  const key = useKey(using);
  const latched = run.state.latched[key];
  if (latched) {
    run.state.latched = without(run.state.latched, key);
    end(run, latched.holds);
  } else {
    const holds = begin(run, sending, using);
    run.state.latched = withEntry(run.state.latched, key, { using, holds });
  }
}
