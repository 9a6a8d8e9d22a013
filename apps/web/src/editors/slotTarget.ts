import { isPlus, isPressed, oppositeOf, wayOf } from '@nimble-lever/core/devices';
import {
  type Action,
  acting,
  type Behaviour,
  type Binding,
  bindingChanges,
  keyOf,
  type PressStyle,
  type Profile,
  type Setup,
  type SingleEdit,
  type Slot,
} from '@nimble-lever/core/setup';
import type { ActionTarget } from './actionTarget.ts';

/** A slot of a profile, and how what it does is set. */
interface Place {
  readonly setup: Setup;
  readonly slot: Slot;
  readonly profile: Profile;
  /** For hints that name it. */
  readonly programName: string;
  /** `first` is edited with it, as one. */
  readonly setBehaviour: (behaviour: Behaviour | null, first?: readonly SingleEdit[]) => void;
}

/** What is set at a slot, how it is sent, and what can be chosen for it. */
export function slotTarget({ setup, slot, profile, programName, setBehaviour }: Place) {
  const binding: Binding | null = profile.bindings[keyOf(slot)] ?? null;
  const turns = !isPressed(slot.trigger);
  // Turns step and are never held, so that only a tap makes sense.
  const style: PressStyle = turns
    ? 'tap'
    : binding?.behaviour.kind === 'action'
      ? binding.behaviour.style
      : 'follow';
  // How it is sent stays as it was when another thing is sent.
  const setAction = (action: Action, first: readonly SingleEdit[] = []) => {
    const { behaviour } = binding ?? {};
    setBehaviour(behaviour?.kind === 'action' ? { ...behaviour, action } : acting(action, style), first);
  };
  const opposite = oppositeOf(slot.trigger);
  const setPair = (own: Action, other: Action) => {
    if (!opposite) return;
    const there = { ...slot, trigger: opposite };
    const before = profile.bindings[keyOf(there)] ?? null;
    const { face = null, note = null } = before ?? {};
    const acts = before?.behaviour.kind === 'action' ? before.behaviour : acting(other, style);
    setAction(own, bindingChanges(there, before, { behaviour: { ...acts, action: other }, face, note }));
  };
  const target: ActionTarget = {
    place: `${slot.profile} ${keyOf(slot)}`,
    setup,
    profile,
    programName,
    action: binding?.behaviour.kind === 'action' ? binding.behaviour.action : null,
    device: slot.device,
    latched: style === 'latch',
    onlyMessages: wayOf(slot.trigger) === 'slide',
    pair: opposite && { isPlus: isPlus(slot.trigger), set: setPair },
    setAction,
  };
  return { binding, turns, style, target };
}
