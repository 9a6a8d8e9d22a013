import type { Trigger } from '../devices/index.ts';
import { type CompiledControl, controlAt, controlKey, triggerIndex } from './compile.ts';
import { dropDeadline, setDeadline } from './deadlines.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { quietly, setHeld } from './held.ts';
import { useUpOnce } from './layers.ts';
import { layersOf, resolveBound, resolveUse, usesSet } from './lookup.ts';
import { end, tap } from './outputs.ts';
import { pressInMenu, releaseInMenu } from './radial.ts';
import { withEntry, without } from './record.ts';
import type { Held, PressedTurn, PressedTurns, ResolvedUse, Waiting } from './state.ts';
import type { StepContext } from './stepContext.ts';
import { sendShort, start } from './styles.ts';

/** Turns while the control is pressed, and the four nudges, each in the order in which they are looked up. */
const TURNS = ['pressed-clockwise', 'pressed-anticlockwise'] as const;
const NUDGES = ['nudge-up', 'nudge-right', 'nudge-down', 'nudge-left'] as const;

/**
 * A control goes down. Where only its press is bound, that decides at once; where hold, double press, nudges or
 * turns while pressed are bound too, it waits to see which it becomes. What is chosen now holds until the
 * control comes up.
 */
export function press(context: StepContext, { device, control }: EventOf<'down'>): Outcome {
  const known = controlAt(context.compiled, device, control);
  if (!known) return { kind: 'ignored', why: 'unknown-control' };
  if (!known.control.canPress) return { kind: 'ignored', why: 'cannot-press' };
  const { key } = known;
  const { now: since } = context.state;
  const before = context.state.waiting[key];
  if (context.state.held[key] || before?.down) return { kind: 'ignored', why: 'already-down' };
  decideLayerHolds(context);
  const layers = layersToPressIn(context, known);
  const inMenu = pressInMenu(context, known);
  if (inMenu) {
    if (before) dropWaiting(context, before);
    const turns = turnsOf(context, known, layers);
    setHeld(context, { ...quietly(resolveUse(context, known, 'press'), { since, turns }), silent: true });
    return inMenu;
  }
  if (before?.double) {
    dropWaiting(context, before);
    return start(context, before.double, { since, turns: turnsOf(context, known, layers) });
  }
  return pressAnew(context, known, layers);
}

/**
 * The layers a press is looked up in. A control that asks for a second press gets it in the layers of the first one,
 * which may have been on for that press only.
 */
function layersToPressIn(context: StepContext, control: CompiledControl): readonly string[] {
  for (const use in context.state.confirmations) {
    const asking = context.state.confirmations[use];
    if (asking?.key === control.key) return asking.layers;
  }
  return layersOf(context, control);
}

/** Triggers that make a press wait, or another one of it: a bit each. */
const OTHERS = ['touch-press', 'hold', 'double-press', ...NUDGES, ...TURNS] as const;
/** A set of triggers as bits, to be compared with what a control has bound by one operation. */
const bitsOf = (triggers: readonly Trigger[]) =>
  triggers.reduce((bits, trigger) => bits | (1 << triggerIndex(trigger)), 0);
const OTHER_USES = bitsOf(OTHERS);
const NUDGE_USES = bitsOf(NUDGES);
const TURN_USES = bitsOf(TURNS);
/** The control has no pressed turns. */
const NO_TURNS: PressedTurns = {};

