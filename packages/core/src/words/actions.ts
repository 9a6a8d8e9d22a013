import type { NativeOutput, WheelMode } from '../devices/index.ts';
import {
  type Action,
  type Command,
  commandOf,
  commandOfIntent,
  type Family,
  type PageChange,
  type Profile,
  type Setup,
} from '../setup/index.ts';
import {
  deviceName,
  intentName,
  layerName,
  macroName,
  pageName,
  profileName,
  programName,
  radialMenuName,
} from './names.ts';

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
  if (action.kind === 'sequence') return describeSequence(setup, profile, action.shortcuts);
  if (action.kind === 'intent') return describeIntent(setup, profile, action.intent);
  if (action.kind === 'wheel') {
    const wheel = WHEELS[action.axis][action.ticks > 0 ? 0 : 1];
    if (action.keys === undefined) return { ...other, ...wheel, family: 'move' };
    return { ...other, name: `${action.keys}+${wheel.name.toLowerCase()}`, family: 'move' };
  }
  return { ...other, name: actionName(setup, action) };
}

/**
 * What an action of `owner` is in the column of another profile, which inherits it: the keys that are sent are called
 * what the column's own program calls them. Where that program has the same intent or name under other keys, they are
 * only keys: it would not do that for them.
 */
export function describeActionIn(setup: Setup, column: Profile, owner: Profile, action: Action): ActionInfo {
  if (action.kind === 'intent') return describeIntent(setup, column, action.intent);
  const info = describeAction(setup, owner, action);
  if (column.program === null || column.program === owner.program || info.shortcut === null) return info;
  if (action.kind === 'sequence') return describeSequence(setup, column, action.shortcuts);
  return describeKeys(setup, column, { kind: 'shortcut', shortcut: info.shortcut });
}

/** An intent is what the program of a column has for it; in Everywhere it is only that. */
function describeIntent(setup: Setup, profile: Profile, intent: string): ActionInfo {
  const program = setup.programs.find(({ id }) => id === profile.program);
  const command = commandOfIntent(program, intent);
  const name = intentName(intent);
  if (command) {
    const { family, shortcut } = command;
    return { name: command.name, family, intent, shortcut, command };
  }
  const called = program ? `No “${name}” here` : name;
  return { name: called, family: 'system', intent: program ? null : intent, shortcut: null, command: null };
}

/** Shortcuts one after the other: by their commands, where each has one; the same in a row is counted. */
function describeSequence(setup: Setup, profile: Profile, shortcuts: readonly string[]): ActionInfo {
  const steps = shortcuts.map((shortcut) => commandWithShortcut(setup, profile, shortcut));
  const counted: { readonly name: string; readonly count: number }[] = [];
  for (const step of steps) {
    const last = counted.at(-1);
    if (!step) return { ...KEYS, shortcut: shortcuts.join(', ') };
    if (last?.name === step.name) counted[counted.length - 1] = { ...last, count: last.count + 1 };
    else counted.push({ name: step.name, count: 1 });
  }
  const name = counted.map(({ name: each, count }) => (count > 1 ? `${each} ×${count}` : each)).join(', ');
  return { ...KEYS, name, family: steps[0]?.family ?? 'system', shortcut: shortcuts.join(', ') };
}

/** Keys that no command has. */
const KEYS = { name: 'Send keys', family: 'system', intent: null, shortcut: null, command: null } as const;

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
type Named = Exclude<Action, { kind: 'shortcut' | 'command' | 'intent' | 'wheel' | 'sequence' }>;

/** Drags by the button that is held. */
const DRAGS: readonly string[] = ['Drag', 'Middle drag', 'Right drag', 'Back drag', 'Forward drag'];

/** What is done with the pointer, with the keys that are held for it. */
function withKeys(keys: string | null | undefined, name: string): string {
  return keys ? `${keys}+${name.toLowerCase()}` : name;
}

function clickName({ button, count, at, keys }: Extract<Action, { kind: 'click' }>): string {
  const side = ['', 'Middle ', 'Right ', 'Back ', 'Forward '][button] ?? '';
  const name = `${side}${['click', 'double click', 'triple click'][count - 1]}${at ? ' at a place' : ''}`;
  return withKeys(keys, name.charAt(0).toUpperCase() + name.slice(1));
}

