import { type Device, freeId, triggersOf } from '../devices/index.ts';
import { renamed, type Setup, type Slot, slotOf } from '../setup/index.ts';
import { matchControls, type WithControls } from './matchControls.ts';

/** What becomes of a device that comes: one of one's own takes its place, control by control, or (null) it is added. */
export interface DeviceMapping {
  readonly to: string | null;
  /** One's own control for each of its controls; null for none. */
  readonly controls: Readonly<Record<string, string | null>>;
}
/** By the ids of the devices that come. */
export type Mapping = Readonly<Record<string, DeviceMapping>>;

/** Proposes what becomes of each device: the very one, else one of the same model, else one of its kind, each once. */
export function proposeMapping(now: Setup, coming: Setup): Mapping {
  const left = [...now.devices];
  const taken = new Map<string, Device>();
  const fits: readonly ((own: Device, other: Device) => boolean)[] = [
    (own, other) => own.id === other.id && own.kind === other.kind,
    (own, other) => own.model !== null && own.model === other.model,
    (own, other) => own.kind === other.kind,
  ];
  for (const fit of fits) {
    for (const device of coming.devices) {
      if (taken.has(device.id)) continue;
      const at = left.findIndex((own) => fit(own, device));
      const [own] = at < 0 ? [] : left.splice(at, 1);
      if (own) taken.set(device.id, own);
    }
  }
  return Object.fromEntries(
    coming.devices.map((device) => [device.id, mappingTo(device, taken.get(device.id) ?? null)]),
  );
}

/** What becomes of a device where one's own takes its place, or (null) none does. */
export function mappingTo(device: WithControls, own: Device | null): DeviceMapping {
  return own ? { to: own.id, controls: matchControls(device, own) } : { to: null, controls: {} };
}

/** A set-up with one's own devices in place of those that come, and what of it has no place on them. */
export interface Mapped {
  readonly setup: Setup;
  readonly lost: readonly Slot[];
  /** The ids that its devices have now, by those they had. */
  readonly ids: ReadonlyMap<string, string>;
}

/** Puts one's own devices in the place of those that come. */
export function mapDevices(now: Setup, coming: Setup, mapping: Mapping): Mapped {
  const taken = new Set(now.devices.map(({ id }) => id));
  const ids = new Map<string, string>();
  for (const { id } of coming.devices) {
    const to = mapping[id]?.to ?? null;
    const isOwn = to !== null && now.devices.some((own) => own.id === to);
    const next = isOwn && to !== null ? to : freeId(id, taken, 'device');
    taken.add(next);
    ids.set(id, next);
  }
  const before = new Map([...ids].map(([id, next]) => [next, id]));
  const setup = renamed(coming, (kind, id) => (kind === 'device' ? (ids.get(id) ?? id) : id));
  const own = new Map(now.devices.map((device) => [device.id, device]));
  const names = new Set(now.devices.map(({ name }) => name));
  // Two of one name could not be told apart.
  const named = (device: Device): Device => {
    let { name } = device;
    for (let n = 2; names.has(name); n++) name = `${device.name.slice(0, 55)} ${n}`;
    names.add(name);
    return name === device.name ? device : { ...device, name };
  };
  const devices = new Map(setup.devices.map((device) => [device.id, own.get(device.id) ?? named(device)]));
  const lost: Slot[] = [];
  const profiles = Object.values(setup.profiles).map((profile) => {
    const bindings: Record<string, (typeof profile.bindings)[string]> = {};
    for (const [key, binding] of Object.entries(profile.bindings)) {
      const slot = slotOf(profile.id, key);
      const device = slot && devices.get(slot.device);
      if (!slot || !device) continue;
      const original = before.get(slot.device) ?? slot.device;
      const isOwn = own.has(slot.device);
      const id = isOwn ? (mapping[original]?.controls[slot.control] ?? null) : slot.control;
      const control = device.controls.find((each) => each.id === id);
      const to = control && `${slot.layer}/${slot.device}/${control.id}/${slot.trigger}`;
      const fits =
        control && triggersOf(control).includes(slot.trigger) && !Object.hasOwn(bindings, to ?? '');
      if (to && fits) bindings[to] = binding;
      else lost.push({ ...slot, device: original });
    }
    return [profile.id, { ...profile, bindings }] as const;
  });
  return {
    setup: { ...setup, devices: [...devices.values()], profiles: Object.fromEntries(profiles) },
    lost,
    ids,
  };
}
