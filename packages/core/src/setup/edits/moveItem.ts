import { ok, refuse } from '../../result.ts';
import { BASE_LAYER } from '../setup.ts';
import type { Undone } from './applied.ts';
import type { Draft } from './draft.ts';
import type { SingleEdit } from './edit.ts';
import { gone, indexAfter, placeIn, targetOf } from './places.ts';

/** Moves an item within its list. */
export function moveItem(draft: Draft, edit: Extract<SingleEdit, { kind: 'move' }>): Undone {
  const target = targetOf(edit.at);
  const parent = draft.own(target.above);
  const list = parent && draft.listOf(parent, target.last.name);
  if (!list) return gone(target);
  if (!Array.isArray(list)) return refuse({ code: 'order-fixed', item: target.kind });
  const from = list.findIndex(({ id }) => id === target.last.id);
  const [item] = from < 0 ? [] : list.slice(from, from + 1);
  if (!item) return gone(target);
  if (edit.after === target.last.id) return ok([]);
  const before = placeIn(list, from);
  list.splice(from, 1);
  list.splice(indexAfter(list, edit.after), 0, item);
  if (target.kind === 'layer' && list[0]?.id !== BASE_LAYER) return refuse({ code: 'base-layer-missing' });
  return ok([{ ...edit, after: before }]);
}
