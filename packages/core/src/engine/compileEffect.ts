import type { NativeOutput } from '../devices/index.ts';
import {
  type Action,
  type Behaviour,
  type Command,
  commandOf,
  type Profile,
  type Setup,
  USUAL_REPEAT,
} from '../setup/index.ts';
import type { Effect, Sending, Typed } from './effect.ts';

/** What an effect has that is not sent to a program: it follows the control, for whoever is in front. */
const PLAIN = { style: 'follow', repeat: USUAL_REPEAT, guard: null, programs: [null], focus: false } as const;

/** An effect that follows its control, for the program in front. */
export function plainly(effect: Effect): Sending {
  return { ...PLAIN, effect };
}

/** What a behaviour sends; null for nothing. `native` is what the control does by itself, if anything. */
export function sendingOf(
  setup: Setup,
  profile: Profile,
  behaviour: Behaviour,
  native: NativeOutput | null,
): Sending | null {
  if (behaviour.kind === 'native') return native && plainly(native);
  if (behaviour.kind === 'off') {
    const { heardBy, sends } = behaviour;
    const effect = sends ? effectOf(setup, profile, sends) : native;
    return effect && heardBy.length > 0 ? { ...PLAIN, effect, programs: heardBy } : null;
  }
  const effect = effectOf(setup, profile, behaviour.action);
  if (!effect) return null;
  const { style, repeat, guard, target } = behaviour;
  return {
    effect,
    style,
    repeat: repeat ?? USUAL_REPEAT,
    guard,
    programs: [target?.program ?? null],
    focus: target?.focus ?? false,
  };
}

/** What an action sends or changes; null where its command is not there (the set-up is not sound then). */
export function effectOf(setup: Setup, profile: Profile, action: Action): Effect | null {
  switch (action.kind) {
    case 'shortcut':
      return { kind: 'keys', typed: typedAs(action.shortcut) };
    case 'command': {
      const command = commandOf(setup, profile, action.command);
      return command && { kind: 'keys', typed: typedBy(command) };
    }
    case 'sequence':
      return { kind: 'sequence', typed: action.shortcuts.map(typedAs) };
    case 'intent':
    case 'drag':
    case 'text':
    case 'button':
    case 'click':
    case 'wheel':
    case 'message':
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
      return action;
  }
}

/** A shortcut of no command: what reads it goes by what its program goes by. */
export function typedAs(shortcut: string): Typed {
  return { shortcut, keysBy: null, onLayout: {} };
}

/** A command's shortcut, without what else is known of it: what is compiled is the same when only that changes. */
export function typedBy({ shortcut, keysBy, onLayout }: Command): Typed {
  return { shortcut, keysBy, onLayout };
}
