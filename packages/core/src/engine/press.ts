import type { Trigger } from '../devices/index.ts';
import { type CompiledControl, controlAt, controlKey, placeOf } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { useUpOnce } from './layers.ts';
import { choose, chooseBound, choosePress } from './lookup.ts';
import { end, tap } from './outputs.ts';
import { pressInMenu, releaseInMenu } from './radial.ts';
import { type Run, withEntry, without } from './run.ts';
import type { Choice, Waiting } from './state.ts';
import { keepHeld, quietly, sendShort, start } from './styles.ts';
import { dropTimer, setTimer } from './timers.ts';

const TURNS = ['pressed-clockwise', 'pressed-anticlockwise'] as const;
const NUDGES = ['nudge-up', 'nudge-right', 'nudge-down', 'nudge-left'] as const;

/**
 * A control goes down. Where only its press is bound, that decides at once; where hold, double press, nudges or
 * turns while pressed are bound too, it waits to see which it becomes. What is chosen now holds until the
 * control comes up.
 */
export function press(run: Run, { device, control }: EventOf<'down'>): Outcome {
  const known = controlAt(run.compiled, device, control);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  if (!known.control.canPress) return { kind: 'ignored', why: 'cannot-press' };
  const { key } = known;
  const before = run.state.waiting[key];
  if (run.state.held[key] || before?.down) return { kind: 'ignored', why: 'already-down' };
  decideLayerHolds(run);
  const inMenu = pressInMenu(run, known);
  if (inMenu) {
    if (before) dropWaiting(run, before);
    keepHeld(run, { ...quietly(choose(run, known, 'press'), run.state.now), silent: true });
    return inMenu;
  }
  if (before?.double) {
    dropWaiting(run, before);
    return start(run, before.double);
  }
  return pressAnew(run, known);
}

/** Triggers that make a press wait, or another one of it: a bit each. */
const OTHERS = ['touch-press', 'hold', 'double-press', ...NUDGES, ...TURNS] as const;
const bitsOf = (triggers: readonly Trigger[]) =>
  triggers.reduce((bits, trigger) => bits | (1 << placeOf(trigger)), 0);
const OTHER_USES = bitsOf(OTHERS);
const NUDGE_USES = bitsOf(NUDGES);
const TURN_USES = bitsOf(TURNS);

function pressAnew(run: Run, known: CompiledControl): Outcome {
  const { press: pressed, uses } = choosePress(run, known);
  if ((uses & OTHER_USES) === 0) {
    useUpOnce(run, known.key);
    return start(run, pressed);
  }
  const bound = (trigger: Trigger) =>
    (uses & (1 << placeOf(trigger))) === 0 ? null : chooseBound(run, known, trigger);
  const touching = known.tip !== null && isDown(run, known.tip);
  const plain = (touching && bound('touch-press')) || pressed;
  const [hold, double] = [bound('hold'), bound('double-press')];
  const nudges = (uses & NUDGE_USES) === 0 ? null : nudgesOf(bound);
  const turns = (uses & TURN_USES) !== 0 && TURNS.some((trigger) => bound(trigger) !== null);
  useUpOnce(run, known.key);
  if (!hold && !double && !nudges && !turns) return start(run, plain);
  const since = run.state.now;
  keepWaiting(run, {
    since,
    down: true,
    heldFor: 0,
    press: plain,
    hold,
    double,
    nudges,
    turns,
    dx: 0,
    dy: 0,
  });
  if (hold) setTimer(run, 'hold', known.key, since + known.settings.holdMs);
  return {
    kind: 'waiting',
    resolution: plain.resolution,
    hold: hold !== null,
    double: double !== null,
    nudges: nudges !== null,
    turns,
  };
}

function nudgesOf(bound: (trigger: Trigger) => Choice | null): Waiting['nudges'] {
  const found = NUDGES.flatMap((trigger) => {
    const choice = bound(trigger);
    return choice ? [[trigger, choice] as const] : [];
  });
  return found.length > 0 ? Object.fromEntries(found) : null;
}

