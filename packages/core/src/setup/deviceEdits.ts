import { describedInterfaces, readInterfaces } from '../devices/hid/index.ts';
import { cutName, type Device, freeId, fromCatalogue } from '../devices/index.ts';
import { slotOf } from './binding.ts';
import { itemAt } from './edits/address.ts';
import { bindingChanges } from './edits/changes.ts';
import { type Edit, type SingleEdit, together } from './edits/edit.ts';
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

/** Adds a copy of a device, with all that is bound to it, after it. What it is heard as stays with the first one. */
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
  const controls = found.controls.map((control) => ({ ...control, heardAs: [] }));
  const item = { ...found, id, name, controls };
  const added: SingleEdit = { kind: 'add', at: itemAt.device(id), item, after: device };
  const bound = Object.values(setup.profiles).flatMap(({ id: profile, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]) => {
      const slot = slotOf(profile, key);
      return slot?.device === device ? bindingChanges({ ...slot, device: id }, null, binding) : [];
    }),
  );
  return { id, edit: together([added, ...bound]) };
}
