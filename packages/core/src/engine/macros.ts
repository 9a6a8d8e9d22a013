import { type FrontWindow, unfittingFields } from '../resolve/index.ts';
import { ASKED_MS } from './ask.ts';
import { type CompiledMacro, type MacroAct, sends, type TimedAct } from './compileMacro.ts';
import { dropDeadline, setDeadline } from './deadlines.ts';
import { profileFor } from './destination.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { endHold } from './holds.ts';
import { doAct, holdKeys } from './macroActs.ts';
import { withEntry, without } from './record.ts';
import type { Destination, EngineState, Hold, MacroCall, PlainHold, Running, Using } from './state.ts';
import { nextSerial, type StepContext } from './stepContext.ts';

/** How many runs of one macro may wait. */
const MOST_QUEUED = 20;
/** A round of a macro that goes round and round lasts at least this long, so that it comes to an end: ms. */
const LEAST_ROUND_MS = 10;

/** An act that waits for a window. */
type Until = Extract<MacroAct, { kind: 'until' }>;

/**
 * A press asks for a macro: it starts, or does what the macro says for a press while it runs. Gives the number of the
 * run that this press began, null where it began none.
 */
export function callMacro(context: StepContext, id: string, owner: Using, to: Destination): number | null {
  const macro = context.compiled.macros.get(id);
  if (!macro) return null;
  const running = context.state.running[id];
  const call = { owner, to, cause: context.cause };
  if (!running) return startMacro(context, macro, call);
  // What runs ends as it began, whatever the macro has become meanwhile.
  if (running.as.run === 'toggle') {
    stopMacro(context, running);
    return null;
  }
  switch (running.as.again) {
    case 'ignore':
      return null;
    case 'restart':
      stopMacro(context, running);
      return startMacro(context, macro, call);
    case 'queue':
      if (running.queue.length < MOST_QUEUED)
        setRunning(context, { ...running, queue: [...running.queue, call] });
      return null;
  }
}

/** What is due at once is done at once. */
function startMacro(context: StepContext, macro: CompiledMacro, call: MacroCall): number {
  const running = begun(context, macro, call, null, []);
  goOn(context, macro.id);
  return running.serial;
}

/** Notes a macro as running, before its first step. */
function begun(
  context: StepContext,
  macro: CompiledMacro,
  call: MacroCall,
  sent: Running['sent'],
  queue: Running['queue'],
): Running {
  const { now } = context.state;
  const running: Running = {
    ...call,
    macro: macro.id,
    as: macro,
    serial: nextSerial(context),
    round: now,
    left: macro.rounds === null ? null : macro.rounds - 1,
    at: now,
    sent,
    next: 0,
    waitsSince: null,
    answers: [],
    belongsTo: null,
    holds: [],
    queue,
  };
  setRunning(context, running);
  context.changes.push({ kind: 'macro', macro: macro.id, runs: true });
  return running;
}

/** Does every act of a running macro that is due by now, then sets when it goes on; or ends it. Gives the last step that sent something. */
export function goOn(context: StepContext, id: string): string | null {
  let step: string | null = null;
  for (let running = context.state.running[id]; running; running = context.state.running[id]) {
    const next = running.as.acts[running.next];
    const at = dueOf(running, next);
    if (at > context.state.now) {
      setDeadline(context, 'macro', id, at, running.cause);
      return step;
    }
    if (next) {
      doNext(context, running, next, at);
      if (sends(next.act)) step = next.step;
    } else if (running.left === null || running.left > 0) {
      setRunning(context, { ...running, round: at, at, left: running.left && running.left - 1, next: 0 });
    } else {
      finish(context, running);
      return step;
    }
  }
  return step;
}

/**
 * When the next act of a run is due, or without one the end of its round: the wait counts from when the act before was
 * due, and what is sent keeps the pace.
 */
function dueOf(
  { as, at, sent, round, left, holds, waitsSince }: Running,
  next: TimedAct | undefined,
): number {
  if (waitsSince !== null && next?.act.kind === 'until') return waitsSince + next.act.atMostMs;
  if (waitsSince !== null && next?.act.kind === 'ask') return waitsSince + ASKED_MS;
  const paced = sent === null ? Number.NEGATIVE_INFINITY : sent + as.pace;
  if (next) return sends(next.act) ? Math.max(at + next.wait, paced) : at + next.wait;
  const end = Math.max(at + as.rest, as.rounds === null ? round + LEAST_ROUND_MS : round);
  // What it holds comes up at the end of the last, which is sent as well.
  return left === 0 && holds.length > 0 ? Math.max(end, paced) : end;
}

/** Does the act of a run that is due. */
function doNext(context: StepContext, running: Running, { act, step }: TimedAct, at: number): void {
  const { next, holds } = running;
  const after = { ...running, at, next: next + 1, waitsSince: null };
  if (act.kind === 'until') waitFor(context, running, act, step, at);
  else if (act.kind === 'ask') ask(context, running, step, at);
  else if (act.kind === 'hold') {
    const held = holdKeys(context, running, act, next);
    // Without the keys the steps inside would mean something else: they are left out.
    if (held) setRunning(context, { ...after, sent: at, holds: [...holds, ...held] });
    else setRunning(context, { ...after, next: act.end + 1 });
  } else {
    const sent = sends(act) ? at : running.sent;
    setRunning(context, { ...after, sent, holds: doAct(context, running, act) });
  }
}

