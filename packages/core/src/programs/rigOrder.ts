import { LIMITS, type Setup, type Slot } from '../setup/index.ts';

/** Slots in the order in which their rows stand: devices, controls, and of each the base layer first, pages last. */
export function inRigOrder<Placed extends Pick<Slot, 'device' | 'control' | 'layer'>>(
  { devices, layers, pages }: Setup,
  slots: readonly Placed[],
): readonly Placed[] {
  const places = placesOf(devices);
  const depth = new Map([...layers, ...pages].map(({ id }, i) => [id, i]));
  return slots
    .map((slot) => {
      const place = places.get(`${slot.device}/${slot.control}`) ?? places.size;
      return { slot, rank: place * (LIMITS.layers + LIMITS.pages) + (depth.get(slot.layer) ?? 0) };
    })
    .toSorted((a, b) => a.rank - b.rank)
    .map(({ slot }) => slot);
}

/** Where each control stands, worked out once for a rig: it is asked for each of two hundred profiles. */
const known = new WeakMap<Setup['devices'], ReadonlyMap<string, number>>();

function placesOf(devices: Setup['devices']): ReadonlyMap<string, number> {
  const before = known.get(devices);
  if (before) return before;
  const places = new Map<string, number>();
  for (const { id, controls } of devices)
    for (const control of controls) places.set(`${id}/${control.id}`, places.size);
  known.set(devices, places);
  return places;
}
