import { type Rotor, type SpeedUp, turnFactor } from '../devices/index.ts';
import { controlAt } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { resolveUse } from './lookup.ts';
import { tap } from './outputs.ts';
import { turnedWhileDown } from './press.ts';
import { asksOf, turnInMenu } from './radial.ts';
import { withEntry, without } from './record.ts';
import { useKey } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Degrees that count as none: what adding fractions of degrees may be off by. */
const TOLERANCE = 1e-9;
/** After this long without turning, a turn begins at rest: milliseconds. */
const REST_MS = 200;

/** A control turns: degrees add up to steps, each step is sent as a tap, the rest is kept. */
export function turn(context: StepContext, { device, control, unit, amount }: EventOf<'turn'>): Outcome {
  const known = controlAt(context.compiled, device, control);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  const { rotor } = known.control;
  if (!rotor) return { kind: 'ignored', why: 'cannot-turn' };
  const { key } = known;
  const stepDegrees = stepOf(rotor);
  const before = context.state.turned[key];
  const turned = unit === 'detents' ? amount * stepDegrees : amount;
  if (asksOf(context, device)) return goRound(context, key, turned, stepDegrees);
  const back = (turned === 0 ? (before?.remainder ?? 0) : turned) < 0;
  const pressed = back ? 'pressed-anticlockwise' : 'pressed-clockwise';
  const whileDown = turned === 0 ? null : turnedWhileDown(context, known, pressed);
  const silent = whileDown === 'ended';
  const { sending, using, resolution } = silent
    ? resolveUse(context, known, pressed)
    : (whileDown ?? resolveUse(context, known, back ? 'anticlockwise' : 'clockwise'));
  // Half a step of another use, the other way round or from another profile completes nothing.
  const use = turned === 0 && before ? before.use : useKey(using);
  const { whole, remainder } = wholeSteps((before?.use === use ? before.remainder : 0) + turned, stepDegrees);
  const factor = before ? speedFactor(rotor.speedUp, Math.abs(turned), context.state.now - before.at) : 1;
  const steps = whole * factor;
  const others = without(context.state.turned, key);
  const forgotten = remainder === 0 && rotor.speedUp === null;
  const next = { use, remainder, at: context.state.now };
  context.state.turned = forgotten ? others : withEntry(others, key, next);
  if (sending && !silent) for (let i = 0; i < steps; i++) tap(context, sending, using);
  return { kind: 'turned', steps, remainder, stepDegrees, factor, silent, resolution };
}

/** Whole steps of what was turned, not signed, and the degrees left over, signed. */
function wholeSteps(total: number, stepDegrees: number) {
  const whole = Math.floor(Math.abs(total) / stepDegrees + TOLERANCE);
  const left = total - Math.sign(total) * whole * stepDegrees;
  return { whole, remainder: Math.abs(left) < stepDegrees * TOLERANCE * 2 ? 0 : left };
}

/** A turn while the device's sets are asked for: each step goes on to the next of them, whatever the turn is bound to. */
function goRound(context: StepContext, key: string, turned: number, stepDegrees: number): Outcome {
  const before = context.state.turned[key];
  // No key of a use has a space in it.
  const way = turned < 0 ? 'menu back' : 'menu on';
  const use = turned === 0 && before ? before.use : way;
  const total = (before?.use === use ? before.remainder : 0) + turned;
  const { whole, remainder } = wholeSteps(total, stepDegrees);
  context.state.turned = withEntry(context.state.turned, key, { use, remainder, at: context.state.now });
  turnInMenu(context, Math.sign(total) * whole);
  return { kind: 'menu-turned', steps: whole, remainder, stepDegrees };
}

/** Degrees of one step; a detent is felt, the other is counted. */
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
  if (elapsed >= REST_MS) return 1;
  return turnFactor(speedUp, elapsed <= 0 ? Number.POSITIVE_INFINITY : (degrees / elapsed) * 1000);
}
