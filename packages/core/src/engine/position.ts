import type { Slider, Spring, Trigger } from '../devices/index.ts';
import { type CompiledControl, controlAt } from './compile.ts';
import { dropDeadline, setDeadline } from './deadlines.ts';
import { destinationOf } from './destination.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { resolveUse } from './lookup.ts';
import { tap } from './outputs.ts';
import { withEntry, without } from './record.ts';
import { sliderKey } from './sliderKey.ts';
import { type StepContext, send } from './stepContext.ts';
import { messageValue } from './stroke.ts';

/** A spring ring or a slider is somewhere else. */
export function position(context: StepContext, event: EventOf<'position'>): Outcome {
  const known = controlAt(context.compiled, event.device, event.control);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  const { spring: ring, slider, across } = known.control;
  const axis = event.axis ?? 'up';
  if (ring && axis === 'up') return springMoved(context, known, event.value, ring);
  const moved = axis === 'up' ? slider : across;
  if (!moved) return { kind: 'ignored', why: 'no-positions' };
  return slide(context, known, axis, event.value, moved);
}

/**
 * A spring ring: away from its rest it steps at once, then at the rate of its position. Moved on, it keeps the
 * time of its last step; back at rest, it stops. What it does is decided when it leaves its rest.
 */
function springMoved(
  context: StepContext,
  known: CompiledControl,
  value: number,
  { rates }: Spring,
): Outcome {
  const { key } = known;
  const at = Math.sign(value) * Math.min(rates.length, Math.round(Math.abs(value)));
  const before = context.state.springs[key];
  dropDeadline(context, 'shuttle', key);
  if (at === 0) {
    context.state.springs = without(context.state.springs, key);
    return { kind: 'spring', position: 0, rate: 0, resolution: null };
  }
  // One that was away when everything was let go does nothing, on either side, until it was at rest.
  const goesOn =
    before !== undefined && (before.use === null || Math.sign(before.position) === Math.sign(at));
  const trigger = at > 0 ? 'shuttle-clockwise' : 'shuttle-anticlockwise';
  const use = goesOn ? before.use : resolveUse(context, known, trigger);
  const stepped = goesOn ? before.stepped : context.state.now;
  const silent = goesOn && before.silent;
  context.state.springs = withEntry(context.state.springs, key, { use, position: at, stepped, silent });
  const rate = rateOf(rates, at);
  if (!use) return { kind: 'spring', position: at, rate, resolution: null };
  const { sending, using, resolution } = use;
  if (sending && !silent) {
    if (!goesOn) tap(context, sending, using);
    setDeadline(context, 'shuttle', key, Math.max(context.state.now, stepped + 1000 / rate));
  }
  return { kind: 'spring', position: at, rate, resolution };
}

/** A ring away from its rest steps again. */
export function springStep(context: StepContext, key: string): Outcome {
  const spring = context.state.springs[key];
  const sending = spring?.use?.sending;
  if (!spring?.use || !sending) return { kind: 'noted' };
  const { device, control } = spring.use.using;
  const rates = controlAt(context.compiled, device, control)?.control.spring?.rates ?? [];
  const { now } = context.state;
  context.state.springs = withEntry(context.state.springs, key, { ...spring, stepped: now });
  tap(context, sending, spring.use.using);
  setDeadline(context, 'shuttle', key, now + 1000 / rateOf(rates, spring.position));
  return { kind: 'repeated' };
}

/** A ring with more positions than rates goes on at the last. */
function rateOf(rates: readonly number[], at: number): number {
  return rates[Math.abs(at) - 1] ?? rates.at(-1) ?? 1;
}

/** Which way something slides. */
type Axis = 'up' | 'across';
/** What its value sends, and its steps. */
const SLIDES = {
  up: { whole: 'slide', plus: 'slide-up', minus: 'slide-down' },
  across: { whole: 'slide-across', plus: 'slide-right', minus: 'slide-left' },
} as const satisfies Record<Axis, Readonly<Record<'whole' | 'plus' | 'minus', Trigger>>>;

/**
 * A slider: its value goes out as a control message; it steps once for each threshold it crosses. The first
 * value heard of it crosses none.
 */
function slide(
  context: StepContext,
  known: CompiledControl,
  axis: Axis,
  value: number,
  { thresholds }: Slider,
): Outcome {
  const key = sliderKey(known.key, axis);
  const triggers = SLIDES[axis];
  const now = Math.max(0, Math.min(1, value));
  const before = context.state.sliderValues[key] ?? now;
  context.state.sliderValues = withEntry(context.state.sliderValues, key, now);
  const whole = resolveUse(context, known, triggers.whole);
  const { effect, programs = [] } = whole.sending ?? {};
  if (effect?.kind === 'message') {
    const { message } = effect;
    for (const program of programs)
      send(context, destinationOf(context, known.device, program), {
        kind: 'message',
        message,
        value: messageValue(message, now),
      });
  }
  const above = (at: number) => thresholds.filter((place) => place <= at).length;
  const crossed = above(now) - above(before);
  const slid = { kind: 'slid', value: now, resolution: whole.resolution } as const;
  if (crossed === 0) return { ...slid, steps: 0, stepped: null };
  const steps = Math.abs(crossed);
  const use = resolveUse(context, known, crossed > 0 ? triggers.plus : triggers.minus);
  const { sending, using, resolution } = use;
  if (sending) for (let i = 0; i < steps; i++) tap(context, sending, using);
  return { ...slid, steps, stepped: resolution };
}
