import type { Slider, Spring } from '../devices/index.ts';
import { type CompiledControl, controlAt } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { choose } from './lookup.ts';
import { tap } from './outputs.ts';
import { type Run, send, withEntry, without } from './run.ts';
import { messageValue } from './stroke.ts';
import { dropTimer, setTimer } from './timers.ts';

/** A spring ring or a slider is somewhere else. */
export function position(run: Run, event: EventOf<'position'>): Outcome {
  const known = controlAt(run.compiled, event.device, event.control);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  const { spring: ring, slider } = known.control;
  if (ring) return spring(run, known, event.value, ring);
  return slider ? slide(run, known, event.value, slider) : { kind: 'ignored', why: 'no-positions' };
}

/**
 * A spring ring: away from its rest it steps at once, then at the rate of its position. Moved on, it keeps the
 * time of its last step; back at rest, it stops. What it does is decided when it leaves its rest.
 */
function spring(run: Run, known: CompiledControl, value: number, { rates }: Spring): Outcome {
  const { key } = known;
  const at = Math.sign(value) * Math.min(rates.length, Math.round(Math.abs(value)));
  const before = run.state.sprung[key];
  dropTimer(run, 'shuttle', key);
  if (at === 0) {
    run.state.sprung = without(run.state.sprung, key);
    return { kind: 'sprung', position: 0, rate: 0, resolution: null };
  }
  const goesOn = before !== undefined && Math.sign(before.position) === Math.sign(at);
  const trigger = at > 0 ? 'shuttle-clockwise' : 'shuttle-anticlockwise';
  const choice = goesOn ? before.choice : choose(run, known, trigger);
  const stepped = goesOn ? before.stepped : run.state.now;
  const silent = goesOn && before.silent;
  run.state.sprung = withEntry(run.state.sprung, key, { choice, position: at, stepped, silent });
  const rate = rateOf(rates, at);
  const { sending, using, resolution } = choice;
  if (sending && !silent) {
    if (!goesOn) tap(run, sending, using);
    setTimer(run, 'shuttle', key, Math.max(run.state.now, stepped + 1000 / rate));
  }
  return { kind: 'sprung', position: at, rate, resolution };
}

/** A ring away from its rest steps again. */
export function springStep(run: Run, key: string): Outcome {
  const sprung = run.state.sprung[key];
  const sending = sprung?.choice.sending;
  if (!sprung || !sending) return { kind: 'noted' };
  const { device, control } = sprung.choice.using;
  const rates = controlAt(run.compiled, device, control)?.control.spring?.rates ?? [];
  const { now } = run.state;
  run.state.sprung = withEntry(run.state.sprung, key, { ...sprung, stepped: now });
  tap(run, sending, sprung.choice.using);
  setTimer(run, 'shuttle', key, now + 1000 / rateOf(rates, sprung.position));
  return { kind: 'repeated' };
}

function rateOf(rates: readonly number[], at: number): number {
  return rates[Math.abs(at) - 1] ?? rates.at(-1) ?? 1;
}

/**
 * A slider: its value goes out as a control message; it steps once for each threshold it crosses. The first
 * value heard of it crosses none.
 */
function slide(run: Run, known: CompiledControl, value: number, { thresholds }: Slider): Outcome {
  const { key } = known;
  const now = Math.max(0, Math.min(1, value));
  const before = run.state.slid[key] ?? now;
  run.state.slid = withEntry(run.state.slid, key, now);
  const whole = choose(run, known, 'slide');
  const { effect, programs = [] } = whole.sending ?? {};
  if (effect?.kind === 'message') {
    const { message } = effect;
    for (const program of programs)
      send(run, program, { kind: 'message', message, value: messageValue(message, now) });
  }
  const above = (at: number) => thresholds.filter((place) => place <= at).length;
  const crossed = above(now) - above(before);
  const slid = { kind: 'slid', value: now, resolution: whole.resolution } as const;
  if (crossed === 0) return { ...slid, steps: 0, stepped: null };
  const steps = Math.abs(crossed);
  const choice = choose(run, known, crossed > 0 ? 'slide-up' : 'slide-down');
  const { sending, using, resolution } = choice;
  if (sending) for (let i = 0; i < steps; i++) tap(run, sending, using);
  return { ...slid, steps, stepped: resolution };
}
