import { isPressed } from '../../devices/index.ts';
import { ok, type Result, refuse } from '../../result.ts';
import type { Action } from '../action.ts';
import { acting, type Behaviour, NO_FACE } from '../binding.ts';
import type { Refusal } from '../refusal.ts';
import { type Address, parseAddress, slotAt } from './address.ts';
import type { Draft, OwnItem } from './draft.ts';

/**
 * Writes one field of an item, by its path with dots; gives the fields that must be set to take it back. A face that
 * is not there is made for its first part and is none again without its last. An action can be set whatever the
 * control did before.
 */
export function writeField(
  draft: Draft,
  at: Address,
  item: OwnItem,
  path: string,
  value: unknown,
): Result<Readonly<Record<string, unknown>>, Refusal> {
  const names = path.split('.');
  const kind = parseAddress(at)?.kind;
  if (kind === 'binding' && path === 'behaviour.action') return ok(setAction(at, item, value as Action));
  if ((kind === 'binding' || kind === 'page') && names[0] === 'face')
    return ok(setFace(item, names[1], value));
  let parent = item;
  for (const name of names.slice(0, -1)) {
    const held = parent[name];
    if (typeof held !== 'object' || held === null) return fieldGone(at, path);
    const own = draft.copy(held as OwnItem);
    parent[name] = own;
    parent = own;
  }
  const last = names.at(-1) ?? '';
  if (!Object.hasOwn(parent, last)) return fieldGone(at, path);
  const before = parent[last];
  parent[last] = value;
  return ok({ [path]: before });
}

/** Someone changed the kind of thing this is; the field belonged to what it was. */
function fieldGone(at: Address, field: string) {
  return refuse<Refusal>({ code: 'field-gone', item: parseAddress(at)?.kind ?? 'setup', field });
}

/** How it is sent stays, where there was something that was sent. */
function setAction(at: Address, item: OwnItem, action: Action): Readonly<Record<string, unknown>> {
  const before = item.behaviour as Behaviour;
  if (before.kind === 'action') {
    item.behaviour = { ...before, action };
    return { 'behaviour.action': before.action };
  }
  const slot = slotAt(at);
  item.behaviour = acting(action, slot && !isPressed(slot.trigger) ? 'tap' : 'follow');
  return { behaviour: before };
}

/** By parts, so that two people may set label and colour at once. */
function setFace(item: OwnItem, part: string | undefined, value: unknown): Readonly<Record<string, unknown>> {
  const before = item.face as OwnItem | null;
  const face = part === undefined ? (value as OwnItem | null) : { ...(before ?? NO_FACE), [part]: value };
  const isEmpty = face === null || Object.values(face).every((each) => each === null);
  item.face = isEmpty ? null : face;
  return part === undefined ? { face: before } : { [`face.${part}`]: before?.[part] ?? null };
}
