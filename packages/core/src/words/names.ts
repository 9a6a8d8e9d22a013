import { type Control, type Device, isPressed, mainTriggersOf, type Trigger } from '../devices/index.ts';
import { BASE_LAYER, EVERYWHERE, type Setup, type Slot } from '../setup/index.ts';

/** The name of a profile: its program's, or Everywhere. */
export function profileName(setup: Setup, profileId: string): string {
  if (profileId === EVERYWHERE) return 'Everywhere';
  const profile = setup.profiles[profileId];
  if (profile?.name) return profile.name;
  return programName(setup, profile?.program ?? profileId);
}

/** The name of a program, device, layer, macro or radial menu, or its id when it is no longer there. */
export function programName(setup: Setup, id: string): string {
  return nameIn(setup.programs, id);
}
/** A device’s name, or its id where it is gone. */
export function deviceName(setup: Setup, id: string): string {
  return nameIn(setup.devices, id);
}
/** A layer’s name, or its id where it is gone. */
export function layerName(setup: Setup, id: string): string {
  return nameIn(setup.layers, id);
}
/** A page’s name, or its id where it is gone. */
export function pageName(setup: Setup, id: string): string {
  return nameIn(setup.pages, id);
}
/** A macro’s name, or its id where it is gone. */
export function macroName(setup: Setup, id: string): string {
  return nameIn(setup.macros, id);
}
/** A radial menu’s name, or its id where it is gone. */
export function radialMenuName(setup: Setup, id: string): string {
  return nameIn(setup.radialMenus, id);
}

/** The name of a command, common or a program's; null where there is none. */
export function commandName(setup: Setup, id: string): string | null {
  const lists = [setup.commonCommands, ...setup.programs.map(({ commands }) => commands)];
  return lists.flat().find((command) => command.id === id)?.name ?? null;
}

/** A name by its id; the id itself where the thing is gone, so that something is said. */
function nameIn(list: readonly { readonly id: string; readonly name: string }[], id: string): string {
  // Names are for people, ids for files; what is removed meanwhile has only its id left.
  return list.find((item) => item.id === id)?.name ?? id;
}

/** Triggers as they stand after a control's name. */
const TRIGGER_WORDS: Readonly<Record<Trigger, string>> = {
  press: 'press',
  'touch-press': 'press while touching',
  hold: 'hold',
  'double-press': 'double press',
  'nudge-up': 'nudge up',
  'nudge-right': 'nudge right',
  'nudge-down': 'nudge down',
  'nudge-left': 'nudge left',
  clockwise: 'clockwise',
  anticlockwise: 'anticlockwise',
  'pressed-clockwise': 'clockwise while pressed',
  'pressed-anticlockwise': 'anticlockwise while pressed',
  'shuttle-clockwise': 'clockwise',
  'shuttle-anticlockwise': 'anticlockwise',
  slide: 'value',
  'slide-up': 'a step up',
  'slide-down': 'a step down',
  'slide-across': 'left and right',
  'slide-right': 'a step right',
  'slide-left': 'a step left',
  phrase: 'said',
};
/** A wheel turns up and down, where a dial turns clockwise. */
const WHEEL_WORDS: Readonly<Partial<Record<Trigger, string>>> = {
  clockwise: 'up',
  anticlockwise: 'down',
  'pressed-clockwise': 'up while pressed',
  'pressed-anticlockwise': 'down while pressed',
};

/** The name of a trigger of a control by itself: `Press`, `Hold`, `Double press`… */
export function triggerWord(trigger: Trigger, control: Pick<Control, 'across'>): string {
  return capital(wordOf(trigger, control));
}

/** What slides two ways has no value that is its only one. */
function wordOf(trigger: Trigger, { across }: Pick<Control, 'across'>): string {
  return across && trigger === 'slide' ? 'up and down' : TRIGGER_WORDS[trigger];
}

/** What the Board calls a control's trigger: `Thumb, front`, `Wheel up`, `Turn clockwise`, `Upper knob, press`. */
export function triggerName(control: Control, trigger: Trigger): string {
  const word = wordOf(trigger, control);
  if (control.kind === 'wheel') return `${control.name} ${WHEEL_WORDS[trigger] ?? word}`;
  if (control.kind === 'dial') return isPressed(trigger) ? capital(word) : `Turn ${word}`;
  if (control.kind === 'phrase') return `“${control.name}”`;
  if (trigger === 'press' && mainTriggersOf(control).length === 1) return control.name;
  return `${control.name}, ${word}`;
}

/** A word with a capital at its beginning. */
export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/** The same by ids; falls back to the control's id. */
export function triggerNameIn(setup: Setup, deviceId: string, controlId: string, trigger: Trigger): string {
  const device: Device | undefined = setup.devices.find(({ id }) => id === deviceId);
  const control = device?.controls.find(({ id }) => id === controlId);
  return control ? triggerName(control, trigger) : controlId;
}

/** An intent as people read it: `zoom-in` is "Zoom in". */
export function intentName(intent: string): string {
  const words = intent.replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** A way of using a control with where it is set: `Bench dial, press`, `Six pad, key 1, folder Shot`. */
export function controlUseWords(
  setup: Setup,
  { device, control, trigger, layer }: Omit<Slot, 'profile'>,
): string {
  const use = triggerNameIn(setup, device, control, trigger).toLowerCase();
  const place = `${deviceName(setup, device)}, ${use}`;
  if (layer === BASE_LAYER) return place;
  const page = setup.pages.find(({ id }) => id === layer);
  return page ? `${place}, ${page.kind} ${page.name}` : `${place}, layer ${layerName(setup, layer)}`;
}
