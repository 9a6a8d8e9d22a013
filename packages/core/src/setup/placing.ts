import { adaptBinding } from './adaptBinding.ts';
import { type Binding, keyOf, type Slot } from './binding.ts';
import { bindingChanges } from './edits/changes.ts';
import type { SingleEdit } from './edits/edit.ts';
import type { Setup } from './setup.ts';

/** Something to stand in a slot: a binding in the words of the profile it comes from, or nothing. */
export interface Placing {
  readonly to: Slot;
  readonly binding: Binding | null;
  /** The profile whose commands it names. */
  readonly from: string;
}

/** What becomes of the two slots of a binding that is taken somewhere else. */
export type Moving = 'move' | 'copy' | 'swap';

/**
 * The edits that put bindings where they are to stand, each in the words of the profile there. Where the same slot is
 * named twice, the later one counts: a block that is moved by one row clears what it left and no more.
 */
export function placingEdits(setup: Setup, placings: readonly Placing[]): readonly SingleEdit[] {
  const last = new Map(placings.map((placing) => [`${placing.to.profile} ${keyOf(placing.to)}`, placing]));
  return [...last.values()].flatMap(({ to, binding, from }) => {
    const [target, source] = [setup.profiles[to.profile], setup.profiles[from]];
    if (!target) return [];
    const before = target.bindings[keyOf(to)] ?? null;
    const after = binding && source ? adaptBinding(setup, binding, source, target, to.trigger) : null;
    return bindingChanges(to, before, after);
  });
}

/** A binding taken from one slot to another: moved, copied, or changing places with what is there. */
export function movingEdits(setup: Setup, from: Slot, to: Slot, how: Moving): readonly SingleEdit[] {
  const bindingAt = (slot: Slot) => setup.profiles[slot.profile]?.bindings[keyOf(slot)] ?? null;
  const placed: Placing = { to, binding: bindingAt(from), from: from.profile };
  switch (how) {
    case 'copy':
      return placingEdits(setup, [placed]);
    case 'move':
      return placingEdits(setup, [{ to: from, binding: null, from: from.profile }, placed]);
    case 'swap':
      return placingEdits(setup, [placed, { to: from, binding: bindingAt(to), from: to.profile }]);
  }
}
