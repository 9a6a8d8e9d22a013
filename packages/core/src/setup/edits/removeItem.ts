import { ok, refuse } from '../../result.ts';
import { type Slot, slotIn } from '../binding.ts';
import { pagesBelow } from '../checkPages.ts';
import type { Page } from '../page.ts';
import { isNamed, type NamedKind, type Reference } from '../references.ts';
import type { Refusal } from '../refusal.ts';
import { BASE_LAYER, EVERYWHERE, type Profile, type Setup } from '../setup.ts';
import { type Address, itemAt } from './address.ts';
import type { Undone } from './applied.ts';
import type { Draft } from './draft.ts';
import type { SingleEdit } from './edit.ts';
import type { Item } from './items.ts';
import { gone, placeIn, targetOf } from './places.ts';
import { removeDependents } from './removeDependents.ts';

/** What is removed. */
type Target = ReturnType<typeof targetOf>;

/**
 * Removes an item with all that is in it, what is bound to it, and a program's profiles. What something else still
 * names stays. A binding that is not set is gone already.
 */
export function removeItem(draft: Draft, at: Address): Undone {
  const target = targetOf(at);
  const item = draft.find(target.steps);
  if (!item) return target.kind === 'binding' && draft.find(target.above) ? ok([]) : gone(target);
  const wrong = refusedFor(draft.setup, target, item);
  if (wrong) return refuse(wrong);
  const along = removeAlong(draft, target, item);
  const back = takeOut(draft, at, target);
  if (!back) return gone(target);
  if (isNamed(draft.setup, goneWith(target, along))) {
    return refuse({ code: 'still-used', name: String(item.name ?? target.last.id) });
  }
  return ok([back, ...along]);
}

/** What others may have named: an item itself, and what went along with it. */
function goneWith(target: Target, along: readonly SingleEdit[]): readonly Reference[] {
  return [target, ...along.map(({ at }) => targetOf(at))].flatMap((each) => {
    const kind = namedKind(each);
    return kind ? [{ kind, id: each.last.id }] : [];
  });
}

/** Takes an item out of its list; gives what puts it back. */
function takeOut(draft: Draft, at: Address, { last, above, kind }: Target): SingleEdit | null {
  const parent = draft.own(above);
  const list = parent && draft.listOf(parent, last.name);
  if (!list) return null;
  if (!Array.isArray(list)) {
    const item = list[last.id];
    if (!item) return null;
    delete list[last.id];
    if (kind === 'binding') return { kind: 'set', at, fields: { ...item } };
    return { kind: 'add', at, item, after: null };
  }
  const index = list.findIndex(({ id }) => id === last.id);
  if (index < 0) return null;
  const after = placeIn(list, index);
  const [item] = list.splice(index, 1);
  return { kind: 'add', at, item, after };
}

/** What keeps an item from being removed whatever else is removed with it. */
function refusedFor(setup: Setup, { kind, last, above }: Target, item: Item): Refusal | null {
  switch (kind) {
    case 'layer':
      return last.id === BASE_LAYER ? { code: 'base-layer-missing' } : null;
    case 'profile':
      if (last.id === EVERYWHERE) return { code: 'everywhere-missing' };
      return basedOn(setup, [last.id]);
    case 'program':
      return (
        basedOn(setup, profilesFor(setup, last.id)) ??
        pagesBasedOn(setup, ({ program }) => program === last.id)
      );
    case 'page':
      return pagesBasedOn(setup, ({ id }) => id === last.id);
    case 'radial-item': {
      const menu = setup.radialMenus.find(({ id }) => id === above[0]?.id);
      return menu?.items.length === 1 ? { code: 'last-one', item: kind } : null;
    }
    case 'setup':
    case 'device':
    case 'control':
    case 'command':
    case 'rule':
    case 'binding':
    case 'macro':
    case 'step':
    case 'radial-menu':
    case 'unreadable':
      return item ? null : { code: 'item-gone', item: kind, id: last.id };
  }
}

/** They have no meaning without their program. */
function profilesFor(setup: Setup, program: string): readonly string[] {
  return Object.values(setup.profiles).flatMap((profile) =>
    profile.program === program ? [profile.id] : [],
  );
}

/** A refusal where profiles that stay are based on one that would go. */
function basedOn(setup: Setup, removed: readonly string[]): Refusal | null {
  for (const profile of removed) {
    const others = Object.values(setup.profiles)
      .filter(({ id, basedOn: under }) => under === profile && !removed.includes(id))
      .map(({ id }) => id);
    if (others.length > 0) return { code: 'others-based-on', profile, others };
  }
  return null;
}

/** A refusal where pages that stay are based on one that would go, with those that are kept in it. */
function pagesBasedOn(setup: Setup, goes: (page: Page) => boolean): Refusal | null {
  const going = setup.pages.filter(goes).flatMap((page) => [page, ...pagesBelow(setup, page.id)]);
  for (const { id, name } of going) {
    const others = setup.pages.filter((page) => page.basedOn === id && !going.includes(page));
    if (others.length > 0)
      return { code: 'pages-based-on', page: name, others: others.map((page) => page.name) };
  }
  return null;
}

