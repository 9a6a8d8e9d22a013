import { ok, type Result, refuse } from '../result.ts';
import type { Applied, AppliedSingle } from './applied.ts';
import { type Binding, keyOf, type Slot } from './binding.ts';
import { checkBinding } from './checkSetup.ts';
import type { Edit, SingleEdit } from './edit.ts';
import { setPart } from './partEdits.ts';
import { addProgram, moveProgram, removeProgram, renameProgram } from './programEdits.ts';
import type { Refusal } from './refusal.ts';
import type { Setup } from './setup.ts';

/**
 * Applies one edit. The set-up given is left as it is; parts the edit does not touch are shared with it.
 * Applying the inverse to the result gives a set-up equal to the one given.
 */
export function applyEdit(setup: Setup, edit: Edit): Result<Applied, Refusal> {
  if (edit.kind !== 'together') return applySingle(setup, edit);
  let current = setup;
  const inverses: SingleEdit[] = [];
  for (const part of edit.edits) {
    const applied = applySingle(current, part);
    if (!applied.ok) return applied;
    current = applied.value.setup;
    inverses.unshift(applied.value.inverse);
  }
  return ok({ setup: current, inverse: { kind: 'together', edits: inverses } });
}

function applySingle(setup: Setup, edit: SingleEdit): Result<AppliedSingle, Refusal> {
  switch (edit.kind) {
    case 'set-binding':
      return setBinding(setup, edit.slot, edit.binding);
    case 'set-face':
      return changeBinding(setup, edit.slot, (binding) => ({
        binding: { ...binding, face: edit.face },
        inverse: { ...edit, face: binding.face },
      }));
    case 'set-note':
      return changeBinding(setup, edit.slot, (binding) => ({
        binding: { ...binding, note: edit.note },
        inverse: { ...edit, note: binding.note },
      }));
    case 'add-program':
      return addProgram(setup, edit);
    case 'rename-program':
      return renameProgram(setup, edit);
    case 'remove-program':
      return removeProgram(setup, edit);
    case 'move-program':
      return moveProgram(setup, edit);
    case 'set-device':
    case 'set-layer':
    case 'set-macro':
    case 'set-radial-menu':
      return setPart(setup, edit);
  }
}

function setBinding(setup: Setup, slot: Slot, binding: Binding | null): Result<AppliedSingle, Refusal> {
  const profile = setup.profiles[slot.profile];
  if (!profile) return refuse({ code: 'unknown-profile', profile: slot.profile });
  const wrong = checkBinding(setup, profile, slot, binding);
  if (wrong) return refuse(wrong);
  const before = profile.bindings[keyOf(slot)] ?? null;
  return ok({
    setup: withBinding(setup, slot, binding),
    inverse: { kind: 'set-binding', slot, binding: before },
  });
}

/** Changes the face or note of what is set at a slot; where nothing is set there is nothing to change. */
function changeBinding(
  setup: Setup,
  slot: Slot,
  change: (binding: Binding) => { binding: Binding; inverse: SingleEdit },
): Result<AppliedSingle, Refusal> {
  const profile = setup.profiles[slot.profile];
  if (!profile) return refuse({ code: 'unknown-profile', profile: slot.profile });
  const before = profile.bindings[keyOf(slot)];
  if (!before) return refuse({ code: 'nothing-set', control: slot.control, profile: slot.profile });
  const { binding, inverse } = change(before);
  return ok({ setup: withBinding(setup, slot, binding), inverse });
}

function withBinding(setup: Setup, slot: Slot, binding: Binding | null): Setup {
  const profile = setup.profiles[slot.profile];
  if (!profile) return setup;
  const key = keyOf(slot);
  const { [key]: _before, ...others } = profile.bindings;
  const bindings = binding ? { ...profile.bindings, [key]: binding } : others;
  return { ...setup, profiles: { ...setup.profiles, [profile.id]: { ...profile, bindings } } };
}
