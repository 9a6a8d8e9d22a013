import { describedInterfaces, readInterfaces } from '../devices/hid/index.ts';
import { cutName, type Device, freeId, fromCatalogue } from '../devices/index.ts';
import { slotOf } from './binding.ts';
import { itemAt } from './edits/address.ts';
import { bindingChanges } from './edits/changes.ts';
import { type Edit, type SingleEdit, together } from './edits/edit.ts';
import type { Page } from './page.ts';
import { aboutCopies, pageCopies } from './pageCopies.ts';
import type { Setup } from './setup.ts';

/**
 * A device as it came, under its own id and name: its model's, or what its descriptor says. Null where neither
 * is known.
 */
export function asItCame({ id, name, model, descriptor }: Device): Device | null {
  if (model !== null) {
    const found = fromCatalogue(model, id);
    return found && { ...found, name };
  }
  const read = descriptor === null ? null : readInterfaces(descriptor);
  return read && { ...describedInterfaces(read, id, name).device, descriptor };
}

/** Adds a copy of a device, with its pages and all that is bound to it, after it. What it is heard as stays with the first one. */
export function copyDevice(
  setup: Setup,
  device: string,
): { readonly id: string; readonly edit: Edit } | null {
  const found = setup.devices.find(({ id }) => id === device);
  if (!found) return null;
  const names = new Set(setup.devices.map(({ name }) => name));
  let name = found.name;
  for (let i = 2; names.has(name); i++) name = `${cutName(found.name, 56)} ${i}`;
  const id = freeId(name, new Set(setup.devices.map((other) => other.id)), 'device');
  const taken = new Set([...setup.layers, ...setup.pages].map((other) => other.id));
  const own = setup.pages.filter((page) => page.device === device);
  const { pages, ids } = pageCopies(own, id, (page) => {
    const made = freeId(page.id, taken, 'page');
    taken.add(made);
    return made;
  });
  const controls = found.controls.map((control) => {
    const { cell } = control;
    const page = cell?.page ? (ids.get(cell.page) ?? cell.page) : null;
    return { ...control, heardAs: [], cell: cell && { ...cell, page } };
  });
  const item = { ...found, id, name, controls };
  const added: SingleEdit = { kind: 'add', at: itemAt.device(id), item, after: device };
  const bound = Object.values(setup.profiles).flatMap(({ id: profile, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]) => {
      const slot = slotOf(profile, key);
      if (slot?.device !== device) return [];
      const to = { ...slot, layer: ids.get(slot.layer) ?? slot.layer, device: id };
      return bindingChanges(to, null, aboutCopies(binding, ids, device, id));
    }),
  );
  return { id, edit: together([added, ...addedPages(setup, pages), ...bound]) };
}

/** The edits that add pages after all others, in their order: one that stands in another, or is based on one, is so when all are there. */
export function addedPages(setup: Setup, pages: readonly Page[]): readonly SingleEdit[] {
  const added = pages.map((page, i): SingleEdit => {
    const after = pages[i - 1]?.id ?? setup.pages.at(-1)?.id ?? null;
    return { kind: 'add', at: itemAt.page(page.id), item: { ...page, within: null, basedOn: null }, after };
  });
  const inside = pages.flatMap(({ id, within, basedOn }): SingleEdit[] =>
    within === null && basedOn === null
      ? []
      : [{ kind: 'set', at: itemAt.page(id), fields: { within, basedOn } }],
  );
  return [...added, ...inside];
}
