import type { Chords } from '../keys/layouts/index.ts';
import { EVERYWHERE } from '../setup/index.ts';
import { typedAs } from './compileEffect.ts';
import { destinationOf, profileFor, programAt } from './destination.ts';
import { changeSpeed, changeWheelMode, setDeviceMode } from './deviceModes.ts';
import type { Effect, OwnChange, Sending, Typed } from './effect.ts';
import { endHold } from './holds.ts';
import { layerOn, onceLayer } from './layers.ts';
import { buttonDown, exactly, keysDown, tapKeys } from './ledger.ts';
import { callMacro, stopRun } from './macros.ts';
import { askForSet, openMenu } from './openMenu.ts';
import { changePage, closeElsewhere, tellingPages } from './pages.ts';
import { sendClick, sendWheel } from './pointer.ts';
import type { Destination, Hold, Using } from './state.ts';
import { type StepContext, send } from './stepContext.ts';
import { messageValue } from './stroke.ts';
import { keysFor, keysForAll, typedOfIntent } from './typed.ts';

/** Effects of one kind. */
type EffectOf<Kind extends Effect['kind']> = Extract<Effect, { kind: Kind }>;

/** Starts what is sent: keys and buttons go down and stay; what has no length happens once. */
export function begin(context: StepContext, sending: Sending, using: Using): readonly Hold[] {
  const { effect, programs, focus } = sending;
  const first = destinationOf(context, using.device, programs[0] ?? null);
  if (focus) focusFirst(context, first);
  switch (effect.kind) {
    case 'keys':
    case 'intent':
    case 'button':
    case 'message':
    case 'sequence':
    case 'text':
    case 'click':
    case 'drag':
    case 'wheel': {
      const holds = sendTo(context, first, effect);
      if (programs.length <= 1) return holds;
      const others = programs.slice(1).map((program) => destinationOf(context, using.device, program));
      return [...holds, ...others.flatMap((to) => sendTo(context, to, effect))];
    }
    case 'layer':
    case 'page':
    case 'profile':
    case 'speed':
    case 'wheel-mode':
    case 'computer':
    case 'program':
    case 'radial':
    case 'show':
    case 'macro':
      return change(context, effect, using, first, focus);
  }
}

/** An effect that holds nothing. */
const NOTHING: readonly Hold[] = [];

/** Sends to one program; gives what is held of it. */
function sendTo(
  context: StepContext,
  to: Destination,
  effect: EffectOf<
    'keys' | 'intent' | 'button' | 'message' | 'sequence' | 'text' | 'click' | 'drag' | 'wheel'
  >,
): readonly Hold[] {
  switch (effect.kind) {
    case 'keys':
      return pressKeys(context, to, effect.typed);
    case 'intent': {
      const typed = typedOfIntent(context, to, effect.intent);
      return typed ? pressKeys(context, to, typed) : NOTHING;
    }
    case 'button':
      return [buttonDown(context, to, effect.button)];
    case 'message':
      return [sendMessage(context, to, effect)];
    case 'sequence':
      return tapEach(context, to, keysForAll(context, to, effect.typed));
    case 'text':
      exactly(context, to, [], [], () => send(context, to, { kind: 'text', text: effect.text }));
      return NOTHING;
    case 'click':
      holding(context, to, effect.keys, () => sendClick(context, to, effect));
      return NOTHING;
    case 'drag': {
      const keys = keysToHold(context, to, effect.keys);
      return keys ? [...keysDown(context, to, keys), buttonDown(context, to, effect.button)] : NOTHING;
    }
    case 'wheel':
      holding(context, to, effect.keys, () => sendWheel(context, to, effect));
      return NOTHING;
  }
}

/** The keys to hold with a pointer's act: none where none are asked for, null where they cannot be typed. */
function keysToHold(
  context: StepContext,
  to: Destination,
  keys: string | null | undefined,
): readonly string[] | null {
  if (keys === null || keys === undefined) return [];
  return keysFor(context, to, typedAs(keys))[0] ?? null;
}

/** Does something while keys are held; nothing at all where they cannot be typed. */
function holding(context: StepContext, to: Destination, asked: string | undefined, act: () => void): void {
  const keys = keysToHold(context, to, asked);
  if (!keys) return;
  const holds = keysDown(context, to, keys);
  act();
  end(context, holds);
}

/** One chord is held; a shortcut of several steps has no length. */
function pressKeys(context: StepContext, to: Destination, typed: Typed): readonly Hold[] {
  const chords = keysFor(context, to, typed);
  const [only] = chords;
  return only && chords.length === 1 ? keysDown(context, to, only) : tapEach(context, to, chords);
}

