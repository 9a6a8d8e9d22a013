import type { Trigger } from '../devices/index.ts';
import { type Resolution, resolveBehaviour } from '../resolve/index.ts';
import { slotKey } from '../setup/index.ts';
import { type Compiled, chainFor, controlKey } from './compile.ts';
import type { Sendable } from './effect.ts';
import type { EngineState, Output } from './state.ts';
import type { StateChange, Stroke } from './stroke.ts';

/** One step under way: the state so far and what was sent. Lives only inside `step`. */
export interface Run {
  readonly compiled: Compiled;
  readonly strokes: Stroke[];
  readonly changes: StateChange[];
  /** A copy of the run's own: its fields are set anew, what they hold is never changed in place. */
  readonly state: { -readonly [Field in keyof EngineState]: EngineState[Field] };
  /** The event that strokes are sent for now; for what falls due, the one it comes from. */
  readonly cause: number;
}

/** Looks up what decides for a control and trigger now. */
export function resolveNow(run: Run, device: string, control: string, trigger: Trigger): Resolution {
  const { compiled, state } = run;
  return resolveBehaviour(chainFor(compiled, state.profile), state.layers, device, control, trigger);
}

/** What a resolution sends: the binding's effect or what the control does by itself; null for nothing. */
export function effectFor(run: Run, resolution: Resolution): Sendable | null {
  const { device, control, trigger, decided } = resolution;
  if (decided === null || decided.binding.behaviour.kind === 'native') {
    return run.compiled.controls.get(controlKey(device, control))?.native[trigger] ?? null;
  }
  const effects = run.compiled.profiles.get(decided.profile)?.effects;
  return effects?.get(slotKey(decided.layer, device, control, trigger)) ?? null;
}

/** Puts a key down; sent only when nothing holds it yet. */
function keyDown(run: Run, code: string): void {
  const count = run.state.keys[code] ?? 0;
  run.state.keys = { ...run.state.keys, [code]: count + 1 };
  if (count === 0) send(run, { kind: 'key-down', code });
}

/** Lets a key go; sent only when nothing else holds it. */
function keyUp(run: Run, code: string): void {
  const { [code]: count = 0, ...others } = run.state.keys;
  if (count === 0) return;
  run.state.keys = count > 1 ? { ...others, [code]: count - 1 } : others;
  if (count === 1) send(run, { kind: 'key-up', code });
}

function buttonDown(run: Run, button: number): void {
  const count = run.state.buttons[button] ?? 0;
  run.state.buttons = { ...run.state.buttons, [button]: count + 1 };
  if (count === 0) send(run, { kind: 'button-down', button });
}

function buttonUp(run: Run, button: number): void {
  const { [button]: count = 0, ...others } = run.state.buttons;
  if (count === 0) return;
  run.state.buttons = count > 1 ? { ...others, [button]: count - 1 } : others;
  if (count === 1) send(run, { kind: 'button-up', button });
}

export const NO_OUTPUT: Output = { codes: [], buttons: [] };

/** Starts an effect: keys and buttons go down and stay; a wheel ticks once. */
export function begin(run: Run, effect: Sendable): Output {
  switch (effect.kind) {
    case 'keys':
      for (const code of effect.codes) keyDown(run, code);
      return { codes: effect.codes, buttons: [] };
    case 'button':
      buttonDown(run, effect.button);
      return { codes: [], buttons: [effect.button] };
    case 'wheel':
      send(run, { kind: 'wheel', ticks: effect.ticks });
      return NO_OUTPUT;
  }
}

/** Lets go what an effect kept down, in reverse. */
export function end(run: Run, { codes, buttons }: Output): void {
  for (const code of codes.toReversed()) keyUp(run, code);
  for (const button of buttons.toReversed()) buttonUp(run, button);
}

type StrokeBody = Stroke extends infer Any ? (Any extends Stroke ? Omit<Any, 't' | 'cause'> : never) : never;

function send(run: Run, body: StrokeBody): void {
  run.strokes.push({ t: run.state.now, cause: run.cause, ...body });
}

/** An effect as a tap: down and up at once. */
export function tap(run: Run, effect: Sendable): void {
  end(run, begin(run, effect));
}
