import {
  type Action,
  type Command,
  commandOf,
  type Family,
  type Profile,
  type Setup,
} from '../setup/index.ts';
import { deviceName, layerName, macroName, profileName, programName, radialMenuName } from './names.ts';

/** Families as headings. */
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
  /** In our notation; null for what sends no keys. */
  readonly shortcut: string | null;
  /** The command of the program that has it, if any. */
  readonly command: Command | null;
}

/** What ticks of a wheel are called, by axis; intents, so that the same is known across programs. */
const WHEELS = {
  vertical: [
    { name: 'Scroll up', intent: 'scroll-up' },
    { name: 'Scroll down', intent: 'scroll-down' },
  ],
  horizontal: [
    { name: 'Scroll right', intent: 'scroll-right' },
    { name: 'Scroll left', intent: 'scroll-left' },
  ],
} as const;

/** Describes an action of a profile. A bare shortcut is named after the command that has it, if there is one. */
export function describeAction(setup: Setup, profile: Profile, action: Action): ActionInfo {
  if (action.kind === 'shortcut' || action.kind === 'command') return describeKeys(setup, profile, action);
  const other = { family: 'system', intent: null, shortcut: null, command: null } as const;
  if (action.kind === 'sequence')
    return { ...other, name: 'Send keys', shortcut: action.shortcuts.join(', ') };
  if (action.kind === 'wheel') {
    return { ...other, ...WHEELS[action.axis][action.ticks > 0 ? 0 : 1], family: 'move' };
  }
  return { ...other, name: actionName(setup, action) };
}

/** A shortcut that a program has a command for is called by it. */
function describeKeys(
  setup: Setup,
  profile: Profile,
  action: Extract<Action, { kind: 'shortcut' | 'command' }>,
): ActionInfo {
  const command =
    action.kind === 'command'
      ? commandOf(setup, profile, action.command)
      : commandWithShortcut(setup, profile, action.shortcut);
  return {
    name: command?.name ?? (action.kind === 'shortcut' ? 'Send keys' : action.command),
    family: command?.family ?? 'system',
    intent: command?.intent ?? null,
    shortcut: command?.shortcut ?? (action.kind === 'shortcut' ? action.shortcut : null),
    command,
  };
}

/** Actions whose names come from their kind; the others are called what the program calls them. */
type Named = Exclude<Action, { kind: 'shortcut' | 'command' | 'wheel' | 'sequence' }>;

/** What an action is called, short enough for a cell. */
function actionName(setup: Setup, action: Named): string {
  switch (action.kind) {
    case 'text':
      return `Type “${action.text.length > 24 ? `${action.text.slice(0, 23)}…` : action.text}”`;
    case 'button':
      return BUTTON_NAMES[action.button] ?? `Mouse button ${action.button + 1}`;
    case 'click':
      return `${['Click', 'Double click', 'Triple click'][action.count - 1]}${action.at ? ' at a place' : ''}`;
    case 'macro':
      return macroName(setup, action.macro);
    case 'layer':
      return `Layer ${layerName(setup, action.layer)}${action.mode === 'once' ? ', once' : ''}`;
    case 'page':
      return action.page === null ? 'Page back' : `Page ${layerName(setup, action.page)}`;
    case 'profile':
      return profileWords(setup, action);
    case 'speed':
      return SPEED_NAMES[action.change];
    case 'computer':
      return action.change === 'next' ? 'Next computer' : computerName(setup, action);
    case 'program':
      return `${action.launch ? 'Open' : 'Go to'} ${programName(setup, action.program)}`;
    case 'radial':
      return radialMenuName(setup, action.menu);
    case 'message':
      return action.message.protocol === 'osc'
        ? `OSC ${action.message.address}`
        : `MIDI controller ${action.message.controller}`;
  }
}

/** Names as people say them; "button 3" is what drivers say. */
const BUTTON_NAMES: readonly string[] = ['Left click', 'Middle click', 'Right click'];
const SPEED_NAMES = {
  next: 'Next pointer speed',
  previous: 'Previous pointer speed',
  set: 'Pointer speed',
  'while-held': 'Pointer speed while held',
} as const;

/** Which profile comes, or that it follows the front again. */
function profileWords(setup: Setup, { change, profiles }: Extract<Action, { kind: 'profile' }>): string {
  if (change === 'pin') return `Stay with ${profileName(setup, profiles[0] ?? '')}`;
  if (change === 'automatic') return 'Follow the program in front';
  return change === 'next' ? 'Next profile' : 'Previous profile';
}

/** A computer by its name in the device's list, or else its number. */
function computerName(setup: Setup, { device, computer }: Extract<Action, { kind: 'computer' }>): string {
  const found = setup.devices.find(({ id }) => id === device)?.settings.computers[computer];
  return `${device ? `${deviceName(setup, device)} to ` : 'To '}${found ?? `computer ${computer + 1}`}`;
}

/** The command of a profile's program (or a common one) that has this shortcut, in canonical notation. */
export function commandWithShortcut(setup: Setup, profile: Profile, shortcut: string): Command | null {
  const own = setup.programs.find(({ id }) => id === profile.program)?.commands ?? [];
  return [...own, ...setup.commonCommands].find((command) => command.shortcut === shortcut) ?? null;
}
