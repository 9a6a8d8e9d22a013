import { isPressed, type Trigger, triggersOf } from '../../devices/index.ts';
import { ok, refuse } from '../../result.ts';
import type { Action } from '../action.ts';
import { acting, type Binding, type Slot } from '../binding.ts';
import { checkMacros } from '../checkMacros.ts';
import { checkPage } from '../checkPages.ts';
import { checkBasedOn, checkBinding, checkProfile } from '../checkSetup.ts';
import type { ItemKind } from '../itemKinds.ts';
import type { Page } from '../page.ts';
import type { RadialItem, RadialMenu } from '../radialMenu.ts';
import { hasNamed } from '../references.ts';
import type { Refusal } from '../refusal.ts';
import { EVERYWHERE, type Profile, type Setup } from '../setup.ts';
import { itemAt, parseAddress, slotAt } from './address.ts';
import type { Undone } from './applied.ts';
import { checkItemOf, checkMenu, nameTaken } from './checks.ts';
import type { Draft, OwnItem } from './draft.ts';
import type { SetEdit, SingleEdit } from './edit.ts';
import { shapeOf } from './items.ts';
import { gone, targetOf } from './places.ts';
import { removeBindings, removeItem } from './removeItem.ts';
import { unreadableId } from './unreadableId.ts';
import { writeField } from './writeField.ts';

/** Changes fields of an item. */
export function setFields(draft: Draft, edit: SetEdit): Undone {
  const address = parseAddress(edit.at);
  if (!address) return refuse({ code: 'item-gone', item: 'setup', id: edit.at });
  if (address.kind === 'binding' && !draft.find(address.steps)) return makeBinding(draft, edit);
  const item = draft.own(address.steps);
  if (!item) return gone(targetOf(edit.at));
  // Taken back in the other order: a part of a field before the field.
  const back: [path: string, before: unknown][] = [];
  for (const [path, value] of Object.entries(edit.fields)) {
    const before = writeField(draft, edit.at, item, path, value);
    if (!before.ok) return before;
    back.unshift(...Object.entries(before.value));
  }
  const wrong = checkOwn(address.kind, item, edit) ?? checkSet(draft.setup, edit, address.kind, item);
  if (wrong) return refuse(wrong);
  const inverse: SingleEdit = { kind: 'set', at: edit.at, fields: Object.fromEntries(back) };
  if (address.kind !== 'control') return ok([inverse]);
  return ok([inverse, ...removeLostTriggers(draft, edit, item)]);
}

/** A slot with nothing set gets a binding; its behaviour must be among the fields. */
function makeBinding(draft: Draft, edit: SetEdit): Undone {
  const target = targetOf(edit.at);
  const slot = slotAt(edit.at);
  const profile = slot && draft.setup.profiles[slot.profile];
  if (!slot || !profile) return refuse({ code: 'unknown-profile', profile: target.above[0]?.id ?? '' });
  const { behaviour, 'behaviour.action': action, face = null, note = null, ...others } = edit.fields;
  const made = behaviour ?? (action && acting(action as Action, styleFor(slot.trigger)));
  if (!made) return refuse({ code: 'nothing-set', control: slot.control, profile: slot.profile });
  const unreadable = itemAt.unreadable(unreadableId('binding', `${slot.profile}/${target.last.id}`));
  const hidden = draft.find(parseAddress(unreadable)?.steps ?? []) ? removeItem(draft, unreadable) : ok([]);
  if (!hidden.ok) return hidden;
  const parent = draft.own(target.above);
  if (!parent) return gone(target);
  const list = draft.listOf(parent, 'bindings') as { [key: string]: OwnItem };
  list[target.last.id] = { behaviour: made, face, note };
  draft.grown.add(slot.profile);
  const first: SingleEdit = { kind: 'remove', at: edit.at };
  const rest = setFields(draft, {
    ...edit,
    fields: action && behaviour ? { ...others, 'behaviour.action': action } : others,
  });
  return rest.ok ? ok([first, ...hidden.value]) : rest;
}

