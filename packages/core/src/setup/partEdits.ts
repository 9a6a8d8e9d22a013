import { ok, type Result, refuse } from '../result.ts';
import type { AppliedSingle } from './applied.ts';
import { checkSetup } from './checkSetup.ts';
import type { SingleEdit } from './edit.ts';
import type { Refusal } from './refusal.ts';
import { LIMITS, type Setup } from './setup.ts';

type PartEdit = Extract<SingleEdit, { kind: 'set-device' | 'set-layer' | 'set-macro' | 'set-radial-menu' }>;

const LISTS = {
  'set-device': 'devices',
  'set-layer': 'layers',
  'set-macro': 'macros',
  'set-radial-menu': 'radialMenus',
} as const satisfies Record<PartEdit['kind'], keyof Setup>;

/**
 * Adds, changes, moves or removes a device, layer, macro or radial menu. What something else still refers to
 * is not removed.
 */
export function setPart(setup: Setup, edit: PartEdit): Result<AppliedSingle, Refusal> {
  const field = LISTS[edit.kind];
  const list: readonly { readonly id: string; readonly name: string }[] = setup[field];
  const from = list.findIndex(({ id }) => id === edit.id);
  const before = list[from] ?? null;
  const others = list.filter((item) => item !== before);
  if (edit.item && edit.item.id !== edit.id) return refuse({ code: 'id-taken', id: edit.item.id });
  if (edit.item && edit.at > others.length) {
    return refuse({ code: 'position-out-of-range', position: edit.at, last: others.length });
  }
  if (others.length + (edit.item ? 1 : 0) > LIMITS[field]) {
    return refuse({ code: 'too-many', what: field, limit: LIMITS[field] });
  }
  const after = edit.item ? [...others.slice(0, edit.at), edit.item, ...others.slice(edit.at)] : others;
  const changed = { ...setup, [field]: after } as Setup;
  const [wrong] = checkSetup(changed);
  if (wrong && !edit.item && before) return refuse({ code: 'still-used', name: before.name });
  if (wrong) return refuse(wrong);
  const inverse = { kind: edit.kind, id: edit.id, item: before, at: Math.max(0, from) } as SingleEdit;
  return ok({ setup: changed, inverse });
}
