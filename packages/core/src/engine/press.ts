import { controlKey } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { begin, effectFor, end, NO_OUTPUT, type Run, resolveNow } from './run.ts';

/** A control goes down: what decides now holds until it comes up. */
export function press(run: Run, { device, control }: EventOf<'down'>): Outcome {
  const key = controlKey(device, control);
  const known = run.compiled.controls.get(key);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  if (!known.canPress) return { kind: 'ignored', why: 'cannot-press' };
  if (run.state.held[key]) return { kind: 'ignored', why: 'already-down' };
  const resolution = resolveNow(run, device, control, 'press');
  const effect = effectFor(run, resolution);
  let output = effect ? begin(run, effect) : NO_OUTPUT;
  const behaviour = resolution.decided?.binding.behaviour;
  if (behaviour?.kind === 'action' && behaviour.style === 'tap') {
    end(run, output);
    output = NO_OUTPUT;
  }
  const held = {
    device,
    control,
    trigger: 'press' as const,
    since: run.state.now,
    decided: resolution.decided,
    ...output,
    silent: false,
  };
  run.state = { ...run.state, held: { ...run.state.held, [key]: held } };
  return { kind: 'pressed', resolution };
}

/** A control comes up: what it still holds is let go. */
export function release(run: Run, { device, control }: EventOf<'up'>): Outcome {
  const { [controlKey(device, control)]: held, ...others } = run.state.held;
  if (!held) return { kind: 'ignored', why: 'not-down' };
  end(run, held);
  run.state = { ...run.state, held: others };
  return { kind: 'released', silent: held.silent, heldFor: run.state.now - held.since };
}
