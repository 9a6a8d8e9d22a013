import type { Trigger } from '../devices/index.ts';
import { controlKey } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { effectFor, end, NO_OUTPUT, type Run, resolveNow, tap } from './run.ts';
import type { Choice, Held, Timer, Waiting } from './state.ts';
import { sendShort, start } from './styles.ts';
import { dropTimers, setTimer } from './timers.ts';
import { DOUBLE_MS, HOLD_MS } from './times.ts';

const TURNS = ['pressed-clockwise', 'pressed-anticlockwise'] as const;

/**
 * A control goes down. Where only its press is bound, that decides at once; where hold or double press are
 * bound too, it waits to see which it becomes. What is chosen now holds until the control comes up.
 */
export function press(run: Run, { device, control }: EventOf<'down'>): Outcome {
  const key = controlKey(device, control);
  const known = run.compiled.controls.get(key);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  if (!known.canPress) return { kind: 'ignored', why: 'cannot-press' };
  const before = run.state.waiting[key];
  if (run.state.held[key] || before?.down) return { kind: 'ignored', why: 'already-down' };
  if (before?.double) {
    dropWaiting(run, before);
    return start(run, before.double);
  }
  const pressed = choose(run, device, control, 'press');
  const hold = chooseBound(run, device, control, 'hold');
  const double = chooseBound(run, device, control, 'double-press');
  const turns = TURNS.some((trigger) => chooseBound(run, device, control, trigger) !== null);
  if (!hold && !double && !turns) return start(run, pressed);
  const since = run.state.now;
  keepWaiting(run, {
    device,
    control,
    since,
    down: true,
    press: pressed,
    hold,
    double,
    turns,
    cause: run.cause,
  });
  if (hold) setTimer(run, { at: since + HOLD_MS, what: 'hold', device, control, repeat: null });
  return {
    kind: 'waiting',
    resolution: pressed.resolution,
    hold: hold !== null,
    double: double !== null,
    turns,
  };
}

/** A control comes up: an undecided press is decided or waits for a second one; what is held is let go. */
export function release(run: Run, { device, control }: EventOf<'up'>): Outcome {
  const key = controlKey(device, control);
  const waiting = run.state.waiting[key];
  if (waiting?.down) return releaseWaiting(run, waiting);
  const { [key]: held, ...others } = run.state.held;
  if (!held) return { kind: 'ignored', why: 'not-down' };
  run.state.held = others;
  dropTimers(run, isOf(held));
  end(run, held);
  if (held.later?.when === 'release' && !held.silent) tap(run, held.later.effect);
  const { silent, turned, since } = held;
  return { kind: 'released', silent, turned, heldFor: run.state.now - since };
}

function releaseWaiting(run: Run, waiting: Waiting): Outcome {
  dropWaiting(run, waiting);
  if (!waiting.double) return sendShort(run, waiting.press);
  const { device, control } = waiting;
  keepWaiting(run, { ...waiting, down: false });
  setTimer(run, { at: run.state.now + DOUBLE_MS, what: 'press', device, control, repeat: null });
  return { kind: 'waiting', resolution: waiting.press.resolution, hold: false, double: true, turns: false };
}

/**
 * A control is turned while it is down: the press it waited for is none any more. Tells whether the turn is a
 * use of its own.
 */
export function turnedWhileDown(run: Run, device: string, control: string, trigger: Trigger): boolean {
  const key = controlKey(device, control);
  const waiting = run.state.waiting[key];
  if (!waiting?.down && !run.state.held[key]) return false;
  if (!chooseBound(run, device, control, trigger)) return false;
  if (waiting?.turns) {
    dropWaiting(run, waiting);
    const { resolution } = waiting.press;
    const used = { device, control, trigger: resolution.trigger, decided: resolution.decided };
    const held: Held = {
      ...used,
      ...NO_OUTPUT,
      since: waiting.since,
      silent: false,
      turned: true,
      later: null,
    };
    run.state.held = { ...run.state.held, [key]: held };
  }
  return true;
}

/** Something falls due: a press has become a hold, no second press came, or a repeat. */
export function fallDue(run: Run, { what, device, control, repeat, at }: Timer): Outcome {
  const key = controlKey(device, control);
  const waiting = run.state.waiting[key];
  if (what === 'repeat') {
    const held = run.state.held[key];
    if (held?.later && repeat) {
      tap(run, held.later.effect);
      setTimer(run, { at: at + repeat.everyMs, what, device, control, repeat });
    }
    return { kind: 'repeated' };
  }
  if (!waiting) return { kind: 'noted' };
  dropWaiting(run, waiting);
  return what === 'hold' && waiting.hold ? start(run, waiting.hold) : sendShort(run, waiting.press);
}

/** Forgets an undecided press and what was to fall due for it. */
export function dropWaiting(run: Run, waiting: Waiting): void {
  const { [controlKey(waiting.device, waiting.control)]: _dropped, ...others } = run.state.waiting;
  run.state.waiting = others;
  dropTimers(run, isOf(waiting));
}

function keepWaiting(run: Run, waiting: Waiting): void {
  const key = controlKey(waiting.device, waiting.control);
  run.state.waiting = { ...run.state.waiting, [key]: waiting };
}

function choose(run: Run, device: string, control: string, trigger: Trigger): Choice {
  const resolution = resolveNow(run, device, control, trigger);
  return { resolution, effect: effectFor(run, resolution) };
}

/** The same for a trigger that counts only where it is bound; set to native it is as if it were not there. */
function chooseBound(run: Run, device: string, control: string, trigger: Trigger): Choice | null {
  if (!run.compiled.uses.has(`${controlKey(device, control)}/${trigger}`)) return null;
  const choice = choose(run, device, control, trigger);
  const { decided } = choice.resolution;
  return decided && decided.binding.behaviour.kind !== 'native' ? choice : null;
}

function isOf(owner: { readonly device: string; readonly control: string }) {
  return (timer: Timer) => timer.device === owner.device && timer.control === owner.control;
}