/** What an action is called, short enough for a cell. */
function actionName(setup: Setup, action: Named): string {
  switch (action.kind) {
    case 'text':
      return `Type “${action.text.length > 24 ? `${action.text.slice(0, 23)}…` : action.text}”`;
    case 'button':
      return buttonName(action.button);
    case 'click':
      return clickName(action);
    case 'drag':
      return withKeys(action.keys, DRAGS[action.button] ?? 'Drag');
    case 'macro':
      return macroName(setup, action.macro);
    case 'layer':
      return `Layer ${layerName(setup, action.layer)}${action.mode === 'once' ? ', once' : ''}`;
    case 'page':
      return pageActionName(setup, action);
    case 'profile':
      return profileWords(setup, action);
    case 'speed':
      return SPEED_NAMES[action.change];
    case 'wheel-mode':
      return wheelModeAction(action);
    case 'computer':
      return action.change === 'next' ? 'Next computer' : computerName(setup, action);
    case 'program':
      return `${action.launch ? 'Open' : 'Go to'} ${programName(setup, action.program)}`;
    case 'radial':
      return radialMenuName(setup, action.menu);
    case 'show':
      return action.device === null ? 'Show everything' : `Show ${deviceName(setup, action.device)}`;
    case 'message':
      return action.message.protocol === 'osc'
        ? `OSC ${action.message.address}`
        : `MIDI controller ${action.message.controller}`;
  }
}

/** What is done with pages; a device is named where it may be another than the control's own. */
function pageActionName(setup: Setup, { change, page, device }: Extract<Action, { kind: 'page' }>): string {
  if (page !== null) return `${change === 'open' ? 'Open' : 'Set'} ${pageName(setup, page)}`;
  const name = PAGE_NAMES[change];
  return device === null ? name : `${name}, ${deviceName(setup, device)}`;
}

/** By what is done, where no page is named. */
const PAGE_NAMES: Readonly<Record<PageChange, string>> = {
  open: 'Open a folder',
  back: 'Back a page',
  home: 'Close all folders',
  'next-set': 'Next set',
  'previous-set': 'Previous set',
  choose: 'Home set',
  ask: 'Choose a set',
};

/** A mouse button as people say it, by its number; "button 3" is what drivers say. */
export function buttonName(button: number): string {
  return BUTTON_NAMES[button] ?? `Mouse button ${button + 1}`;
}

const BUTTON_NAMES: readonly string[] = [
  'Left click',
  'Middle click',
  'Right click',
  'Back',
  'Forward',
  'Eraser',
];

/** What a control does by itself, without us. */
export function nativeName(output: NativeOutput): string {
  return output.kind === 'button'
    ? buttonName(output.button)
    : WHEELS[output.axis][output.ticks > 0 ? 0 : 1].name;
}

/** What the wheel becomes, by what the action does to it. */
const WHEEL_MODE_NAMES: Readonly<Record<WheelMode, string>> = {
  ratchet: 'Wheel in its ratchet',
  free: 'Wheel free',
};

/** How the wheel turns from now on, or while held. */
function wheelModeAction({ change, mode }: Extract<Action, { kind: 'wheel-mode' }>): string {
  if (change === 'toggle') return 'Wheel: ratchet or free';
  return change === 'set' ? WHEEL_MODE_NAMES[mode] : `${WHEEL_MODE_NAMES[mode]} while held`;
}

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

/**
 * The command of a profile's program that has this shortcut, in canonical notation; else a common one, unless the
 * program has the same under other keys.
 */
export function commandWithShortcut(setup: Setup, profile: Profile, shortcut: string): Command | null {
  const own = setup.programs.find(({ id }) => id === profile.program)?.commands ?? [];
  const found = own.find((command) => command.shortcut === shortcut);
  if (found) return found;
  const common = setup.commonCommands.find((command) => command.shortcut === shortcut);
  return common && !hasOtherwise(own, common) ? common : null;
}

/** The common commands that hold in a profile's program: those it does not have under other keys itself. */
export function commonCommandsIn(setup: Setup, profile: Profile): readonly Command[] {
  const own = setup.programs.find(({ id }) => id === profile.program)?.commands ?? [];
  return setup.commonCommands.filter((command) => !hasOtherwise(own, command));
}

/** Whether a program does the same as a common command, by other keys. */
function hasOtherwise(own: readonly Command[], common: Command): boolean {
  return own.some(
    ({ name, intent, shortcut }) =>
      shortcut !== common.shortcut && (name === common.name || (intent !== null && intent === common.intent)),
  );
}
