import { type Compiled, controlAt } from './compile.ts';
import { earliestDeadline } from './deadlines.ts';
import { endAllOf } from './endOutputs.ts';
import type { EngineEvent } from './event.ts';
import type { Explanation, Outcome } from './explanation.ts';
import { endOverdue, fallDue, ownerOf } from './fallDue.ts';
import { afterEdit, decideProfile } from './front.ts';
import { answer } from './macros.ts';
import { move } from './move.ts';
import { phrase } from './phrase.ts';
import { position } from './position.ts';
import { press, release } from './press.ts';
import { closeChangedMenu } from './radial.ts';
import { isOnBase, shownPage } from './shownPage.ts';
import type { EngineState } from './state.ts';
import { copyOf, type StepContext } from './stepContext.ts';
import type { Stroke } from './stroke.ts';
import { turn } from './turn.ts';

/**
 * The most strokes that may fall due in one step. Time that jumps while something repeats (a computer that slept, a
 * recording with a long pause) would send hundreds of thousands at once.
 */
export const MOST_DUE = 10_000;

/** The engine after one event: what it remembers, what it sent and why. */
export interface Stepped {
  /** To be handed in with the next event. */
  readonly state: EngineState;
  /** Everything sent, in order of time: first what had fallen due by then. */
  readonly strokes: readonly Stroke[];
  /** What became of the event, whether anything was sent or not. */
  readonly explanation: Explanation;
  /** What fell due before the event, in order; each is explained under the event it came from. */
  readonly due: readonly Explanation[];
}

/** The engine after time went on. */
export type Advanced = Pick<Stepped, 'state' | 'due'>;

/**
 * What an event becomes. Pure: the same compiled set-up, state and event always give the same strokes.
 * Works in milliseconds and degrees. What falls due up to and at the event's time comes before it, one by one,
 * also what is set by something that fell due; every event is explained, those that change nothing too.
 */
export function step(compiled: Compiled, before: EngineState, event: EngineEvent): Stepped {
  const now = Math.max(before.now, event.t);
  const { state: current, due } = fallDueUntil(compiled, before, now);
  const seq = current.seq + 1;
  const context = begun(compiled, current, now, seq);
  context.state.seq = seq;
  const explanation = explained(context, event, outcomeOf(context, event));
  return { state: context.state, strokes: joined(due, context.strokes), explanation, due };
}

/** Time goes on without an event: what is due up to and at that time falls due. A time in the past changes nothing. */
export function advance(compiled: Compiled, state: EngineState, t: number): Advanced {
  const now = Math.max(state.now, t);
  const fallen = fallDueUntil(compiled, state, now);
  if (fallen.state.now === now) return fallen;
  return { state: { ...copyOf(fallen.state), now }, due: fallen.due };
}

/** What falls due up to and at a time, one by one; the state's own time is that of the last. */
function fallDueUntil(compiled: Compiled, state: EngineState, now: number): Advanced {
  const due: Explanation[] = [];
  let current = state;
  let count = 0;
  for (
    let deadline = earliestDeadline(current);
    deadline && deadline.at <= now;
    deadline = earliestDeadline(current)
  ) {
    const { cause, at } = deadline;
    const fallen = Math.max(current.now, at);
    const { device = '', control = '' } = ownerOf(current, deadline) ?? {};
    const context = begun(compiled, current, fallen, cause);
    context.state.deadlines = current.deadlines.filter((other) => other !== deadline);
    const outcome = count < MOST_DUE ? fallDue(context, deadline) : endOverdue(context, deadline);
    due.push(explained(context, { kind: 'due', t: fallen, device, control }, outcome));
    current = context.state;
    count += Math.max(1, context.strokes.length);
  }
  return { state: current, due };
}

/** By a loop: spreading ten thousand strokes into a call would overflow the stack. */
function joined(due: readonly Explanation[], last: readonly Stroke[]): readonly Stroke[] {
  if (due.length === 0) return last;
  const all: Stroke[] = [];
  for (const { strokes } of due) for (const stroke of strokes) all.push(stroke);
  for (const stroke of last) all.push(stroke);
  return all;
}

