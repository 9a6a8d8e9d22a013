import { type Control, isMoved, type Trigger } from '../../devices/index.ts';
import type { FrontWindow } from '../../resolve/index.ts';
import {
  type Action,
  type Behaviour,
  type Binding,
  commandOf,
  EVERYWHERE,
  type Guard,
  type PressStyle,
  type Rule,
  type Setup,
  type WindowAsked,
} from '../../setup/index.ts';
import { withSettings } from './slowTuning.ts';
import type { Keyed } from './slowTyping.ts';

/** Where a binding was found. */
export interface Found {
  readonly binding: Binding;
  readonly profile: string;
  readonly layer: string;
}

/** An action with what the command behind it says of its keys. */
export type SlowAction = Exclude<Action, { kind: 'shortcut' }> | Keyed;

/** What is sent, how and where to. */
export interface Sends {
  readonly action: SlowAction;
  readonly style: PressStyle;
  readonly repeat: { readonly delayMs: number; readonly everyMs: number };
  readonly guard: Guard | null;
  readonly programs: readonly (string | null)[];
  readonly focus: boolean;
}

/** A use of a control and what it does, looked up once. */
export interface Choice {
  readonly device: string;
  readonly control: string;
  readonly trigger: Trigger;
  readonly layers: readonly string[];
  readonly found: Found | null;
  /** A folder lets nothing through to where something might be found. */
  readonly covered: boolean;
  readonly sends: Sends | null;
}

/** The profile of a window: every rule of every profile is tried, as ENGINE says, and the best taken. */
export function profileFor(setup: Setup, window: FrontWindow | null, pinned: string | null): string {
  if (pinned !== null && setup.profiles[pinned]) return pinned;
  if (!window) return EVERYWHERE;
  const fitting = setup.programs.flatMap((program, order) => {
    const own = Object.values(setup.profiles).filter((profile) => profile.program === program.id);
    return own.flatMap((profile) => {
      const rules = profile.rules.length > 0 ? profile.rules : program.rules;
      if (rules.some((rule) => rule.negative && ruleFits(rule, window))) return [];
      const good = rules.filter((rule) => !rule.negative && ruleFits(rule, window));
      const main = profile.rules.length === 0 ? 0 : 1;
      return good.map((rule) => ({ id: profile.id, rank: [...rankOf(rule), order, main] }));
    });
  });
  const less = (a: readonly number[], b: readonly number[]) => {
    const i = a.findIndex((value, at) => value !== b[at]);
    return i < 0 ? 0 : (a[i] ?? 0) - (b[i] ?? 0);
  };
  return fitting.toSorted((a, b) => less(a.rank, b.rank) || (a.id < b.id ? -1 : 1))[0]?.id ?? EVERYWHERE;
}

/** Whether a window is as asked. */
export function ruleFits(rule: WindowAsked, window: FrontWindow): boolean {
  return (['executable', 'class', 'title'] as const).every((field) => {
    const pattern = rule[field];
    if (!pattern) return true;
    if (pattern.match === 'exact') return window[field] === pattern.text;
    const source =
      pattern.match === 'regex'
        ? pattern.text
        : `^${pattern.text
            .replace(/[.+^${}()|[\]\\]/g, '\\$&')
            .replace(/\*/g, '.*')
            .replace(/\?/g, '.')}$`;
    return new RegExp(source, 'su').test(window[field]);
  });
}

/** Exactness of the best field, how few fields, exactness of the others: less is more specific. */
function rankOf(rule: Rule): number[] {
  const exactness = { exact: 0, glob: 1, regex: 2 };
  const given = [rule.executable, rule.class, rule.title].flatMap((pattern) =>
    pattern ? [exactness[pattern.match]] : [],
  );
  const sorted = given.toSorted();
  return [sorted[0] ?? 3, 3 - sorted.length, sorted[1] ?? 3, sorted[2] ?? 3];
}

