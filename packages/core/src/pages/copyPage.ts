import { triggersOf } from '../devices/index.ts';
import {
  aboutCopies,
  addedPages,
  bindingChanges,
  counterpartsOf,
  type Edit,
  type Page,
  pageCopies,
  pagesBelow,
  type Setup,
  slotOf,
  together,
} from '../setup/index.ts';
import { newPageName } from './pageTree.ts';

/** A copy of a page on a device, with the folders in it, and how much of what is bound has no control there. */
export interface PageCopy {
  readonly edit: Edit;
  /** The copy's id. */
  readonly id: string;
  /** How many bindings found no control. */
  readonly left: number;
}

/**
 * Copies a page with the folders in it and all that is bound on them to a device, perhaps its own. Each control's part
 * goes to the control with its id, else to the one of the same kind and place in the row.
 */
export function copyPage(setup: Setup, page: Page, device: string, idFor: (page: Page) => string): PageCopy {
  const from = page.device;
  const made = pageCopies([page, ...pagesBelow(setup, page.id)], device, idFor);
  const [first, ...inside] = made.pages;
  if (!first) throw new Error('no page');
  const named = { ...first, name: newPageName(setup, device, page.name) };
  const own = device === from ? { ...named, within: page.within } : named;
  const controls = counterpartsOf(setup, from, device);
  const target = setup.devices.find(({ id }) => id === device);
  let left = 0;
  const bound = Object.values(setup.profiles).flatMap(({ id: profile, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]) => {
      const slot = slotOf(profile, key);
      const layer = slot && made.ids.get(slot.layer);
      if (!slot || layer === undefined || layer === null) return [];
      const control = target?.controls.find(({ id }) => id === controls.get(slot.control));
      if (!control || !triggersOf(control).includes(slot.trigger)) {
        left += 1;
        return [];
      }
      const to = { ...slot, layer, device, control: control.id };
      return bindingChanges(to, null, aboutCopies(binding, made.ids, from, device));
    }),
  );
  return { edit: together([...addedPages(setup, [own, ...inside]), ...bound]), id: own.id, left };
}
