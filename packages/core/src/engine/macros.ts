import { typedAs } from './compileEffect.ts';
import type { CompiledMacro, MacroAct } from './compileMacro.ts';
import { dropDeadline, setDeadline } from './deadlines.ts';
import { endHold } from './holds.ts';
import { layerOff, layerOn } from './layers.ts';
import { buttonDown, exactly, keyDown, keysDown, tapKeys } from './ledger.ts';
import { sendClick, sendWheel } from './pointer.ts';
import { withEntry, without } from './record.ts';
import type { Destination, Hold, MacroCall, PlainHold, Running, Using } from './state.ts';
import { nextSerial, type StepContext, send } from './stepContext.ts';
import { keysFor } from './typed.ts';

/** How many runs of one macro may wait. */
const MOST_QUEUED = 20;

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
  if (macro.run === 'toggle') {
    stopMacro(context, running);
    return null;
  }
  switch (macro.again) {
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
  const running = begun(context, macro, call, []);
  goOn(context, macro.id);
  return running.serial;
}

/** Notes a macro as running, before its first step. */
function begun(
  context: StepContext,
  { id: macro, fingerprint, rounds }: CompiledMacro,
  call: MacroCall,
  queue: Running['queue'],
): Running {
  const running: Running = {
    ...call,
    macro,
    fingerprint,
    serial: nextSerial(context),
    round: context.state.now,
    left: rounds === null ? null : rounds - 1,
    next: 0,
    holds: [],
    queue,
  };
  setRunning(context, running);
  context.changes.push({ kind: 'macro', macro, runs: true });
  return running;
}

/** Does every step of a running macro that is due by now, then sets when it goes on; or ends it. */
export function goOn(context: StepContext, id: string): void {
  const macro = context.compiled.macros.get(id);
  if (!macro) return;
  for (let running = context.state.running[id]; running; running = context.state.running[id]) {
    const { round, next, left } = running;
    const step = macro.acts[next];
    const at = round + (step ? step.after : macro.length);
    if (at > context.state.now) {
      setDeadline(context, 'macro', id, at, running.cause);
      return;
    }
    if (step) setRunning(context, { ...running, next: next + 1, holds: doStep(context, running, step.act) });
    else if (left === null || left > 0) {
      setRunning(context, { ...running, round: at, left: left && left - 1, next: 0 });
    } else {
      finish(context, macro, running);
      return;
    }
  }
}

/**
 * A round was the last: what it put down comes up. A run that waits begins at once, but as something of its own that
 * falls due, so that its strokes name the press that asked for it.
 */
function finish(context: StepContext, macro: CompiledMacro, running: Running): void {
  stopMacro(context, running);
  const [next, ...queue] = running.queue;
  if (!next) return;
  begun(context, macro, next, queue);
  setDeadline(context, 'macro', macro.id, context.state.now, next.cause);
}

/** Ends a macro at once: all that it put down comes up, newest first. */
export function stopMacro(context: StepContext, { macro, holds }: Running): void {
  context.state.running = without(context.state.running, macro);
  dropDeadline(context, 'macro', macro);
  for (const hold of holds.toReversed()) endHold(context, hold);
  context.changes.push({ kind: 'macro', macro, runs: false });
}

/** Ends one run of a macro, if it is still that run. */
export function stopRun(context: StepContext, { macro, serial }: Extract<Hold, { kind: 'macro' }>): void {
  const running = context.state.running[macro];
  if (running?.serial === serial) stopMacro(context, running);
}

/** Notes how far a macro is. */
function setRunning(context: StepContext, running: Running): void {
  context.state.running = withEntry(context.state.running, running.macro, running);
}

/** Finds what a macro holds, so that a step that lets go ends that and nothing else. */
const isKey = (code: string) => (hold: PlainHold) => hold.kind === 'key' && hold.code === code;
const isButton = (button: number) => (hold: PlainHold) => hold.kind === 'button' && hold.button === button;

/** Does one step; gives what the macro holds afterwards. A macro is one thing: what it holds it puts down once. */
function doStep(
  context: StepContext,
  { macro, holds, owner, to }: Running,
  act: MacroAct,
): readonly PlainHold[] {
  const exact = (codes: readonly string[], todo: () => void) => exactly(context, to, codes, holds, todo);
  const release = (same: (hold: PlainHold) => boolean) => {
    const at = holds.findLastIndex(same);
    const hold = holds[at];
    if (hold) endHold(context, hold);
    return hold ? holds.toSpliced(at, 1) : holds;
  };
  switch (act.kind) {
    case 'chord':
      for (const codes of keysFor(context, to, act.typed)) exact(codes, () => tapKeys(context, to, codes));
      return holds;
    case 'key-down':
      return holds.some(isKey(act.code)) ? holds : [...holds, keyDown(context, to, act.code)];
    case 'key-up':
      return release(isKey(act.code));
    case 'button-down':
      return holds.some(isButton(act.button)) ? holds : [...holds, buttonDown(context, to, act.button)];
    case 'button-up':
      return release(isButton(act.button));
    case 'text':
      exact([], () => send(context, to, { kind: 'text', text: act.text }));
      return holds;
    case 'click':
      exactlyWith(context, to, act.keys, exact, () => sendClick(context, to, act));
      return holds;
    case 'wheel':
      exactlyWith(context, to, act.keys, exact, () => sendWheel(context, to, act));
      return holds;
    case 'focus':
      send(context, { ...to, program: act.program }, { kind: 'focus', launch: false });
      return holds;
    case 'layer':
      setLayer(context, macro, act, owner);
      return holds;
  }
}

/** An act of the pointer with keys held: exactly those, or nothing where they cannot be typed. */
function exactlyWith(
  context: StepContext,
  to: Destination,
  keys: string | undefined,
  exact: (codes: readonly string[], todo: () => void) => void,
  act: () => void,
): void {
  if (keys === undefined) {
    exact([], act);
    return;
  }
  for (const codes of keysFor(context, to, typedAs(keys)))
    exact(codes, () => {
      const holds = keysDown(context, to, codes);
      act();
      for (const hold of holds.toReversed()) endHold(context, hold);
    });
}

/**
 * A layer set by a macro stays on until one takes it off, as if it were latched by the macro's control. Each macro keeps
 * it on for itself. One that takes it off takes back its own; one that has not set it takes it from all.
 */
function setLayer(
  context: StepContext,
  macro: string,
  { layer, on }: Extract<MacroAct, { kind: 'layer' }>,
  using: Using,
): void {
  const prefix = `layer ${layer} `;
  const own = prefix + macro;
  const { latched } = context.state;
  if (on && !latched[own]) {
    const serial = nextSerial(context);
    context.state.latched = withEntry(latched, own, { using, holds: [{ kind: 'layer', layer }], serial });
    layerOn(context, layer);
  }
  if (on) return;
  const taken = latched[own] ? [own] : Object.keys(latched).filter((key) => key.startsWith(prefix));
  for (const key of taken) {
    context.state.latched = without(context.state.latched, key);
    layerOff(context, layer);
  }
}
