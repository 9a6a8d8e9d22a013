import {
  type Binding,
  changesOf,
  EVERYWHERE,
  type Setup,
  type SingleEdit,
  sameJson,
} from '../setup/index.ts';
import {
  capital,
  controlUseWords,
  describeAction,
  deviceName,
  editWords,
  profileName,
  programName,
  stepName,
} from '../words/index.ts';
import type { Difference } from './differences.ts';
import type { UnitKind, Units } from './units.ts';

/** A difference as people read it. */
export interface DifferenceWords {
  /** The heading it stands under. */
  readonly section: string;
  readonly name: string;
  /** What is otherwise, a line each; none where all of it came or went. */
  readonly lines: readonly string[];
}

/** Two set-ups that are compared, whole and taken apart. */
export interface Compared {
  readonly from: Setup;
  readonly to: Setup;
  readonly fromUnits: Units;
  readonly toUnits: Units;
}

/** Where the lists of a set-up are told by name. */
const ORDERS: Readonly<Record<string, string>> = {
  devices: 'Order of the devices',
  programs: 'Order of the programs',
  commonCommands: 'Order of the common commands',
  layers: 'Order of the layers',
  pages: 'Order of the pages',
  macros: 'Order of the macros',
  radialMenus: 'Order of the radial menus',
  commands: 'Order of the commands',
};

/** A difference in words: under which heading, what it is called, and what is otherwise. */
export function differenceWords(compared: Compared, difference: Difference): DifferenceWords {
  const { from, to } = compared;
  const { kind, owner, id, change } = difference;
  // What is gone is called as it was called before.
  const named = change === 'removed' ? from : to;
  const own = (section: string, name: string): DifferenceWords => ({
    section,
    name,
    lines: linesOf(compared, difference),
  });
  const item = (compared.toUnits.get(difference.key) ?? compared.fromUnits.get(difference.key)) as {
    readonly name?: string | null;
  };
  switch (kind) {
    case 'setup':
      return own(SECTIONS.setup, 'Name and keyboards');
    case 'device':
      return own(SECTIONS.devices, item.name ?? id);
    case 'page':
      return own(SECTIONS.devices, `${deviceName(named, pageDevice(named, id))}, page ${item.name ?? id}`);
    case 'layer':
      return own(SECTIONS.setup, `Layer ${item.name ?? id}`);
    case 'order':
      return own(owner === '' ? SECTIONS.setup : programName(named, owner), ORDERS[id] ?? id);
    case 'common-command':
      return own(profileName(named, EVERYWHERE), `Command ${item.name ?? id}`);
    case 'program':
      return own(item.name ?? id, 'The program');
    case 'command':
      return own(programName(named, owner), `Command ${item.name ?? id}`);
    case 'profile':
      return own(profileName(named, id), 'The profile');
    case 'control': {
      const [device = '', control = ''] = id.split('/');
      return own(
        profileName(named, owner),
        `${deviceName(named, device)}, ${controlName(named, device, control)}`,
      );
    }
    case 'macro':
      return own(SECTIONS.macros, item.name ?? id);
    case 'radial-menu':
      return own(SECTIONS.menus, item.name ?? id);
  }
}

const SECTIONS = {
  setup: 'The set-up itself',
  devices: 'Devices',
  macros: 'Macros',
  menus: 'Radial menus',
} as const;

/** Where items of a kind stand in a set-up, for edits to be put into words. */
const ADDRESSES = {
  setup: () => '',
  device: ({ id }) => `devices/${id}`,
  program: ({ id }) => `programs/${id}`,
  command: ({ owner, id }) => `programs/${owner}/commands/${id}`,
  'common-command': ({ id }) => `commonCommands/${id}`,
  profile: ({ id }) => `profiles/${id}`,
  layer: ({ id }) => `layers/${id}`,
  page: ({ id }) => `pages/${id}`,
  macro: ({ id }) => `macros/${id}`,
  'radial-menu': ({ id }) => `radialMenus/${id}`,
  // These are put into words as a whole.
  control: () => null,
  order: () => null,
} as const satisfies Record<UnitKind, (difference: Difference) => string | null>;

/** What is otherwise, a line each. */
function linesOf({ from, to, fromUnits, toUnits }: Compared, difference: Difference): readonly string[] {
  const { kind, key, change } = difference;
  const [before, after] = [fromUnits.get(key), toUnits.get(key)];
  if (kind === 'control') return controlLines({ from, to }, difference, before, after);
  const at = ADDRESSES[kind](difference);
  if (change !== 'changed' || at === null) return [];
  const changes = changesOf(at, before as never, after as never);
  return [...new Set(changes.flatMap((edit) => editLines({ from, to }, at, before, edit)))];
}

