import type { Action } from './action.ts';
import type { Binding } from './binding.ts';
import type { Page } from './page.ts';

/** Pages under other ids, on another device perhaps, and how what names them is to be said now. */
export interface PageCopies {
  /** In the order in which the pages stand; each in the copy of what it stood in. */
  readonly pages: readonly Page[];
  /** By the id of a page: that of its copy. */
  readonly ids: ReadonlyMap<string, string>;
}

/**
 * Copies of pages. A folder that stood in a page which is not copied stands in the device's own; one that was based on such
 * a page is based on none.
 *
 * @param idFor gives each an id of its own
 */
export function pageCopies(
  pages: readonly Page[],
  device: string,
  idFor: (page: Page) => string,
): PageCopies {
  const ids = new Map(pages.map((page) => [page.id, idFor(page)]));
  const copies = pages.map((page) => ({
    ...page,
    id: ids.get(page.id) ?? page.id,
    device,
    within: page.within === null ? null : (ids.get(page.within) ?? null),
    basedOn: page.basedOn === null ? null : (ids.get(page.basedOn) ?? null),
  }));
  return { pages: copies, ids };
}

/** A binding that is about the copies, where it was about the pages, and about the device they are on. */
export function aboutCopies(
  binding: Binding,
  ids: ReadonlyMap<string, string>,
  from: string,
  to: string,
): Binding {
  const { behaviour } = binding;
  const now = (action: Action): Action => {
    if (action.kind !== 'page') return action;
    const page = action.page === null ? null : (ids.get(action.page) ?? action.page);
    return { ...action, page, device: action.device === from ? to : action.device };
  };
  switch (behaviour.kind) {
    case 'native':
      return binding;
    case 'off':
      return { ...binding, behaviour: { ...behaviour, sends: behaviour.sends && now(behaviour.sends) } };
    case 'action':
      return { ...binding, behaviour: { ...behaviour, action: now(behaviour.action) } };
  }
}
