import { ok, refuse } from '../../result.ts';
import { checkMacros } from '../checkMacros.ts';
import { checkPage } from '../checkPages.ts';
import { checkBasedOn, checkProfile } from '../checkSetup.ts';
import { type MacroStep, stepIds } from '../macro.ts';
import type { Page } from '../page.ts';
import type { RadialItem, RadialMenu } from '../radialMenu.ts';
import { hasNamed } from '../references.ts';
import type { Refusal } from '../refusal.ts';
import {
  BASE_LAYER,
  commandIds,
  EVERYWHERE,
  LIMITS,
  type Profile,
  type Program,
  type Setup,
} from '../setup.ts';
import type { Undone } from './applied.ts';
import { checkItemOf, checkMenu, nameTaken } from './checks.ts';
import type { Draft, OwnItem } from './draft.ts';
import type { SingleEdit } from './edit.ts';
import type { Item } from './items.ts';
import { gone, indexAfter, targetOf } from './places.ts';
import { unreadableId } from './unreadableId.ts';

/** An edit that adds. */
type AddEdit = Extract<SingleEdit, { kind: 'add' }>;

/** Adds an item with all that is in it. */
export function addItem(draft: Draft, edit: AddEdit): Undone {
  const target = targetOf(edit.at);
  const { last, above, kind } = target;
  if (draft.find(target.steps) || isSetAside(draft.setup, target))
    return refuse({ code: 'id-taken', id: last.id });
  const wrong = checkBefore(draft.setup, target, edit.item as Item);
  if (wrong) return refuse(wrong);
  const parent = draft.own(above);
  if (!parent)
    return gone({ kind: above.length > 0 ? targetOfParent(above) : kind, last: above.at(-1) ?? last });
  const list = draft.listOf(parent, last.name);
  const item = edit.item as OwnItem;
  const { limit } = last.list;
  if (Array.isArray(list)) {
    if (limit && list.length >= LIMITS[limit])
      return refuse({ code: 'too-many', what: limit, limit: LIMITS[limit] });
    list.splice(indexAfter(list, edit.after), 0, item);
  } else list[last.id] = item;
  const broken = checkAfter(draft.setup, target, item);
  return broken ? refuse(broken) : ok([{ kind: 'remove', at: edit.at }]);
}

/** Where it is added. */
type Target = ReturnType<typeof targetOf>;

/** What is missing is what the item would stand in. */
function targetOfParent(above: Target['above']) {
  return above.at(-1)?.list.of ?? 'setup';
}

/** Whether a stored part that cannot be read has the id. */
function isSetAside(setup: Setup, { kind, last }: Target): boolean {
  switch (kind) {
    case 'device':
    case 'program':
    case 'command':
    case 'layer':
    case 'page':
    case 'profile':
    case 'macro':
    case 'radial-menu': {
      const id = unreadableId(kind, last.id);
      return setup.unreadable.some((part) => part.id === id);
    }
    case 'setup':
    case 'control':
    case 'rule':
    case 'binding':
    case 'step':
    case 'radial-item':
    case 'unreadable':
      return false;
  }
}

/** Ids and names that must be nobody else's. */
function checkBefore(setup: Setup, { kind, above }: Target, item: Item): Refusal | null {
  switch (kind) {
    case 'program': {
      const program = item as unknown as Program;
      if (nameTaken(setup, program.name, null)) return { code: 'name-taken', name: program.name };
      const taken = new Set(commandIds(setup));
      return (
        firstTwice(
          program.commands.map(({ id }) => id),
          taken,
        ) ?? firstTwice(idsOf(program.rules))
      );
    }
    case 'command':
      return firstTwice([String(item.id)], new Set(commandIds(setup)));
    case 'step': {
      const macro = setup.macros.find(({ id }) => id === above[0]?.id);
      return firstTwice(stepIds([item as unknown as MacroStep]), new Set(stepIds(macro?.steps ?? [])));
    }
    case 'macro':
      return firstTwice(stepIds(item.steps as MacroStep[]));
    case 'radial-menu':
      return firstTwice(idsOf((item as unknown as RadialMenu).items));
    case 'device':
      return firstTwice(idsOf(item.controls as { id: string }[]));
    case 'profile':
      return firstTwice(idsOf((item as unknown as Profile).rules));
    case 'layer':
      return firstTwice([String(item.id)], new Set(idsOf(setup.pages)));
    case 'page':
      return firstTwice([String(item.id)], new Set(idsOf(setup.layers)));
    case 'setup':
    case 'control':
    case 'rule':
    case 'binding':
    case 'radial-item':
    case 'unreadable':
      return null;
  }
}

/** What the item refers to must be there. */
function checkAfter(setup: Setup, { kind, above }: Target, item: OwnItem): Refusal | null {
  switch (kind) {
    case 'profile':
      return checkNewProfile(setup, item as unknown as Profile);
    case 'macro':
    case 'step':
      return checkMacros(setup)[0] ?? null;
    case 'radial-menu':
      return checkMenu(setup, item as unknown as RadialMenu);
    case 'radial-item':
      return checkItemOf(setup, above, item as unknown as RadialItem);
    case 'layer':
      return setup.layers[0]?.id === BASE_LAYER ? null : { code: 'base-layer-missing' };
    case 'page':
      return checkPage(setup, item as unknown as Page);
    case 'setup':
    case 'device':
    case 'control':
    case 'program':
    case 'command':
    case 'rule':
    case 'binding':
    case 'unreadable':
      return null;
  }
}

/** A profile brings its bindings along, and each must make sense. */
function checkNewProfile(setup: Setup, profile: Profile): Refusal | null {
  if (profile.program === null && profile.id !== EVERYWHERE) {
    return { code: 'profile-of-other-program', profile: profile.id };
  }
  if (profile.program !== null && !hasNamed(setup, { kind: 'program', id: profile.program })) {
    return { code: 'unknown-program', program: profile.program };
  }
  return checkBasedOn(setup, profile) ?? checkProfile(setup, profile);
}

/** The ids of a list. */
function idsOf(list: readonly { readonly id: string }[]): readonly string[] {
  return list.map(({ id }) => id);
}

/** A refusal for the first id that stands twice, among those given or with those taken. */
function firstTwice(ids: readonly string[], taken: ReadonlySet<string> = new Set()): Refusal | null {
  const seen = new Set(taken);
  for (const id of ids) {
    if (seen.has(id)) return { code: 'id-taken', id };
    seen.add(id);
  }
  return null;
}
