import { endHeld, silenceSpring } from './endOutputs.ts';
import type { Ended, Outcome } from './explanation.ts';
import { endConfirmation } from './guard.ts';
import { goOn, heldBy, stopMacro } from './macros.ts';
import { springStep } from './position.ts';
import { holdReached, pressReached } from './press.ts';
import type { Deadline, EngineState, Hold, Using } from './state.ts';
import type { StepContext } from './stepContext.ts';
import { go, repeatAgain } from './styles.ts';

/** The control that something that falls due belongs to. */
export function ownerOf(state: EngineState, { what, key }: Deadline): Using | undefined {
  switch (what) {
    case 'hold':
    case 'press':
      return state.waiting[key]?.press.using;
    case 'repeat':
    case 'guard':
      return state.held[key]?.using;
    case 'confirm':
      return state.confirmations[key];
    case 'shuttle':
      return state.springs[key]?.use?.using;
    case 'macro':
      return state.running[key]?.owner;
  }
}

/** Something falls due. */
export function fallDue(context: StepContext, { what, key }: Deadline): Outcome {
  switch (what) {
    case 'hold':
      return holdReached(context, key);
    case 'press':
      return pressReached(context, key);
    case 'repeat':
      return repeatAgain(context, key);
    case 'shuttle':
      return springStep(context, key);
    case 'guard':
      return guardReached(context, key);
    case 'confirm':
      return confirmMissed(context, key);
    case 'macro':
      return { kind: 'macro', macro: key, step: goOn(context, key) };
  }
}

/** Ends what would go on falling due, instead of sending it. */
export function endOverdue(context: StepContext, deadline: Deadline): Outcome {
  const { what, key } = deadline;
  switch (what) {
    case 'repeat': {
      const held = context.state.held[key];
      return { kind: 'too-many', ended: held ? endedOf(held.using, endHeld(context, held)) : [] };
    }
    case 'shuttle':
      silenceSpring(context, key);
      return { kind: 'too-many', ended: [] };
    case 'macro': {
      const running = context.state.running[key];
      if (running) stopMacro(context, running);
      return { kind: 'too-many', ended: running ? endedOf(running.owner, heldBy(running)) : [] };
    }
    case 'hold':
    case 'press':
    case 'guard':
    case 'confirm':
      return fallDue(context, deadline);
  }
}

/** As the account tells it; nothing where nothing was held. */
function endedOf({ device, control }: Using, holds: readonly Hold[]): readonly Ended[] {
  return holds.length > 0 ? [{ device, control, holds }] : [];
}

/** A guarded press was held long enough. */
function guardReached(context: StepContext, key: string): Outcome {
  const held = context.state.held[key];
  if (!held?.guarded) return { kind: 'noted' };
  const { guarded } = held;
  go(context, guarded, held);
  const { device, control } = held.using;
  context.changes.push({ kind: 'guard', device, control, how: 'longer', asks: false });
  return { kind: 'pressed', resolution: guarded.resolution };
}

/** No second press came in time. */
function confirmMissed(context: StepContext, key: string): Outcome {
  const using = context.state.confirmations[key];
  if (using) endConfirmation(context, using);
  return { kind: 'noted' };
}