/** Another control goes down: what waits to become a hold that keeps a layer on is one at once. */
function decideLayerHolds(run: Run): void {
  for (const key in run.state.waiting) {
    const waiting = run.state.waiting[key];
    if (waiting?.down && waiting.hold?.sending?.effect.kind === 'layer') holdReached(run, key);
  }
}

/** Whether a control is down, decided or not. */
export function isDown({ state }: Run, key: string): boolean {
  return state.held[key] !== undefined || state.waiting[key]?.down === true;
}

/** A control comes up: an undecided press is decided or waits for a second one; what is held is let go. */
export function release(run: Run, { device, control }: EventOf<'up'>): Outcome {
  const key = controlAt(run.compiled, device, control)?.key ?? controlKey(device, control);
  const waiting = run.state.waiting[key];
  if (waiting?.down) return releaseWaiting(run, key, waiting);
  const held = run.state.held[key];
  if (!held) return { kind: 'ignored', why: 'not-down' };
  run.state.held = without(run.state.held, key);
  dropTimer(run, 'repeat', key);
  dropTimer(run, 'guard', key);
  const { silent, turned, since, guarded } = held;
  end(run, held.holds);
  if (held.later?.when === 'release' && !silent) tap(run, held.later.sending, held.using);
  releaseInMenu(run, held);
  const how = guarded?.sending?.guard;
  if (guarded && how) return { kind: 'guarded', how, asks: false, resolution: guarded.resolution };
  return { kind: 'released', silent, turned, heldFor: run.state.now - since };
}

function releaseWaiting(run: Run, key: string, waiting: Waiting): Outcome {
  dropWaiting(run, waiting);
  const heldFor = run.state.now - waiting.since;
  if (!waiting.double) return sendShort(run, waiting.press, heldFor);
  const { device, control } = waiting.press.using;
  const doubleMs = controlAt(run.compiled, device, control)?.settings.doubleMs ?? 0;
  keepWaiting(run, { ...waiting, down: false, heldFor });
  setTimer(run, 'press', key, run.state.now + doubleMs);
  const { resolution } = waiting.press;
  return { kind: 'waiting', resolution, hold: false, double: true, nudges: false, turns: false };
}

/**
 * A control is turned while it is down: the press it waited for is none any more. Tells whether the turn is a
 * use of its own.
 */
export function turnedWhileDown(run: Run, known: CompiledControl, trigger: Trigger): Choice | null {
  if (!isDown(run, known.key)) return null;
  const choice = chooseBound(run, known, trigger);
  const waiting = run.state.waiting[known.key];
  if (choice && waiting?.turns) {
    dropWaiting(run, waiting);
    keepHeld(run, { ...quietly(waiting.press, waiting.since), turned: true });
  }
  return choice;
}

/** A waiting control was held long enough. */
export function holdReached(run: Run, key: string): Outcome {
  const waiting = run.state.waiting[key];
  if (!waiting?.hold) return { kind: 'noted' };
  dropWaiting(run, waiting);
  return start(run, waiting.hold, waiting.since);
}

/** No second press came in time: it was a press. */
export function pressReached(run: Run, key: string): Outcome {
  const waiting = run.state.waiting[key];
  if (!waiting) return { kind: 'noted' };
  dropWaiting(run, waiting);
  return sendShort(run, waiting.press, waiting.heldFor);
}

/** Forgets an undecided press and what was to fall due for it. */
export function dropWaiting(run: Run, { press: { using } }: Waiting): void {
  run.state.waiting = without(run.state.waiting, using.key);
  dropTimer(run, 'hold', using.key);
  dropTimer(run, 'press', using.key);
}

export function keepWaiting(run: Run, waiting: Waiting): void {
  run.state.waiting = withEntry(run.state.waiting, waiting.press.using.key, waiting);
}
