import { controlKey } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { effectFor, type Run, resolveNow, tap } from './run.ts';

/** Degrees that count as none: what adding fractions of degrees may be off by. */
const TOLERANCE = 1e-9;

/** A control turns: degrees add up to steps, each step is sent as a tap, the rest is kept. */
export function turn(run: Run, { device, control, unit, amount }: EventOf<'turn'>): Outcome {
  const key = controlKey(device, control);
  const known = run.compiled.controls.get(key);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  if (!known.rotor) return { kind: 'ignored', why: 'cannot-turn' };
  const stepDegrees = known.rotor.kind === 'continuous' ? known.rotor.stepDegrees : known.rotor.detentDegrees;
  const { [key]: before = 0, ...others } = run.state.turned;
  const turned = unit === 'detents' ? amount * stepDegrees : amount;
  const goesOn = before * turned >= 0;
  const total = (goesOn ? before : 0) + turned;
  const steps = Math.floor(Math.abs(total) / stepDegrees + TOLERANCE);
  const left = total - Math.sign(total) * steps * stepDegrees;
  const rest = Math.abs(left) < stepDegrees * TOLERANCE * 2 ? 0 : left;
  run.state.turned = rest === 0 ? others : { ...others, [key]: rest };

  const trigger = (amount === 0 ? before : amount) < 0 ? 'anticlockwise' : 'clockwise';
  const resolution = resolveNow(run, device, control, trigger);
  const effect = steps > 0 ? effectFor(run, resolution) : null;
  if (effect) for (let i = 0; i < steps; i++) tap(run, effect);
  return { kind: 'turned', steps, rest, stepDegrees, resolution };
}
