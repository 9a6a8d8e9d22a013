import { type Rotor, type SpeedUp, type Trigger, turnFactor } from '../devices/index.ts';
import { controlAt } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { choose } from './lookup.ts';
import { tap } from './outputs.ts';
import { turnedWhileDown } from './press.ts';
import { type Run, withEntry, without } from './run.ts';

/** Degrees that count as none: what adding fractions of degrees may be off by. */
const TOLERANCE = 1e-9;
/** After this long without turning, a turn begins at rest: milliseconds. */
const REST_MS = 200;

/** A control turns: degrees add up to steps, each step is sent as a tap, the rest is kept. */
export function turn(run: Run, { device, control, unit, amount }: EventOf<'turn'>): Outcome {
  const known = controlAt(run.compiled, device, control);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  const { rotor } = known.control;
  if (!rotor) return { kind: 'ignored', why: 'cannot-turn' };
  const { key } = known;
  const stepDegrees = stepOf(rotor);
  const before = run.state.turned[key] ?? { rest: 0, at: Number.NEGATIVE_INFINITY };
  const turned = unit === 'detents' ? amount * stepDegrees : amount;
  const goesOn = before.rest * turned >= 0;
  const total = (goesOn ? before.rest : 0) + turned;
  const whole = Math.floor(Math.abs(total) / stepDegrees + TOLERANCE);
  const left = total - Math.sign(total) * whole * stepDegrees;
  const rest = Math.abs(left) < stepDegrees * TOLERANCE * 2 ? 0 : left;
  const elapsed = run.state.now - before.at;
  const factor = speedFactor(rotor.speedUp, Math.abs(turned), elapsed);
  const steps = whole * factor;
  const others = without(run.state.turned, key);
  const forgotten = rest === 0 && rotor.speedUp === null;
  run.state.turned = forgotten ? others : withEntry(others, key, { rest, at: run.state.now });

  const back = (amount === 0 ? before.rest : amount) < 0;
  const pressed: Trigger = back ? 'pressed-anticlockwise' : 'pressed-clockwise';
  const plain: Trigger = back ? 'anticlockwise' : 'clockwise';
  const choice = turnedWhileDown(run, known, pressed) ?? choose(run, known, plain);
  const { sending, using, resolution } = choice;
  if (sending) for (let i = 0; i < steps; i++) tap(run, sending, using);
  return { kind: 'turned', steps, rest, stepDegrees, factor, resolution };
}

function stepOf(rotor: Rotor): number {
  return rotor.kind === 'continuous' ? rotor.stepDegrees : rotor.detentDegrees;
}

/**
 * How many times each step counts at the speed of the last interval, which is 0 after a rest; see `turnFactor`.
 *
 * @param degrees turned in the interval, not signed
 * @param elapsed the interval in milliseconds
 */
function speedFactor(speedUp: SpeedUp, degrees: number, elapsed: number): number {
  if (elapsed > REST_MS) return 1;
  return turnFactor(speedUp, elapsed <= 0 ? Number.POSITIVE_INFINITY : (degrees / elapsed) * 1000);
}
