import { foldName, isPressed, type Trigger, triggersOf } from '../devices/index.ts';
import { type Behaviour, type Binding, needsRelease, type Slot, slotOf } from './binding.ts';
import { checkAction, checkProgram, commandsKnown, type KnowsCommand } from './checkAction.ts';
import { checkMacros } from './checkMacros.ts';
import type { MacroStep } from './macro.ts';
import type { Refusal } from './refusal.ts';
import { BASE_LAYER, commandIds, EVERYWHERE, LIMITS, type Profile, type Setup } from './setup.ts';

/** What is wrong with a binding at a slot, or null. A missing binding (inherit) needs only a real slot. */
export function checkBinding(
  setup: Setup,
  profile: Profile,
  slot: Slot,
  binding: Binding | null,
  knows?: KnowsCommand,
): Refusal | null {
  const { layer, device: deviceId, control: controlId, trigger } = slot;
  if (!setup.layers.some(({ id }) => id === layer)) return { code: 'unknown-layer', layer };
  const device = setup.devices.find(({ id }) => id === deviceId);
  if (!device) return { code: 'unknown-device', device: deviceId };
  const control = device.controls.find(({ id }) => id === controlId);
  if (!control) return { code: 'unknown-control', device: device.name, control: controlId };
  if (!triggersOf(control).includes(trigger)) {
    return { code: 'control-lacks-trigger', device: device.name, control: control.name, trigger };
  }
  return binding ? checkBehaviour(setup, profile, binding.behaviour, trigger, knows) : null;
}

function checkBehaviour(
  setup: Setup,
  profile: Profile,
  behaviour: Behaviour,
  trigger: Trigger,
  knows: KnowsCommand | undefined,
): Refusal | null {
  if (behaviour.kind === 'native') return null;
  if (behaviour.kind === 'off') {
    const gone = firstOf(behaviour.heardBy, (program) => checkProgram(setup, program));
    return gone ?? (behaviour.sends && checkAction(setup, profile, behaviour.sends, knows));
  }
  const { action, style, guard, target } = behaviour;
  const wrong = checkAction(setup, profile, action, knows) ?? (target && checkProgram(setup, target.program));
  if (wrong) return wrong;
  if (!isPressed(trigger) && needsRelease(style)) return { code: 'style-needs-release', style, trigger };
  if (!isPressed(trigger) && guard) return { code: 'guard-needs-press', trigger };
  return trigger === 'slide' && action.kind !== 'message' ? { code: 'slide-needs-message' } : null;
}

function firstOf<Item>(items: readonly Item[], check: (item: Item) => Refusal | null): Refusal | null {
  for (const item of items) {
    const wrong = check(item);
    if (wrong) return wrong;
  }
  return null;
}

/** The first thing wrong with a profile and its bindings, or null. */
export function checkProfile(setup: Setup, profile: Profile): Refusal | null {
  const keys = Object.keys(profile.bindings);
  if (keys.length > LIMITS.bindingsOfProfile) {
    return { code: 'too-many', what: 'bindingsOfProfile', limit: LIMITS.bindingsOfProfile };
  }
  const knows = commandsKnown(setup, profile);
  for (const key of keys) {
    const slot = slotOf(profile.id, key);
    if (!slot) return { code: 'bad-slot-key', profile: profile.id, key };
    const wrong = checkBinding(setup, profile, slot, profile.bindings[key] ?? null, knows);
    if (wrong) return wrong;
  }
  return checkBasedOn(setup, profile);
}

/** A refusal where a profile is based on one that is not there, or on itself by way of others. */
export function checkBasedOn(setup: Setup, profile: Profile): Refusal | null {
  const seen = new Set([profile.id]);
  for (let next = profile.basedOn; next !== null; ) {
    if (seen.has(next)) return { code: 'based-on-circle', profile: profile.id };
    seen.add(next);
    const under: Profile | undefined = setup.profiles[next];
    if (!under) return { code: 'unknown-profile', profile: next };
    next = under.basedOn;
  }
  return null;
}

/** Everything in a set-up that refers to nothing or stands twice. A sound set-up gives an empty list. */
export function checkSetup(setup: Setup): readonly Refusal[] {
  const found: Refusal[] = [];
  if (setup.profiles[EVERYWHERE]?.program !== null) found.push({ code: 'everywhere-missing' });
  if (setup.layers[0]?.id !== BASE_LAYER) found.push({ code: 'base-layer-missing' });
  const ids = [
    ...repeatedIds(setup.devices),
    ...repeatedIds(setup.programs),
    ...repeatedIds(setup.layers),
    ...repeatedIds(setup.macros),
    ...repeatedIds(setup.radialMenus),
    ...repeated(commandIds(setup)),
    ...setup.devices.flatMap(({ controls }) => repeatedIds(controls)),
    ...setup.programs.flatMap(({ rules }) => repeatedIds(rules)),
    ...Object.values(setup.profiles).flatMap(({ rules }) => repeatedIds(rules)),
    ...setup.radialMenus.flatMap(({ items }) => repeatedIds(items)),
    ...setup.macros.flatMap(({ steps }) => repeated(stepIds(steps))),
  ];
  for (const id of ids) found.push({ code: 'id-taken', id });
  for (const name of repeated(setup.programs.map((program) => foldName(program.name)))) {
    found.push({ code: 'name-taken', name });
  }
  for (const [id, profile] of Object.entries(setup.profiles)) {
    if (profile.id !== id) found.push({ code: 'unknown-profile', profile: id });
    if (profile.program === null && id !== EVERYWHERE)
      found.push({ code: 'profile-of-other-program', profile: id });
    if (profile.program !== null && !setup.programs.some((program) => program.id === profile.program)) {
      found.push({ code: 'unknown-program', program: profile.program });
    }
    const wrong = checkProfile(setup, profile);
    if (wrong) found.push(wrong);
  }
  const everywhere = setup.profiles[EVERYWHERE];
  for (const { action } of setup.radialMenus.flatMap(({ items }) => items)) {
    const wrong = everywhere ? checkAction(setup, everywhere, action) : null;
    if (wrong) found.push(wrong);
  }
  return [...found, ...checkMacros(setup)];
}

function repeatedIds(list: readonly { readonly id: string }[]): readonly string[] {
  return repeated(list.map(({ id }) => id));
}

/** The ids of steps, those inside others too. */
export function stepIds(steps: readonly MacroStep[]): readonly string[] {
  return steps.flatMap((step) => (step.kind === 'repeat' ? [step.id, ...stepIds(step.steps)] : [step.id]));
}

function repeated(values: readonly string[]): readonly string[] {
  const seen = new Set<string>();
  const twice = new Set<string>();
  for (const value of values) (seen.has(value) ? twice : seen).add(value);
  return [...twice];
}