/** Shortcuts one after the other, each exact. */
function tapEach(context: StepContext, to: Destination, chords: Chords): readonly Hold[] {
  for (const codes of chords) exactly(context, to, codes, [], () => tapKeys(context, to, codes));
  return NOTHING;
}

/** Brings the program that is sent to to the front, unless it is there or was asked to come in this step. */
function focusFirst(context: StepContext, to: Destination): void {
  const { program } = to;
  if (program === null || context.focused === program) return;
  if (context.focused === null && programAt(context.state, to.computer) === program) return;
  context.focused = program;
  send(context, to, { kind: 'focus', launch: false });
}

/** High when it goes down; low is sent when it is let go. */
function sendMessage(context: StepContext, to: Destination, { message }: EffectOf<'message'>): Hold {
  send(context, to, { kind: 'message', message, value: messageValue(message, 1) });
  return { kind: 'message', to, message };
}

/** Changes something of the engine's own. */
function change(
  context: StepContext,
  effect: OwnChange,
  using: Using,
  to: Destination,
  focus: boolean,
): readonly Hold[] {
  switch (effect.kind) {
    case 'layer':
      if (effect.mode === 'once') {
        onceLayer(context, effect.layer, using);
        return [];
      }
      layerOn(context, effect.layer);
      return [{ kind: 'layer', layer: effect.layer }];
    case 'page':
      if (effect.change === 'ask') askForSet(context, effect.device ?? using.device, using);
      else changePage(context, { ...effect, change: effect.change }, using.device);
      return [];
    case 'profile':
      context.deferred.push({ kind: 'pin', profile: pinned(context, effect, using) });
      return [];
    case 'speed':
      return changeSpeed(context, effect, effect.device ?? using.device);
    case 'wheel-mode':
      return changeWheelMode(context, effect, effect.device ?? using.device);
    case 'computer':
      changeComputer(context, effect, using);
      return [];
    case 'program':
      send(context, { ...to, program: effect.program }, { kind: 'focus', launch: effect.launch });
      return [];
    case 'radial':
      openMenu(context, effect.menu, using, { program: to.program, focus });
      return [];
    case 'show':
      context.changes.push({ kind: 'show', device: effect.device, shows: true });
      return [{ kind: 'show', device: effect.device }];
    case 'macro':
      return callAndHold(context, effect.macro, using, to);
  }
}

/** A macro that runs while held is let go with the control that began this run; the others end by themselves. */
function callAndHold(context: StepContext, macro: string, using: Using, to: Destination): readonly Hold[] {
  const serial = callMacro(context, macro, using, to);
  const holds = serial !== null && context.compiled.macros.get(macro)?.run === 'held';
  return holds ? [{ kind: 'macro', macro, serial }] : [];
}

/** The profile a press pins: the one named, or the next or previous of those to go round. */
function pinned(
  { compiled, state }: StepContext,
  { change: how, profiles: named }: EffectOf<'profile'>,
  { device }: Using,
): string | null {
  if (how === 'automatic') return null;
  if (how === 'pin') return named[0] ?? null;
  const all = named.length > 0 ? named : [EVERYWHERE, ...compiled.rules.order];
  const at = all.indexOf(profileFor(compiled, state, device));
  const next = at < 0 ? 0 : (at + (how === 'next' ? 1 : -1) + all.length) % all.length;
  return all[next] ?? null;
}

/** A device that turns to another computer is gone from this one: what it holds here is let go. */
function changeComputer(context: StepContext, effect: EffectOf<'computer'>, using: Using): void {
  const device = effect.device ?? using.device;
  const count = context.compiled.settings.get(device)?.computers.length ?? 0;
  const at = context.state.computers[device] ?? 0;
  if (count === 0) return;
  const next = (effect.change === 'next' ? at + 1 : effect.computer) % count;
  if (next === at) return;
  tellingPages(context, [device], () => {
    setDeviceMode(context, 'computer', device, next);
    closeElsewhere(context);
  });
  context.deferred.push({ kind: 'let-go', device });
}

/** Lets go what was kept down, newest first. */
export function end(context: StepContext, holds: readonly Hold[]): void {
  for (let i = holds.length - 1; i >= 0; i--) {
    const hold = holds[i];
    if (hold?.kind === 'macro') stopRun(context, hold);
    else if (hold) endHold(context, hold);
  }
}

/** Starts and ends at once. */
export function tap(context: StepContext, sending: Sending, using: Using): void {
  end(context, begin(context, sending, using));
}