/** A step works on a copy: whoever has the state before it keeps it as it was. */
function begun(compiled: Compiled, before: EngineState, now: number, cause: number): StepContext {
  const state = copyOf(before);
  state.now = now;
  return { compiled, strokes: [], changes: [], deferred: [], state, cause, focused: null };
}

/** What was put off until the event is dealt with comes under the same event. */
function explained(context: StepContext, event: Explanation['event'], outcome: Outcome): Explanation {
  if (context.deferred.length > 0) doDeferred(context);
  const { cause: seq, state, strokes, changes } = context;
  return { seq, t: state.now, event, outcome, strokes, changes };
}

/** Does what waits for the event to be dealt with: another profile, a device that is gone. */
function doDeferred(context: StepContext): void {
  for (let each = context.deferred.shift(); each; each = context.deferred.shift()) {
    const ended =
      each.kind === 'pin'
        ? decideProfile(context, { pinned: each.profile }).ended
        : endAllOf(context, each.device, false);
    if (ended.length > 0) context.changes.push({ kind: 'let-go', ended });
    closeChangedMenu(context);
  }
}

/** The rig has no such device: told, and otherwise nothing. */
const UNKNOWN_DEVICE: Outcome = { kind: 'ignored', why: 'unknown-device' };

/** Of the rig: a device that is gone from it is none. */
function isDevice({ compiled }: StepContext, device: string): boolean {
  return compiled.settings.has(device);
}

/** Another computer that some device can talk to. */
function isComputer({ compiled }: StepContext, name: string): boolean {
  return [...compiled.settings.values()].some(({ computers }) => computers.indexOf(name) > 0);
}

/** What is done with a cell whose page does not show any more counts for nothing; whoever pressed it may have been late. */
function hiddenCell(
  { compiled, state }: StepContext,
  { device, control }: { readonly device: string; readonly control: string },
): Outcome | null {
  const cell = controlAt(compiled, device, control)?.control.cell;
  if (!cell || (cell.page === null && cell.everyPage)) return null;
  const shown = shownPage(compiled, state, device);
  const isThere = cell.page === shown || isOnBase(compiled, shown, cell.page);
  return isThere ? null : { kind: 'ignored', why: 'not-shown' };
}

/** One function a kind; a new kind of event does not compile until it is here. */
function outcomeOf(context: StepContext, event: EngineEvent): Outcome {
  switch (event.kind) {
    case 'down':
      return hiddenCell(context, event) ?? press(context, event);
    case 'up':
      return release(context, event);
    case 'turn':
      return hiddenCell(context, event) ?? turn(context, event);
    case 'position':
      return hiddenCell(context, event) ?? position(context, event);
    case 'move':
      return move(context, event);
    case 'phrase':
      return phrase(context, event);
    case 'front':
      if (event.computer !== undefined && !isComputer(context, event.computer)) {
        return { kind: 'ignored', why: 'unknown-computer' };
      }
      return decideProfile(context, { front: event.window }, event.computer ?? null);
    case 'pin':
      if (event.profile !== null && !context.compiled.profiles.has(event.profile)) {
        return { kind: 'ignored', why: 'unknown-profile' };
      }
      return decideProfile(context, { pinned: event.profile });
    case 'answer':
      return answer(context, event);
    case 'edited':
      return afterEdit(context);
    case 'time':
      return { kind: 'noted' };
    case 'attach':
      return isDevice(context, event.device) ? { kind: 'noted' } : UNKNOWN_DEVICE;
    case 'detach':
      return isDevice(context, event.device)
        ? { kind: 'let-go', ended: endAllOf(context, event.device, true) }
        : UNKNOWN_DEVICE;
    case 'reset':
      return { kind: 'let-go', ended: endAllOf(context, null, false) };
  }
}
