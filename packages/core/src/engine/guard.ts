import { controlAt } from './compile.ts';
import type { Outcome } from './explanation.ts';
import { type Run, withEntry, without } from './run.ts';
import { type Choice, type Held, type Using, useKey } from './state.ts';
import { dropTimer, setTimer } from './timers.ts';

/**
 * Whether a guarded press may go on: null when it may, else what it asks for. Letting go of a latch is never
 * guarded.
 *
 * @param since when its control went down
 * @param stillDown whether it may yet be held longer
 */
export function passesGuard(run: Run, choice: Choice, since: number, stillDown: boolean): Outcome | null {
  const { using, sending, resolution } = choice;
  const how = sending?.guard ?? null;
  if (how === null || run.state.latched[useKey(using)]) return null;
  const { key } = using;
  const settings = controlAt(run.compiled, using.device, using.control)?.settings;
  if (!settings) return null;
  if (how === 'second') {
    if (run.state.asking[useKey(using)]) {
      stopAsking(run, using);
      return null;
    }
    run.state.asking = withEntry(run.state.asking, useKey(using), using);
    setTimer(run, 'confirm', useKey(using), run.state.now + settings.confirmMs);
  } else {
    const until = since + settings.guardMs;
    if (run.state.now >= until) return null;
    if (!stillDown) return { kind: 'guarded', how, asks: false, resolution };
    setTimer(run, 'guard', key, until);
  }
  if (stillDown) {
    const guarded = how === 'longer' ? choice : null;
    const held: Held = { using, holds: [], since, silent: false, turned: false, later: null, guarded };
    run.state.held = withEntry(run.state.held, key, held);
  }
  run.changes.push({ kind: 'guard', device: using.device, control: using.control, how, asks: true });
  return { kind: 'guarded', how, asks: true, resolution };
}

/** A second press came, or is no longer waited for. */
export function stopAsking(run: Run, using: Using): void {
  const key = useKey(using);
  if (!run.state.asking[key]) return;
  run.state.asking = without(run.state.asking, key);
  dropTimer(run, 'confirm', key);
  const { device, control } = using;
  run.changes.push({ kind: 'guard', device, control, how: 'second', asks: false });
}
