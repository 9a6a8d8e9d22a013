import type { Outcome } from './explanation.ts';
import { stopAsking } from './guard.ts';
import { goOn } from './macros.ts';
import { springStep } from './position.ts';
import { holdReached, pressReached } from './press.ts';
import type { Run } from './run.ts';
import type { EngineState, Timer, Using } from './state.ts';
import { go, repeatAgain } from './styles.ts';

/** The control that something that falls due belongs to. */
export function ownerOf(state: EngineState, { what, key }: Timer): Using | undefined {
  switch (what) {
    case 'hold':
    case 'press':
      return state.waiting[key]?.press.using;
    case 'repeat':
    case 'guard':
      return state.held[key]?.using;
    case 'confirm':
      return state.asking[key];
    case 'shuttle':
      return state.sprung[key]?.choice.using;
    case 'macro':
      return state.running[key]?.owner;
  }
}

/** Something falls due. */
export function fallDue(run: Run, { what, key }: Timer): Outcome {
  switch (what) {
    case 'hold':
      return holdReached(run, key);
    case 'press':
      return pressReached(run, key);
    case 'repeat':
      return repeatAgain(run, key);
    case 'shuttle':
      return springStep(run, key);
    case 'guard':
      return guardReached(run, key);
    case 'confirm':
      return confirmMissed(run, key);
    case 'macro':
      goOn(run, key);
      return { kind: 'macro', macro: key };
  }
}

/** A guarded press was held long enough. */
function guardReached(run: Run, key: string): Outcome {
  const held = run.state.held[key];
  if (!held?.guarded) return { kind: 'noted' };
  const { guarded, since } = held;
  go(run, guarded, since);
  const { device, control } = held.using;
  run.changes.push({ kind: 'guard', device, control, how: 'longer', asks: false });
  return { kind: 'pressed', resolution: guarded.resolution };
}

/** No second press came in time. */
function confirmMissed(run: Run, key: string): Outcome {
  const using = run.state.asking[key];
  if (using) stopAsking(run, using);
  return { kind: 'noted' };
}
