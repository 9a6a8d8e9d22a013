import type { Trigger } from '../devices/index.ts';
import { type Resolution, resolveBehaviour } from '../resolve/index.ts';
import { slotKey } from '../setup/index.ts';
import { type Compiled, chainFor, controlKey, type Effect } from './compile.ts';
import type { Ended } from './explanation.ts';
import type { EngineState, Held } from './state.ts';
import type { StateChange, Stroke } from './stroke.ts';

/** One step under way: the state so far and what was sent. Lives only inside `step`. */
export interface Run {
  readonly compiled: Compiled;
  readonly strokes: Stroke[];
  readonly changes: StateChange[];
  state: EngineState;
}

/** Looks up what decides for a control and trigger now. */
export function resolveNow(run: Run, device: string, control: string, trigger: Trigger): Resolution {
  const { compiled, state } = run;
  return resolveBehaviour(chainFor(compiled, state.profile), state.layers, device, control, trigger);
}

/** What a resolution sends: the binding's effect or what the control does by itself; null for nothing. */
export function effectFor(
  run: Run,
  resolution: Resolution,
): Effect | { kind: 'button'; button: number } | null {
  const { device, control, trigger, decided } = resolution;
  if (decided === null || decided.binding.behaviour.kind === 'native') {
    return run.compiled.controls.get(controlKey(device, control))?.native[trigger] ?? null;
  }
  const effects = run.compiled.profiles.get(decided.profile)?.effects;
  return effects?.get(slotKey(decided.layer, device, control, trigger)) ?? null;
}

/** Puts a key down; sent only when nothing holds it yet. */
export function keyDown(run: Run, code: string): void {
  const count = run.state.keys[code] ?? 0;
  run.state = { ...run.state, keys: { ...run.state.keys, [code]: count + 1 } };
  if (count === 0) send(run, { kind: 'key-down', code });
}

/** Lets a key go; sent only when nothing else holds it. */
export function keyUp(run: Run, code: string): void {
  const { [code]: count = 0, ...others } = run.state.keys;
  if (count === 0) return;
  run.state = { ...run.state, keys: count > 1 ? { ...others, [code]: count - 1 } : others };
  if (count === 1) send(run, { kind: 'key-up', code });
}

function buttonDown(run: Run, button: number): void {
  const count = run.state.buttons[button] ?? 0;
  run.state = { ...run.state, buttons: { ...run.state.buttons, [button]: count + 1 } };
  if (count === 0) send(run, { kind: 'button-down', button });
}

function buttonUp(run: Run, button: number): void {
  const { [button]: count = 0, ...others } = run.state.buttons;
  if (count === 0) return;
  run.state = { ...run.state, buttons: count > 1 ? { ...others, [button]: count - 1 } : others };
  if (count === 1) send(run, { kind: 'button-up', button });
}

/** What an effect keeps down until it is let go. */
export type Output = Pick<Held, 'codes' | 'buttons'>;
export const NO_OUTPUT: Output = { codes: [], buttons: [] };

/** Starts an effect: keys and buttons go down and stay; a wheel ticks once. */
export function begin(run: Run, effect: Effect | { kind: 'button'; button: number }): Output {
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

/** Ends the output of every held control that `which` picks, newest first; they will come up in silence. */
export function endHeld(run: Run, which: (held: Held) => boolean): readonly Ended[] {
  const ended: Ended[] = [];
  for (const [key, held] of Object.entries(run.state.held).toReversed()) {
    if (held.silent || !which(held)) continue;
    end(run, held);
    const silent: Held = { ...held, ...NO_OUTPUT, silent: true };
    run.state = { ...run.state, held: { ...run.state.held, [key]: silent } };
    const { device, control, codes, buttons } = held;
    if (codes.length + buttons.length > 0) ended.push({ device, control, codes, buttons });
  }
  return ended;
}

type StrokeBody = Stroke extends infer Any ? (Any extends Stroke ? Omit<Any, 't' | 'cause'> : never) : never;

function send(run: Run, body: StrokeBody): void {
  run.strokes.push({ t: run.state.now, cause: run.state.seq, ...body });
}