/** Fields of the thing itself as `Name: Dial → Big dial`, what is inside it as an edit is told. */
function editLines(
  { from, to }: Pick<Compared, 'from' | 'to'>,
  at: string,
  before: unknown,
  edit: SingleEdit,
): readonly string[] {
  if (edit.kind !== 'set' || edit.at !== at) {
    // What goes is called as it was.
    const words = editWords(edit.kind === 'remove' ? from : to, edit, { step: stepName });
    return [capital(words)];
  }
  return Object.entries(edit.fields).map(([path, value]) => {
    const was = path
      .split('.')
      .reduce<unknown>((held, name) => (held as Readonly<Record<string, unknown>> | null)?.[name], before);
    return fieldWords(path, was, value);
  });
}

/** A field by name, with its values before and after where they are short: `Natural scroll: no → yes`. */
export function fieldWords(path: string, before: unknown, after: unknown): string {
  const [old, now] = [plainWords(before), plainWords(after)];
  return old === null || now === null ? fieldName(path) : `${fieldName(path)}: ${old} → ${now}`;
}

/** A value that is told as it is; null for one that has parts, or is long. */
function plainWords(value: unknown): string | null {
  if (value === null || value === undefined || value === '') return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  const text = typeof value === 'string' || typeof value === 'number' ? String(value) : null;
  return text !== null && text.length <= LONGEST ? text : null;
}

/** A text of more characters is not told in a line. */
const LONGEST = 40;

/** Settings whose names in files are too short to be read. */
const FIELDS: Readonly<Record<string, string>> = {
  holdMs: 'Time of a hold, ms',
  doubleMs: 'Time of a double press, ms',
  guardMs: 'Time of a longer press, ms',
  confirmMs: 'Time for a second press, ms',
  nudgeDistance: 'Distance of a nudge',
};

/** `settings.naturalScroll` as `Natural scroll`. */
export function fieldName(path: string): string {
  const last = path.split('.').at(-1) ?? path;
  if (Object.hasOwn(FIELDS, last)) return FIELDS[last] ?? last;
  return capital(last.replace(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase());
}

type Does = Readonly<Record<string, Binding>>;

/** Every way of using a control that does something else: what it did and does. */
function controlLines(
  { from, to }: Pick<Compared, 'from' | 'to'>,
  { owner, id }: Difference,
  before: unknown,
  after: unknown,
): readonly string[] {
  const [old, now] = [(before ?? {}) as Does, (after ?? {}) as Does];
  const [device = '', control = ''] = id.split('/');
  return [...new Set([...Object.keys(old), ...Object.keys(now)])].flatMap((at) => {
    const [was, is] = [old[at], now[at]];
    if (sameJson(was, is)) return [];
    const [layer = '', trigger = ''] = at.split('/');
    const use = controlUseWords(is ? to : from, { device, control, layer, trigger: trigger as never });
    const name = capital(use.slice(deviceName(is ? to : from, device).length + 2));
    if (was && is && sameJson(was.behaviour, is.behaviour)) {
      return sameJson(was.face, is.face) ? [`${name}: another note`] : [`${name}: another face`];
    }
    return [`${name}: ${doesWords(from, owner, was)} → ${doesWords(to, owner, is)}`];
  });
}

/** What a binding does, in a few words. */
export function doesWords(
  setup: Setup,
  profile: string,
  binding: Pick<Binding, 'behaviour'> | undefined,
): string {
  if (!binding) return 'nothing set';
  const { behaviour } = binding;
  const column = setup.profiles[profile];
  switch (behaviour.kind) {
    case 'native':
      return 'by itself';
    case 'off':
      return 'off';
    case 'action': {
      if (!column) return 'something';
      const { name, shortcut, intent, command } = describeAction(setup, column, behaviour.action);
      const style = behaviour.style === 'follow' || behaviour.style === 'tap' ? '' : `, ${behaviour.style}`;
      // Bare keys are called by themselves.
      const isBare = shortcut !== null && command === null && intent === null;
      return `${isBare ? shortcut : `${name}${shortcut ? ` (${shortcut})` : ''}`}${style}`;
    }
  }
}

function controlName(setup: Setup, device: string, control: string): string {
  const found = setup.devices.find(({ id }) => id === device)?.controls.find(({ id }) => id === control);
  return found?.name ?? control;
}

function pageDevice(setup: Setup, page: string): string {
  return setup.pages.find(({ id }) => id === page)?.device ?? page;
}