/** The control itself. */
export function controlIn(setup: Setup, device: string, control: string): Control | null {
  const owner = setup.devices.find(({ id }) => id === device);
  const found = owner?.controls.find(({ id }) => id === control);
  return owner && found ? withSettings(owner, found) : null;
}

/** Looks a use up: layer by layer from the top down, in each the profile, what it is based on, Everywhere. */
export function look(
  setup: Setup,
  profile: string,
  layers: readonly string[],
  device: string,
  control: string,
  trigger: Trigger,
): Choice {
  const open = uncovered(setup, layers, device, control, trigger);
  const found = find(setup, profile, open, `${device}/${control}/${trigger}`);
  const covered = !found && open.length < layers.length;
  const native = covered ? null : controlIn(setup, device, control)?.native[trigger];
  const behaviour = found?.binding.behaviour ?? { kind: 'native' };
  const by = { device, control, trigger, layers, found, covered };
  return { ...by, sends: sendsOf(setup, found?.profile ?? EVERYWHERE, behaviour, native ?? null) };
}

/** Those of some layers and pages that are not under a folder which lets only turns and slides through. */
function uncovered(
  { pages, devices }: Setup,
  layers: readonly string[],
  device: string,
  control: string,
  trigger: Trigger,
): readonly string[] {
  const owner = devices.find(({ id }) => id === device);
  // A cell that is on every page is not covered by any.
  if (owner?.controls.some(({ id, cell }) => id === control && cell?.everyPage && cell.page === null))
    return layers;
  const at = layers.findIndex((layer) =>
    pages.some(({ id, kind, showsThrough }) => id === layer && kind === 'folder' && !showsThrough),
  );
  return at < 0 || isMoved(trigger) ? layers : layers.slice(0, at + 1);
}

function find(setup: Setup, profile: string, layers: readonly string[], use: string): Found | null {
  for (const layer of layers) {
    for (let id: string | null = profile; id !== null; ) {
      const binding = setup.profiles[id]?.bindings[`${layer}/${use}`];
      if (binding) return { binding, profile: id, layer };
      id = id === EVERYWHERE ? null : (setup.profiles[id]?.basedOn ?? EVERYWHERE);
    }
  }
  return null;
}

function sendsOf(setup: Setup, profile: string, behaviour: Behaviour, native: Action | null): Sends | null {
  const usual = { delayMs: 400, everyMs: 50 };
  const plain = { style: 'follow', repeat: usual, guard: null, focus: false } as const;
  if (behaviour.kind === 'native') return native && { ...plain, action: native, programs: [null] };
  if (behaviour.kind === 'off') {
    const action = behaviour.sends ? inKeys(setup, profile, behaviour.sends) : native;
    return action && behaviour.heardBy.length > 0 ? { ...plain, action, programs: behaviour.heardBy } : null;
  }
  const { style, repeat, guard, target } = behaviour;
  return {
    action: inKeys(setup, profile, behaviour.action),
    style,
    repeat: repeat ?? usual,
    guard,
    programs: [target?.program ?? null],
    focus: target?.focus ?? false,
  };
}

/** A command as the shortcut it has. */
export function inKeys(setup: Setup, profileId: string, action: Action): SlowAction {
  const profile = setup.profiles[profileId];
  if (action.kind !== 'command' || !profile) return action;
  const { shortcut = '', keysBy = null, onLayout = {} } = commandOf(setup, profile, action.command) ?? {};
  return { kind: 'shortcut', shortcut, keysBy, onLayout };
}

/** Whether a use would be decided by the same binding now. */
export function stillDecides(setup: Setup, profile: string, choice: Choice): boolean {
  const { device, control, trigger, layers, found, covered } = choice;
  const open = uncovered(setup, layers, device, control, trigger);
  const now = find(setup, profile, open, `${device}/${control}/${trigger}`);
  if (!now && !found) return covered === open.length < layers.length;
  const told = (each: Found | null) =>
    each && JSON.stringify([each.profile, each.layer, each.binding.behaviour]);
  return told(now) === told(found);
}
