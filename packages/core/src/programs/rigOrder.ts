import type { Setup, Slot } from '../setup/index.ts';

/** Slots in the order in which their rows stand: devices, controls, and of each the base layer first. */
export function inRigOrder<Placed extends Pick<Slot, 'device' | 'control' | 'layer'>>(
  { devices, layers }: Setup,
  slots: readonly Placed[],
): readonly Placed[] {
  const places = new Map<string, number>();
  for (const { id, controls } of devices)
    for (const control of controls) places.set(`${id}/${control.id}`, places.size);
  const depth = new Map(layers.map(({ id }, i) => [id, i]));
  const rank = ({ device, control, layer }: Placed) =>
    (places.get(`${device}/${control}`) ?? places.size) * 10 + (depth.get(layer) ?? 0);
  return slots.toSorted((a, b) => rank(a) - rank(b));
}
