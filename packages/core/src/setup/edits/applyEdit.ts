import type { Control } from '../../devices/index.ts';
import { ok, type Result, refuse } from '../../result.ts';
import { faultsOfPanel } from '../checkCells.ts';
import type { Fault } from '../fault.ts';
import type { Refusal } from '../refusal.ts';
import { unsettledCells } from '../settledCells.ts';
import { LIMITS, type Setup } from '../setup.ts';
import { addItem } from './addItem.ts';
import { itemAt, parseAddress } from './address.ts';
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
  const wrong = settlePanels(draft, setup);
  if (wrong) return refuse(wrong);
  return ok({ setup: draft.setup, inverse: together(inverses.reverse().flat()) });
}

/**
 * Panels that the edit touched: their cells lie inside their grids and beside each other, and are drawn there. Only once
 * all of the edit is applied, so that two cells can change places.
 */
function settlePanels(draft: Draft, before: Setup): Refusal | null {
  const { devices, pages } = draft.setup;
  if (devices === before.devices && pages === before.pages) return null;
  const untouched = new Set<object>(pages === before.pages ? before.devices : []);
  for (const device of devices) {
    if (!device.panel || untouched.has(device)) continue;
    // What was wrong before, as where a page could not be read, holds nothing up.
    const old = before.devices.find(({ id }) => id === device.id);
    const known = new Set(old && faultsOfPanel(old, before.pages).map(refusalKey));
    const fault = faultsOfPanel(device, pages).find((each) => !known.has(refusalKey(each)));
    if (fault) return fault.refusal;
    const unsettled = unsettledCells(device, pages);
    if (unsettled.size === 0) continue;
    const item = draft.own(parseAddress(itemAt.device(device.id))?.steps ?? []);
    const list = item && (draft.listOf(item, 'controls') as unknown as Control[]);
    for (const [i, control] of unsettled) if (list) list[i] = control;
  }
  return null;
}

const refusalKey = ({ refusal }: Fault) => JSON.stringify(refusal);

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
