import type { MacroAct } from './compileMacro.ts';
import { endHold } from './holds.ts';
import { layerOff, layerOn } from './layers.ts';
import { buttonDown, exactly, keyDown, tapKeys } from './ledger.ts';
import { sendClick, sendWheel } from './pointer.ts';
import { type Run, send, withEntry, without } from './run.ts';
import type { PlainHold, Running, Using } from './state.ts';
import { dropTimer, setTimer } from './timers.ts';

/** How many runs of one macro may wait. */
const MOST_QUEUED = 20;

/** A press asks for a macro: it starts, or does what the macro says for a press while it runs. */
export function callMacro(run: Run, id: string, owner: Using, program: string | null): void {
  const running = run.state.running[id];
  if (!running) {
    startMacro(run, id, owner, program);
    return;
  }
  const { run: how, again } = running.macro;
  if (how === 'toggle') {
    stopMacro(run, id);
    return;
  }
  if (again === 'restart') {
    stopMacro(run, id);
    startMacro(run, id, owner, program);
  } else if (again === 'queue') {
    keep(run, { ...running, queued: Math.min(MOST_QUEUED, running.queued + 1) });
  }
}

function startMacro(run: Run, id: string, owner: Using, program: string | null, queued = 0): void {
  const macro = run.compiled.macros.get(id);
  if (!macro) return;
  const { now: round } = run.state;
  const begun = { macro, owner, program, round, left: macro.rounds - 1, next: 0, holds: [], queued };
  keep(run, { ...begun, cause: run.cause });
  run.changes.push({ kind: 'macro', macro: id, runs: true });
  goOn(run, id);
}

/** Does every step of a running macro that is due by now, then sets when it goes on; or ends it. */
export function goOn(run: Run, id: string): void {
  for (let running = run.state.running[id]; running; running = run.state.running[id]) {
    const { macro, round, next, left } = running;
    const step = macro.acts[next];
    const at = round + (step ? step.after : macro.length);
    if (at > run.state.now) {
      setTimer(run, 'macro', id, at);
      return;
    }
    if (step) keep(run, { ...running, next: next + 1, holds: doStep(run, running, step.act) });
    else if (left > 0) keep(run, { ...running, round: at, left: left - 1, next: 0 });
    else finish(run, running);
  }
}

/** A round was the last: what it put down comes up; one that waits begins. */
function finish(run: Run, { macro, owner, program, queued }: Running): void {
  stopMacro(run, macro.id);
  if (queued > 0) startMacro(run, macro.id, owner, program, queued - 1);
}

/** Ends a macro at once: all that it put down comes up, newest first. */
export function stopMacro(run: Run, id: string): void {
  const running = run.state.running[id];
  if (!running) return;
  run.state.running = without(run.state.running, id);
  dropTimer(run, 'macro', id);
  for (const hold of running.holds.toReversed()) endHold(run, hold);
  run.changes.push({ kind: 'macro', macro: id, runs: false });
}

function keep(run: Run, running: Running): void {
  run.state.running = withEntry(run.state.running, running.macro.id, running);
}

const isKey = (code: string) => (hold: PlainHold) => hold.kind === 'key' && hold.code === code;
const isButton = (button: number) => (hold: PlainHold) => hold.kind === 'button' && hold.button === button;

/** Does one step; gives what the macro holds afterwards. A macro is one thing: what it holds it puts down once. */
function doStep(run: Run, { holds, owner, program }: Running, act: MacroAct): readonly PlainHold[] {
  const exact = (codes: readonly string[], todo: () => void) => exactly(run, program, codes, holds, todo);
  const release = (same: (hold: PlainHold) => boolean) => {
    const at = holds.findLastIndex(same);
    const hold = holds[at];
    if (hold) endHold(run, hold);
    return hold ? holds.toSpliced(at, 1) : holds;
  };
  switch (act.kind) {
    case 'chord':
      exact(act.codes, () => tapKeys(run, program, act.codes));
      return holds;
    case 'key-down':
      return holds.some(isKey(act.code)) ? holds : [...holds, keyDown(run, program, act.code)];
    case 'key-up':
      return release(isKey(act.code));
    case 'button-down':
      return holds.some(isButton(act.button)) ? holds : [...holds, buttonDown(run, program, act.button)];
    case 'button-up':
      return release(isButton(act.button));
    case 'text':
      exact([], () => send(run, program, { kind: 'text', text: act.text }));
      return holds;
    case 'click':
      exact([], () => sendClick(run, program, act));
      return holds;
    case 'wheel':
      exact([], () => sendWheel(run, program, act));
      return holds;
    case 'focus':
      send(run, act.program, { kind: 'focus', launch: false });
      return holds;
    case 'layer':
      setLayer(run, act.layer, act.on, owner);
      return holds;
  }
}

/** A layer set by a macro stays on until one takes it off, as if it were latched by the macro's control. */
function setLayer(run: Run, layer: string, on: boolean, using: Using): void {
  const key = `layer ${layer}`;
  const known = run.state.latched[key];
  if (on === (known !== undefined)) return;
  if (on) {
    run.state.latched = withEntry(run.state.latched, key, { using, holds: [{ kind: 'layer', layer }] });
    layerOn(run, layer);
  } else {
    run.state.latched = without(run.state.latched, key);
    layerOff(run, layer);
  }
}
