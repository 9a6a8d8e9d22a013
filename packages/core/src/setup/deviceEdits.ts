import { describedDevice, parseDescriptor, readBytes } from '../devices/hid/index.ts';
import { type Device, freeId, fromCatalogue, triggersOf } from '../devices/index.ts';
import { type Slot, slotOf } from './binding.ts';
import type { Edit, SingleEdit } from './edit.ts';
import type { Setup } from './setup.ts';

/** Every slot of a device that is set, in all profiles and layers. */
function slotsOf(setup: Setup, device: string): readonly Slot[] {
  return Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.keys(bindings).flatMap((key) => {
      const slot = slotOf(id, key);
      return slot?.device === device ? [slot] : [];
    }),
  );
}

const cleared = (slot: Slot): SingleEdit => ({ kind: 'set-binding', slot, binding: null });

/** Takes a device out of the rig with all that is bound to it. */
export function removeDevice(setup: Setup, device: string): Edit {
  const gone: SingleEdit = { kind: 'set-device', id: device, item: null, at: 0 };
  return { kind: 'together', edits: [...slotsOf(setup, device).map(cleared), gone] };
}

/** Changes a device; what was bound to controls and triggers it no longer has goes with them. */
export function changeDevice(setup: Setup, next: Device): Edit {
  const at = setup.devices.findIndex(({ id }) => id === next.id);
  const fits = ({ control, trigger }: Slot) => {
    const known = next.controls.find(({ id }) => id === control);
    return known !== undefined && triggersOf(known).includes(trigger);
  };
  const lost = slotsOf(setup, next.id).filter((slot) => !fits(slot));
  const set: SingleEdit = { kind: 'set-device', id: next.id, item: next, at: Math.max(0, at) };
  return lost.length === 0 ? set : { kind: 'together', edits: [...lost.map(cleared), set] };
}

/**
 * A device as it came, under its own id and name: its model's, or what its descriptor says. Null where neither
 * is known.
 */
export function asItCame({ id, name, model, descriptor }: Device): Device | null {
  if (model !== null) {
    const found = fromCatalogue(model, id);
    return found && { ...found, name };
  }
  const bytes = descriptor === null ? null : readBytes(descriptor);
  const parsed = bytes?.ok ? parseDescriptor(bytes.value) : null;
  return parsed?.ok ? { ...describedDevice(parsed.value, id, name).device, descriptor } : null;
}

/** Adds a copy of a device, with all that is bound to it, after it. What it is heard as stays with the first one. */
export function copyDevice(
  setup: Setup,
  device: string,
): { readonly id: string; readonly edit: Edit } | null {
  const at = setup.devices.findIndex(({ id }) => id === device);
  const found = setup.devices[at];
  if (!found) return null;
  const names = new Set(setup.devices.map(({ name }) => name));
  let name = found.name;
  for (let i = 2; names.has(name); i++) name = `${found.name.slice(0, 56)} ${i}`;
  const id = freeId(name, new Set(setup.devices.map((other) => other.id)), 'device');
  const controls = found.controls.map((control) => ({ ...control, heardAs: [] }));
  const added: SingleEdit = { kind: 'set-device', id, item: { ...found, id, name, controls }, at: at + 1 };
  const bound = slotsOf(setup, device).flatMap((slot): SingleEdit[] => {
    const key = `${slot.layer}/${device}/${slot.control}/${slot.trigger}`;
    const binding = setup.profiles[slot.profile]?.bindings[key];
    return binding ? [{ kind: 'set-binding', slot: { ...slot, device: id }, binding }] : [];
  });
  return { id, edit: { kind: 'together', edits: [added, ...bound] } };
}