/** Removes what goes with an item: bindings of what is gone, a program's profiles, parts stored under it. */
function removeAlong(draft: Draft, { kind, last, above }: Target, item: Item): readonly SingleEdit[] {
  switch (kind) {
    case 'device':
      return removePages(
        draft,
        draft.setup.pages.filter(({ device }) => device === last.id),
        ({ device }) => device === last.id,
      );
    case 'control':
      return removeBindings(draft, ({ device, control }) => device === above[0]?.id && control === last.id);
    case 'layer':
      return removeBindings(draft, ({ layer }) => layer === last.id);
    case 'page': {
      const inside = pagesBelow(draft.setup, last.id);
      const cells = removeCells(draft, new Set([last.id, ...inside.map(({ id }) => id)]));
      // They come back once the pages are there.
      return [...removePages(draft, inside, ({ layer }) => layer === last.id), ...cells];
    }
    case 'program':
      return removeWithProgram(draft, last.id);
    case 'unreadable':
      return removeDependents(draft, item, (at) => takeOut(draft, at, targetOf(at)));
    case 'setup':
    case 'command':
    case 'rule':
    case 'profile':
    case 'binding':
    case 'macro':
    case 'step':
    case 'radial-menu':
    case 'radial-item':
      return [];
  }
}

/** A program's pages with all that stands in them, and its profiles: those that others are based on come back first. */
function removeWithProgram(draft: Draft, program: string): readonly SingleEdit[] {
  const own = draft.setup.pages.filter((page) => page.program === program);
  const all = own.flatMap((page) => [page, ...pagesBelow(draft.setup, page.id)]);
  const cells = removeCells(draft, new Set(all.map(({ id }) => id)));
  const pages = [...removePages(draft, all), ...cells];
  const profiles = byBase(draft.setup, profilesFor(draft.setup, program)).flatMap((id) => {
    const at = itemAt.profile(id);
    return takeOut(draft, at, targetOf(at)) ?? [];
  });
  // What is bound on a page in a profile that goes stands in that profile: it comes back with it, after the pages.
  const isAdded = ({ kind }: SingleEdit) => kind === 'add';
  return [
    ...pages.filter(isAdded),
    ...profiles,
    ...pages.filter((edit) => !isAdded(edit)),
    ...macrosOfNone(draft, program),
  ];
}

/** Macros that were found under a program are of none then: they may do as well elsewhere. */
function macrosOfNone(draft: Draft, program: string): readonly SingleEdit[] {
  return draft.setup.macros
    .filter((macro) => macro.program === program)
    .map(({ id }): SingleEdit => {
      const at = itemAt.macro(id);
      const item = draft.own(targetOf(at).steps);
      if (item) item.program = null;
      return { kind: 'set', at, fields: { program } };
    });
}

/**
 * Removes pages with what is bound on them, and whatever else is asked for. Put back they come in the order of their
 * list, whichever of them stands in which or is based on which: that is set when all of them are there.
 */
function removePages(
  draft: Draft,
  pages: readonly Page[],
  others: (slot: Slot) => boolean = () => false,
): readonly SingleEdit[] {
  const ids = new Set(pages.map(({ id }) => id));
  const bindings = removeBindings(draft, (slot) => ids.has(slot.layer) || others(slot));
  const back: SingleEdit[] = [];
  const inside: SingleEdit[] = [];
  // The last of the list first, so that what a page stood after is there again when it comes back.
  for (const page of draft.setup.pages.filter(({ id }) => ids.has(id)).toReversed()) {
    const at = itemAt.page(page.id);
    const edit = takeOut(draft, at, targetOf(at));
    if (edit?.kind !== 'add') continue;
    const { within, basedOn: base } = page;
    back.unshift({ ...edit, item: { ...page, within: null, basedOn: null } });
    if (within !== null || base !== null) inside.push({ kind: 'set', at, fields: { within, basedOn: base } });
  }
  return [...back, ...inside, ...bindings];
}

/** Removes the cells of some pages of a panel, with what is bound to them; gives what puts them back, in their order. */
function removeCells(draft: Draft, pages: ReadonlySet<string>): readonly SingleEdit[] {
  const back: SingleEdit[] = [];
  const bindings: SingleEdit[] = [];
  for (const device of draft.setup.devices.filter(({ panel }) => panel !== null)) {
    const going = device.controls.filter(({ cell }) => cell?.page && pages.has(cell.page));
    if (going.length === 0) continue;
    const ids = new Set(going.map(({ id }) => id));
    bindings.push(...removeBindings(draft, (slot) => slot.device === device.id && ids.has(slot.control)));
    for (const { id } of going.toReversed()) {
      const at = itemAt.control(device.id, id);
      const edit = takeOut(draft, at, targetOf(at));
      if (edit) back.unshift(edit);
    }
  }
  return [...back, ...bindings];
}

/** Profiles in such an order that each comes after what it is based on. */
function byBase(setup: Setup, ids: readonly string[]): readonly string[] {
  const depth = (profile: Profile | undefined): number => {
    const under = profile?.basedOn;
    return under && ids.includes(under) ? 1 + depth(setup.profiles[under]) : 0;
  };
  return ids.toSorted((a, b) => depth(setup.profiles[a]) - depth(setup.profiles[b]));
}

/** Removes every binding whose slot is asked for; gives what sets them again. */
export function removeBindings(draft: Draft, asked: (slot: Slot) => boolean): readonly SingleEdit[] {
  const back: SingleEdit[] = [];
  for (const profile of Object.values(draft.setup.profiles)) {
    for (const key of Object.keys(profile.bindings)) {
      if (!asked(slotIn(profile.id, key))) continue;
      const at = `${itemAt.profile(profile.id)}/bindings/${key}`;
      const edit = takeOut(draft, at, targetOf(at));
      if (edit) back.push(edit);
    }
  }
  return back;
}

/** As what an item of a kind is named by others; null where nothing can name it. */
function namedKind({ kind }: Target): NamedKind | null {
  switch (kind) {
    case 'device':
    case 'program':
    case 'command':
    case 'layer':
    case 'page':
    case 'profile':
    case 'macro':
    case 'radial-menu':
      return kind;
    case 'setup':
    case 'control':
    case 'rule':
    case 'binding':
    case 'step':
    case 'radial-item':
    case 'unreadable':
      return null;
  }
}
