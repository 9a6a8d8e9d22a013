import { isPressed, type Trigger, triggersOf, wayOf } from '../devices/index.ts';
import { type Behaviour, type Binding, needsRelease, type Slot, slotOf } from './binding.ts';
import { checkAction, checkProgram, commandsKnown, type KnowsCommand } from './checkAction.ts';
import type { Fault } from './fault.ts';
import type { Refusal } from './refusal.ts';
import { EVERYWHERE, LIMITS, type Profile, type Setup } from './setup.ts';

/** What is wrong with a binding at a slot, or null. A missing binding (inherit) needs only a real slot. */
export function checkBinding(
  setup: Setup,
  profile: Profile,
  slot: Slot,
  binding: Binding | null,
  knows?: KnowsCommand,
): Refusal | null {
  const { layer, device: deviceId, control: controlId, trigger } = slot;
  const wrong = setup.layers.some(({ id }) => id === layer) ? null : checkOnPage(setup, slot);
  if (wrong) return wrong;
  const device = setup.devices.find(({ id }) => id === deviceId);
  if (!device) return { code: 'unknown-device', device: deviceId };
  const control = device.controls.find(({ id }) => id === controlId);
  if (!control) return { code: 'unknown-control', device: device.name, control: controlId };
  if (!triggersOf(control).includes(trigger)) {
    return { code: 'control-lacks-trigger', device: device.name, control: control.name, trigger };
  }
  return binding ? checkBehaviour(setup, profile, binding.behaviour, trigger, knows) : null;
}

/** What is no layer is a page, of the very device. */
function checkOnPage(setup: Setup, { layer, device }: Slot): Refusal | null {
  const page = setup.pages.find(({ id }) => id === layer);
  if (!page) return { code: 'unknown-layer', layer };
  return page.device === device ? null : { code: 'page-of-other-device', page: page.name };
}

/** What a trigger can do decides what may be bound to it. */
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
  return wayOf(trigger) === 'slide' && action.kind !== 'message' ? { code: 'slide-needs-message' } : null;
}

/** The first that is wrong. */
function firstOf<Item>(items: readonly Item[], check: (item: Item) => Refusal | null): Refusal | null {
  for (const item of items) {
    const wrong = check(item);
    if (wrong) return wrong;
  }
  return null;
}

/** The first thing wrong with a profile and its bindings, or null. */
export function checkProfile(setup: Setup, profile: Profile): Refusal | null {
  return faultOfProfile(setup, profile)?.refusal ?? null;
}

/** The same with where it is: the path inside the profile. */
export function faultOfProfile(setup: Setup, profile: Profile): Fault | null {
  const keys = Object.keys(profile.bindings);
  if (keys.length > LIMITS.bindingsOfProfile) {
    const refusal = { code: 'too-many', what: 'bindingsOfProfile', limit: LIMITS.bindingsOfProfile } as const;
    return { at: ['bindings'], refusal };
  }
  const knows = commandsKnown(setup, profile);
  for (const key of keys) {
    const at = ['bindings', key];
    const slot = slotOf(profile.id, key);
    if (!slot) return { at, refusal: { code: 'bad-slot-key', profile: profile.id, key } };
    const refusal = checkBinding(setup, profile, slot, profile.bindings[key] ?? null, knows);
    if (refusal) return { at, refusal };
  }
  const refusal = checkBasedOn(setup, profile);
  return refusal && { at: ['basedOn'], refusal };
}

/** A refusal where a profile is based on one that is not there, or on itself by way of others. */
export function checkBasedOn(setup: Setup, profile: Profile): Refusal | null {
  if (profile.id === EVERYWHERE && profile.basedOn !== null) return { code: 'everywhere-based' };
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