/** The window is there already; or it is waited for from now; or that was too long. */
function waitFor(context: StepContext, running: Running, act: Until, step: string, at: number): void {
  const { waitsSince, macro } = running;
  if (waitsSince !== null) {
    context.changes.push({ kind: 'until', macro, step, how: 'late', waited: act.atMostMs });
    if (act.late === 'stop') stopMacro(context, running);
    else setRunning(context, { ...running, at, next: running.next + 1, waitsSince: null });
    return;
  }
  if (fits(context.state, running, act)) {
    setRunning(context, { ...arrived(context, running), at });
    context.changes.push({ kind: 'until', macro, step, how: 'there', waited: 0 });
  } else setRunning(context, { ...running, at, waitsSince: at });
}

/** The person is asked from now on; or did not answer in time. */
function ask(context: StepContext, running: Running, step: string, at: number): void {
  const { waitsSince, macro } = running;
  context.changes.push({ kind: 'ask', macro, step, how: waitsSince === null ? 'asks' : 'late' });
  if (waitsSince === null) setRunning(context, { ...running, at, waitsSince: at });
  else stopMacro(context, running);
}

/** A question of a macro. */
export interface Asks {
  readonly macro: string;
  /** The number of its run. */
  readonly run: number;
  readonly questions: readonly string[];
}

/** What is asked now, of several the one that was asked first; null where nothing is. */
export function asksNow({ running }: EngineState): Asks | null {
  const asking = Object.values(running).flatMap(({ macro, serial, waitsSince, as, next }) => {
    const act = as.acts[next]?.act;
    return waitsSince !== null && act?.kind === 'ask'
      ? [{ macro, run: serial, waitsSince, questions: act.questions }]
      : [];
  });
  return asking.toSorted((a, b) => a.waitsSince - b.waitsSince)[0] ?? null;
}

/** What a macro asked is answered: it goes on from now, as something of its own that falls due; or it stops. */
export function answer(context: StepContext, { macro, texts }: EventOf<'answer'>): Outcome {
  const running = context.state.running[macro];
  const next = running?.as.acts[running.next];
  if (running?.waitsSince == null || next?.act.kind !== 'ask') return { kind: 'ignored', why: 'not-asked' };
  if (texts === null) {
    stopMacro(context, running);
    return { kind: 'answered', macro, texts };
  }
  const { now } = context.state;
  setRunning(context, { ...running, at: now, next: running.next + 1, waitsSince: null, answers: texts });
  dropDeadline(context, 'macro', macro);
  setDeadline(context, 'macro', macro, now, running.cause);
  return { kind: 'answered', macro, texts };
}

/** A run that has got its window: from then on it belongs to that. */
function arrived({ compiled, state }: StepContext, running: Running): Running {
  const belongsTo = profileFor(compiled, state, running.owner.device);
  return { ...running, next: running.next + 1, waitsSince: null, belongsTo };
}

/** Whether the window in front of who gets the macro's strokes is the one it waits for. */
function fits({ front, elsewhere }: EngineState, { to: { computer } }: Running, { window }: Until): boolean {
  const there: FrontWindow | null = computer === null ? front : (elsewhere[computer]?.front ?? null);
  return there !== null && unfittingFields(window, there).length === 0;
}

/**
 * Another window is in front of a computer: macros that waited for it go on from now, but as something of its own that
 * falls due, once what ends by the change has ended.
 */
export function windowCame(context: StepContext, computer: string | null): void {
  for (const running of Object.values(context.state.running)) {
    const { to, waitsSince, macro, cause } = running;
    const next = running.as.acts[running.next];
    if (waitsSince === null || to.computer !== computer || next?.act.kind !== 'until') continue;
    if (!fits(context.state, running, next.act)) continue;
    const { now } = context.state;
    setRunning(context, { ...arrived(context, running), at: now });
    const waited = now - waitsSince;
    context.changes.push({ kind: 'until', macro, step: next.step, how: 'came', waited });
    dropDeadline(context, 'macro', macro);
    setDeadline(context, 'macro', macro, now, cause);
  }
}

/**
 * A round was the last: what it put down comes up. A run that waits begins at once, but as something of its own that
 * falls due, so that its strokes name the press that asked for it.
 */
function finish(context: StepContext, running: Running): void {
  const { macro: id, sent } = running;
  stopMacro(context, running);
  const [next, ...queue] = running.queue;
  const macro = context.compiled.macros.get(id);
  if (!next || !macro) return;
  begun(context, macro, next, sent, queue);
  setDeadline(context, 'macro', id, context.state.now, next.cause);
}

/** Ends a macro at once: all that it put down comes up, newest first. */
export function stopMacro(context: StepContext, { macro, holds }: Running): void {
  context.state.running = without(context.state.running, macro);
  dropDeadline(context, 'macro', macro);
  for (const { hold } of holds.toReversed()) endHold(context, hold);
  context.changes.push({ kind: 'macro', macro, runs: false });
}

/** Ends one run of a macro, if it is still that run. */
export function stopRun(context: StepContext, { macro, serial }: Extract<Hold, { kind: 'macro' }>): void {
  const running = context.state.running[macro];
  if (running?.serial === serial) stopMacro(context, running);
}

/** What a run holds. */
export function heldBy({ holds }: Running): readonly PlainHold[] {
  return holds.map(({ hold }) => hold);
}

/** Notes how far a macro is. */
function setRunning(context: StepContext, running: Running): void {
  context.state.running = withEntry(context.state.running, running.macro, running);
}
