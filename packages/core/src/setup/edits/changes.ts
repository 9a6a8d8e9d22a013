import { type Binding, FACE_PARTS, type Face, type Slot } from '../binding.ts';
import { type Address, itemAt, parseAddress } from './address.ts';
import type { SingleEdit } from './edit.ts';
import { isWhole } from './fields.ts';
import { type Item, type ItemList, itemsIn, shapeOf } from './items.ts';
import { sameJson } from './sameJson.ts';

/**
 * The edits that make one state of an item of another: only the fields that differ, and each item of its lists by
 * itself. Applied one after the other to the state before they give the one after.
 */
export function changesOf(at: Address, before: Item, after: Item): readonly SingleEdit[] {
  const kind = parseAddress(at)?.kind ?? 'setup';
  const { lists } = shapeOf(kind);
  const fields: Record<string, unknown> = {};
  const names = Object.keys(after).filter((name) => name !== 'id' && !Object.hasOwn(lists, name));
  for (const name of names) {
    if ((kind === 'binding' || kind === 'page') && name === 'face')
      addFace(fields, before.face as Face | null, after.face as Face | null);
    else addChanged(fields, name, name, before[name], after[name]);
  }
  const own: SingleEdit[] = Object.keys(fields).length > 0 ? [{ kind: 'set', at, fields }] : [];
  const inside = Object.entries(lists).flatMap(([name, list]) =>
    Object.hasOwn(after, name) ? listChanges(at, name, list, before[name], after[name]) : [],
  );
  return [...own, ...inside];
}

/** The edits that set, change or (null) clear what a slot does. */
export function bindingChanges(
  slot: Slot,
  before: Binding | null,
  after: Binding | null,
): readonly SingleEdit[] {
  const at = itemAt.binding(slot);
  if (before && after) return changesOf(at, before, after);
  if (after) return [{ kind: 'set', at, fields: made(after) }];
  return before ? [{ kind: 'remove', at }] : [];
}

/** The fields that make a binding where there is none. */
function made({ behaviour, face, note }: Binding): Record<string, unknown> {
  return { behaviour, ...(face && { face }), ...(note !== null && { note }) };
}

/** A value with fields of its own, which can change one by one. */
type Plain = { readonly [name: string]: unknown };
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Adds the smallest fields in which two values differ. Values of different kinds differ as a whole. */
function addChanged(
  fields: Record<string, unknown>,
  path: string,
  name: string,
  before: unknown,
  after: unknown,
): void {
  if (before === after || sameJson(before, after)) return;
  const alike =
    isPlain(before) &&
    isPlain(after) &&
    before.kind === after.kind &&
    Object.keys(after).every((key) => Object.hasOwn(before, key)) &&
    Object.keys(before).length === Object.keys(after).length;
  if (isWhole(name) || !alike) {
    fields[path] = after;
    return;
  }
  for (const key of Object.keys(after)) addChanged(fields, `${path}.${key}`, key, before[key], after[key]);
}

/** A face is changed part by part, also where there was none. */
function addFace(fields: Record<string, unknown>, before: Face | null, after: Face | null): void {
  for (const part of FACE_PARTS) {
    const next = after?.[part] ?? null;
    if (!sameJson(before?.[part] ?? null, next)) fields[`face.${part}`] = next;
  }
}

/** Removed first, so that ids and names are free for what is added. */
function listChanges(
  at: Address,
  name: string,
  list: ItemList,
  before: unknown,
  after: unknown,
): readonly SingleEdit[] {
  if (before === after) return [];
  const prefix = at === '' ? name : `${at}/${name}`;
  const old = new Map(itemsIn(list, before));
  const next = itemsIn(list, after);
  // One that is of another kind comes anew.
  for (const [id, item] of next) if (isOtherwise(list, old.get(id), item)) old.delete(id);
  const kept = new Set(old.keys());
  const edits: SingleEdit[] = [];
  const wanted = new Set(next.map(([id]) => id).filter((id) => kept.has(id)));
  const order = [...kept].filter((id) => wanted.has(id));
  for (const [id] of itemsIn(list, before))
    if (!wanted.has(id)) edits.push({ kind: 'remove', at: `${prefix}/${id}` });
  for (const [i, [id, item]] of next.entries()) {
    const here = `${prefix}/${id}`;
    const known = old.get(id);
    const after = next[i - 1]?.[0] ?? null;
    if (known) edits.push(...(known === item ? [] : changesOf(here, known, item)));
    if (list.as === 'record') {
      if (!known && list.of === 'binding') edits.push({ kind: 'set', at: here, fields: made(item as never) });
      else if (!known) edits.push({ kind: 'add', at: here, item, after: null });
    } else if (!known) {
      edits.push({ kind: 'add', at: here, item, after });
      order.splice(i, 0, id);
    } else if (order[i] !== id) {
      edits.push({ kind: 'move', at: here, after });
      order.splice(order.indexOf(id), 1);
      order.splice(i, 0, id);
    }
  }
  return edits;
}

/** Whether an item is of another kind, with other fields: only steps are of kinds of their own. */
function isOtherwise({ of }: ItemList, before: Item | undefined, after: Item): boolean {
  return of === 'step' && before !== undefined && before.kind !== after.kind;
}