/** What can be held follows; what only steps is tapped. */
function styleFor(trigger: Trigger) {
  return isPressed(trigger) ? 'follow' : 'tap';
}

/** Whether the fields still make sense together. */
function checkOwn(kind: ItemKind, item: OwnItem, edit: SetEdit): Refusal | null {
  const { own, lists } = shapeOf(kind);
  const fields = Object.fromEntries(Object.entries(item).filter(([name]) => !Object.hasOwn(lists, name)));
  if (own.safeParse(fields).success) return null;
  return { code: 'fields-clash', item: kind, fields: Object.keys(edit.fields) };
}

/** What the changed fields can break elsewhere. */
function checkSet(setup: Setup, edit: SetEdit, kind: ItemKind, item: OwnItem): Refusal | null {
  switch (kind) {
    case 'binding': {
      const slot = slotAt(edit.at) as Slot;
      const profile = setup.profiles[slot.profile];
      if (!profile) return { code: 'unknown-profile', profile: slot.profile };
      return checkBinding(setup, profile, slot, item as unknown as Binding);
    }
    case 'program':
      return nameTaken(setup, String(item.name), String(item.id))
        ? { code: 'name-taken', name: String(item.name) }
        : null;
    case 'profile':
      return checkProfileFields(setup, edit, item as unknown as Profile);
    case 'page':
      return checkPageFields(setup, edit, item as unknown as Page);
    case 'macro':
    case 'step':
      return checkMacros(setup)[0] ?? null;
    case 'radial-item':
      return checkItemOf(setup, parseAddress(edit.at)?.steps ?? [], item as unknown as RadialItem);
    case 'radial-menu':
      return Object.hasOwn(edit.fields, 'program') ? checkMenu(setup, item as unknown as RadialMenu) : null;
    case 'setup':
    case 'device':
    case 'control':
    case 'command':
    case 'rule':
    case 'layer':
    case 'unreadable':
      return null;
  }
}

/** What opens it, and what is bound on it, go by what it is and where. */
function checkPageFields(setup: Setup, { fields }: SetEdit, page: Page): Refusal | null {
  if (Object.hasOwn(fields, 'kind') || Object.hasOwn(fields, 'device')) {
    return { code: 'page-fixed', page: page.name };
  }
  return checkPage(setup, page);
}

/** Only what these fields can break: a profile may have thousands of bindings. */
function checkProfileFields(setup: Setup, { fields }: SetEdit, profile: Profile): Refusal | null {
  if (Object.hasOwn(fields, 'basedOn')) {
    const wrong = checkBasedOn(setup, profile);
    if (wrong) return wrong;
  }
  if (!Object.hasOwn(fields, 'program')) return null;
  if ((profile.program === null) !== (profile.id === EVERYWHERE)) {
    return { code: 'profile-of-other-program', profile: profile.id };
  }
  if (profile.program !== null && !hasNamed(setup, { kind: 'program', id: profile.program })) {
    return { code: 'unknown-program', program: profile.program };
  }
  return checkProfile(setup, profile);
}

/** The fields of a control that say how it can be used. */
const USES: ReadonlySet<string> = new Set([
  'kind',
  'canPress',
  'rotor',
  'spring',
  'slider',
  'across',
  'phrase',
]);

/** What was bound to ways of use that a control no longer has goes with them. */
function removeLostTriggers(draft: Draft, edit: SetEdit, item: OwnItem): readonly SingleEdit[] {
  const changes = Object.keys(edit.fields).some((path) => USES.has(path.split('.')[0] ?? ''));
  if (!changes) return [];
  const [device, control] = parseAddress(edit.at)?.steps ?? [];
  const left: ReadonlySet<Trigger> = new Set(triggersOf(item as never));
  return removeBindings(
    draft,
    (slot) => slot.device === device?.id && slot.control === control?.id && !left.has(slot.trigger),
  );
}