/** Looks at no more triggers than are set at all: most controls have a press and nothing else. */
function pressAnew(context: StepContext, known: CompiledControl, layers: readonly string[]): Outcome {
  const pressed = resolveUse(context, known, 'press', layers);
  const uses = usesSet(context, known, layers);
  const { now: since } = context.state;
  if ((uses & OTHER_USES) === 0) {
    useUpOnce(context, known.key);
    return start(context, pressed, { since, turns: NO_TURNS });
  }
  const bound = (trigger: Trigger) => resolveBound(context, known, trigger, layers);
  const touching = known.tip !== null && isDown(context, known.tip);
  const plain = (touching && bound('touch-press')) || pressed;
  const [hold, double] = [bound('hold'), bound('double-press')];
  const nudges = (uses & NUDGE_USES) === 0 ? null : boundOf(NUDGES, bound);
  const turns = turnsOf(context, known, layers);
  const canTurn = turns !== NO_TURNS;
  useUpOnce(context, known.key);
  if (!hold && !double && !nudges && !canTurn) return start(context, plain, { since, turns });
  setWaiting(context, {
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
  if (hold) setDeadline(context, 'hold', known.key, since + known.settings.holdMs);
  return {
    kind: 'waiting',
    resolution: plain.resolution,
    hold: hold !== null,
    double: double !== null,
    nudges: nudges !== null,
    turns: canTurn,
  };
}

/** What turning it while it is down would do, looked up now and for as long as it is down. */
function turnsOf(context: StepContext, known: CompiledControl, layers: readonly string[]): PressedTurns {
  if ((usesSet(context, known, layers) & TURN_USES) === 0) return NO_TURNS;
  return boundOf(TURNS, (trigger) => resolveBound(context, known, trigger, layers)) ?? NO_TURNS;
}

/** Those of some triggers that are bound; null where none is. */
function boundOf<Among extends Trigger>(
  triggers: readonly Among[],
  bound: (trigger: Among) => ResolvedUse | null,
): Partial<Record<Among, ResolvedUse>> | null {
  const found: Partial<Record<Among, ResolvedUse>> = {};
  for (const trigger of triggers) {
    const use = bound(trigger);
    if (use) found[trigger] = use;
  }
  return Object.keys(found).length > 0 ? found : null;
}

/** Another control goes down: what waits to become a hold that keeps a layer on is one at once. */
function decideLayerHolds(context: StepContext): void {
  for (const key in context.state.waiting) {
    const waiting = context.state.waiting[key];
    if (waiting?.down && waiting.hold?.sending?.effect.kind === 'layer') holdReached(context, key);
  }
}

/** Whether a control is down, decided or not. */
export function isDown({ state }: StepContext, key: string): boolean {
  return state.held[key] !== undefined || state.waiting[key]?.down === true;
}

/** A control comes up: an undecided press is decided or waits for a second one; what is held is let go. */
export function release(context: StepContext, { device, control }: EventOf<'up'>): Outcome {
  const key = controlAt(context.compiled, device, control)?.key ?? controlKey(device, control);
  const waiting = context.state.waiting[key];
  if (waiting?.down) return releaseWaiting(context, key, waiting);
  const held = context.state.held[key];
  if (!held) return { kind: 'ignored', why: 'not-down' };
  context.state.held = without(context.state.held, key);
  dropDeadline(context, 'repeat', key);
  dropDeadline(context, 'guard', key);
  const { silent, turned, since, guarded } = held;
  end(context, held.holds);
  if (held.later?.when === 'release' && !silent) tap(context, held.later.sending, held.using);
  releaseInMenu(context, held);
  const how = guarded?.sending?.guard;
  if (guarded && how) return { kind: 'guarded', how, asks: false, resolution: guarded.resolution };
  return { kind: 'released', silent, turned, heldFor: context.state.now - since };
}

/** Up before it was decided: a press, or half of a double one. */
function releaseWaiting(context: StepContext, key: string, waiting: Waiting): Outcome {
  dropWaiting(context, waiting);
  const heldFor = context.state.now - waiting.since;
  if (!waiting.double) return sendShort(context, waiting.press, heldFor);
  const { device, control } = waiting.press.using;
  const doubleMs = controlAt(context.compiled, device, control)?.settings.doubleMs ?? 0;
  setWaiting(context, { ...waiting, down: false, heldFor });
  setDeadline(context, 'press', key, context.state.now + doubleMs);
  const { resolution } = waiting.press;
  return { kind: 'waiting', resolution, hold: false, double: true, nudges: false, turns: false };
}

/**
 * A control is turned while it is down: a press that was not decided yet is none any more, whichever way it was
 * turned. Gives what the turn does where that direction was bound when the control went down; null where it is a turn
 * like any other.
 */
export function turnedWhileDown(
  context: StepContext,
  { key }: CompiledControl,
  trigger: PressedTurn,
): ResolvedUse | 'ended' | null {
  const waiting = context.state.waiting[key];
  if (!waiting?.down) {
    const held = context.state.held[key];
    if (!held) return null;
    if (held.guarded || held.later?.when === 'release') turnedWhileHeld(context, held);
    return held.turns[trigger] ?? null;
  }
  dropWaiting(context, waiting);
  setHeld(context, { ...quietly(waiting.press, waiting), turned: true });
  return waiting.turns[trigger] ?? null;
}

/** Neither the longer press that a guard waits for nor the tap at its coming up comes then. */
function turnedWhileHeld(context: StepContext, held: Held): void {
  setHeld(context, { ...held, turned: true, guarded: null, later: null });
  if (!held.guarded) return;
  dropDeadline(context, 'guard', held.using.key);
  const { device, control } = held.using;
  context.changes.push({ kind: 'guard', device, control, how: 'longer', asks: false });
}

/** A waiting control was held long enough. */
export function holdReached(context: StepContext, key: string): Outcome {
  const waiting = context.state.waiting[key];
  if (!waiting?.hold) return { kind: 'noted' };
  dropWaiting(context, waiting);
  return start(context, waiting.hold, waiting);
}

/** No second press came in time: it was a press. */
export function pressReached(context: StepContext, key: string): Outcome {
  const waiting = context.state.waiting[key];
  if (!waiting) return { kind: 'noted' };
  dropWaiting(context, waiting);
  return sendShort(context, waiting.press, waiting.heldFor);
}

/** Forgets an undecided press and what was to fall due for it. */
export function dropWaiting(context: StepContext, { press: { using } }: Waiting): void {
  context.state.waiting = without(context.state.waiting, using.key);
  dropDeadline(context, 'hold', using.key);
  dropDeadline(context, 'press', using.key);
}

/** Notes a press as not decided yet. */
export function setWaiting(context: StepContext, waiting: Waiting): void {
  context.state.waiting = withEntry(context.state.waiting, waiting.press.using.key, waiting);
}
