import { type Control, type Device, isPressed, mainTriggersOf, type Trigger } from '../devices/index.ts';
import {
  type Action,
  type Command,
  commandOf,
  EVERYWHERE,
  type Family,
  type Profile,
  type Setup,
} from '../setup/index.ts';

/** The name of a profile: its program's, or Everywhere. */
export function profileName(setup: Setup, profileId: string): string {
  if (profileId === EVERYWHERE) return 'Everywhere';
  const profile = setup.profiles[profileId];
  if (profile?.name) return profile.name;
  const program = profile?.program;
  return setup.programs.find(({ id }) => id === program)?.name ?? profileId;
}

/** The name of a device, or its id when it is no longer in the rig. */
export function deviceName(setup: Setup, deviceId: string): string {
  return setup.devices.find(({ id }) => id === deviceId)?.name ?? deviceId;
}

const TRIGGER_WORDS: Readonly<Record<Trigger, string>> = {
  press: 'press',
  hold: 'hold',
  'double-press': 'double press',
  clockwise: 'clockwise',
  anticlockwise: 'anticlockwise',
  'pressed-clockwise': 'clockwise while pressed',
  'pressed-anticlockwise': 'anticlockwise while pressed',
};
const WHEEL_WORDS: Readonly<Record<Trigger, string>> = {
  ...TRIGGER_WORDS,
  clockwise: 'up',
  anticlockwise: 'down',
  'pressed-clockwise': 'up while pressed',
  'pressed-anticlockwise': 'down while pressed',
};

/** The name of a trigger by itself: `Press`, `Hold`, `Double press`… */
export function triggerWord(trigger: Trigger): string {
  return capital(TRIGGER_WORDS[trigger]);
}

/** What the Board calls a control's trigger: `Thumb, front`, `Wheel up`, `Turn clockwise`, `Upper knob, press`. */
export function triggerName(control: Control, trigger: Trigger): string {
  const word = TRIGGER_WORDS[trigger];
  if (control.kind === 'wheel') return `${control.name} ${WHEEL_WORDS[trigger]}`;
  if (control.kind === 'dial') return isPressed(trigger) ? capital(word) : `Turn ${word}`;
  if (trigger === 'press' && mainTriggersOf(control).length === 1) return control.name;
  return `${control.name}, ${word}`;
}

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/** The same by ids; falls back to the control's id. */
export function triggerNameIn(setup: Setup, deviceId: string, controlId: string, trigger: Trigger): string {
  const device: Device | undefined = setup.devices.find(({ id }) => id === deviceId);
  const control = device?.controls.find(({ id }) => id === controlId);
  return control ? triggerName(control, trigger) : controlId;
}

export const FAMILY_NAMES: Readonly<Record<Family, string>> = {
  move: 'Move',
  view: 'View',
  edit: 'Edit',
  tool: 'Tool',
  time: 'Time',
  system: 'System',
};

/** An action as people read it: what to call it, its family, its intent and the shortcut it sends. */
export interface ActionInfo {
  readonly name: string;
  readonly family: Family;
  readonly intent: string | null;
  readonly shortcut: string | null;
  readonly command: Command | null;
}

/** Describes an action of a profile. A bare shortcut is named after the command that has it, if there is one. */
export function describeAction(setup: Setup, profile: Profile, action: Action): ActionInfo {
  if (action.kind === 'wheel') {
    const name = action.ticks > 0 ? 'Scroll up' : 'Scroll down';
    const intent = action.ticks > 0 ? 'scroll-up' : 'scroll-down';
    return { name, family: 'move', intent, shortcut: null, command: null };
  }
  const command =
    action.kind === 'command'
      ? commandOf(setup, profile, action.command)
      : commandWithShortcut(setup, profile, action.shortcut);
  const shortcut = command?.shortcut ?? (action.kind === 'shortcut' ? action.shortcut : null);
  return {
    name: command?.name ?? (action.kind === 'shortcut' ? 'Send keys' : action.command),
    family: command?.family ?? 'system',
    intent: command?.intent ?? null,
    shortcut,
    command,
  };
}

/** The command of a profile's program (or a common one) that has this shortcut, in canonical notation. */
export function commandWithShortcut(setup: Setup, profile: Profile, shortcut: string): Command | null {
  const own = setup.programs.find(({ id }) => id === profile.program)?.commands ?? [];
  return [...own, ...setup.commonCommands].find((command) => command.shortcut === shortcut) ?? null;
}
