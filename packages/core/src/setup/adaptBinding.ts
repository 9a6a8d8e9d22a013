import { foldName, isPressed, type Trigger } from '../devices/index.ts';
import type { Action } from './action.ts';
import type { Binding } from './binding.ts';
import { type Command, commandOf, type Profile, type Setup } from './setup.ts';

/**
 * A binding taken to another profile and trigger. A command that is not known in its program becomes that program's
 * command of the same intent, else the one of the same name, else the bare shortcut. A turn can only tap.
 *
 * @param source the set-up it comes from, where that is another one
 */
export function adaptBinding(
  setup: Setup,
  binding: Binding,
  from: Profile,
  to: Profile,
  trigger: Trigger,
  source = setup,
): Binding {
  const { behaviour } = binding;
  if (behaviour.kind !== 'action') return binding;
  const style = isPressed(trigger) ? behaviour.style : 'tap';
  return {
    ...binding,
    behaviour: { ...behaviour, action: adaptAction(setup, behaviour.action, from, to, source), style },
  };
}

/** A command becomes the other program’s command of the same intent or name; without one, the keys it was. */
export function adaptAction(
  setup: Setup,
  action: Action,
  from: Profile,
  to: Profile,
  source = setup,
): Action {
  if (action.kind !== 'command') return action;
  // In one program a command means what it meant, also a common one that the program has its own of.
  if (source === setup && from.program === to.program) return action;
  const own = setup.programs.find(({ id }) => id === to.program)?.commands ?? [];
  if (source === setup && own.some(({ id }) => id === action.command)) return action;
  const command = commandOf(source, from, action.command);
  if (!command) return action;
  const hasIntent = ({ intent }: Command) => intent !== null && intent === command.intent;
  // The program's own before a common one: it may do the same by other keys.
  const called = foldName(command.name);
  const isCalled = ({ name }: Command) => foldName(name) === called;
  const isCommon = (each: Command) => (source === setup && each.id === command.id) || hasIntent(each);
  const same = own.find(hasIntent) ?? own.find(isCalled) ?? setup.commonCommands.find(isCommon);
  return same ? { kind: 'command', command: same.id } : { kind: 'shortcut', shortcut: command.shortcut };
}
