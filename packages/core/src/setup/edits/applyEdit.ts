import { ok, type Result, refuse } from '../../result.ts';
import type { Refusal } from '../refusal.ts';
import { LIMITS, type Setup } from '../setup.ts';
import { addItem } from './addItem.ts';
import type { Applied, Undone } from './applied.ts';
import { Draft } from './draft.ts';
import { type Edit, partsOf, type SingleEdit, together } from './edit.ts';
import { moveItem } from './moveItem.ts';
import { removeItem } from './removeItem.ts';
import { setFields } from './setFields.ts';

/**
 * Applies one edit, whatever state it was made on. The set-up given is left as it is; parts the edit does not touch
 * are shared with it. Applying the inverse to the result gives a set-up equal to the one given. Only what the edit
 * can break is checked; the set-up given is sound.
 */
export function applyEdit(setup: Setup, edit: Edit): Result<Applied, Refusal> {
  const draft = new Draft(setup);
  const inverses: (readonly SingleEdit[])[] = [];
  for (const part of partsOf(edit)) {
    const applied = applyPart(draft, part);
    if (!applied.ok) return applied;
    inverses.push(applied.value);
  }
  for (const profile of draft.grown) {
    const count = Object.keys(draft.setup.profiles[profile]?.bindings ?? {}).length;
    const limit = LIMITS.bindingsOfProfile;
    if (count > limit) return refuse({ code: 'too-many', what: 'bindingsOfProfile', limit });
  }
  return ok({ setup: draft.setup, inverse: together(inverses.reverse().flat()) });
}

/** Parts of one edit see what those before them did. */
function applyPart(draft: Draft, part: SingleEdit): Undone {
  switch (part.kind) {
    case 'set':
      return setFields(draft, part);
    case 'add':
      return addItem(draft, part);
    case 'remove':
      return removeItem(draft, part.at);
    case 'move':
      return moveItem(draft, part);
  }
}
