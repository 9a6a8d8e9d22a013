import { type Control, type Device, triggersOf } from '../devices/index.ts';
import {
  aboutCopies,
  addedPages,
  bindingChanges,
  counterpartsOf,
  type Edit,
  itemAt,
  type Page,
  pageCopies,
  pagesBelow,
  type Setup,
  type SingleEdit,
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

/** What is copied of a device that is no panel. */
const NO_CELLS = { controls: [] as readonly Control[], ids: new Map<string, string>() };

/** The cells of pages that are copied to a panel, under ids of their own. */
function copiedCells(
  source: Device,
  target: Device,
  pages: ReadonlyMap<string, string>,
  idFor: (copied: Pick<Page, 'id' | 'name'>) => string,
) {
  if (!source.panel || !target.panel) return NO_CELLS;
  const ids = new Map<string, string>();
  const controls = source.controls.flatMap((control): Control[] => {
    const { cell } = control;
    const page = cell?.page ? pages.get(cell.page) : undefined;
    if (!cell || page === undefined) return [];
    const id = idFor(control);
    ids.set(control.id, id);
    return [{ ...control, id, heardAs: [], cell: { ...cell, page } }];
  });
  return { controls, ids };
}

/**
 * Copies a page with the folders in it and all that is bound on them to a device, perhaps its own. Each control's part
 * goes to the control with its id, else to the one of the same kind and place in the row. A panel's page comes with
 * cells of its own.
 *
 * @param idFor gives each page and cell an id of its own
 */
export function copyPage(
  setup: Setup,
  page: Page,
  device: string,
  idFor: (copied: Pick<Page, 'id' | 'name'>) => string,
): PageCopy {
  const from = page.device;
  const made = pageCopies([page, ...pagesBelow(setup, page.id)], device, idFor);
  const [first, ...inside] = made.pages;
  if (!first) throw new Error('no page');
  const named = { ...first, name: newPageName(setup, device, page.name) };
  const own = device === from ? { ...named, within: page.within } : named;
  const source = setup.devices.find(({ id }) => id === from);
  const target = setup.devices.find(({ id }) => id === device);
  const cells = source && target ? copiedCells(source, target, made.ids, idFor) : NO_CELLS;
  const controls = new Map([...counterpartsOf(setup, from, device), ...cells.ids]);
  const here = new Map(
    [...(target?.controls ?? []), ...cells.controls].map((control) => [control.id, control]),
  );
  // Divided as it was, wherever it is now.
  const divided = (each: Page): Page =>
    device === from || each.grid
      ? each
      : { ...each, grid: target?.panel && source?.panel ? source.panel.grid : null };
  let left = 0;
  const bound = Object.values(setup.profiles).flatMap(({ id: profile, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]) => {
      const slot = slotOf(profile, key);
      const layer = slot && made.ids.get(slot.layer);
      if (!slot || layer === undefined || layer === null) return [];
      const control = here.get(controls.get(slot.control) ?? '');
      if (!control || !triggersOf(control).includes(slot.trigger)) {
        left += 1;
        return [];
      }
      const to = { ...slot, layer, device, control: control.id };
      return bindingChanges(to, null, aboutCopies(binding, made.ids, from, device));
    }),
  );
  const pages = addedPages(setup, [own, ...inside].map(divided));
  const added = cells.controls.map((item, i): SingleEdit => {
    const after = cells.controls[i - 1]?.id ?? target?.controls.at(-1)?.id ?? null;
    return { kind: 'add', at: itemAt.control(device, item.id), item, after };
  });
  return { edit: together([...pages, ...added, ...bound]), id: own.id, left };
}
