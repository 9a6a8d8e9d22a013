import type { Control, Device, Trigger } from '@nimble-lever/core/devices';
import { coveringFolders, coveringOf, profileChain, resolveBehaviour } from '@nimble-lever/core/resolve';
import { BASE_LAYER, type Setup, type Slot } from '@nimble-lever/core/setup';

/** A way of using a control. */
export interface UsePlace {
  readonly device: Device;
  readonly control: Control;
  readonly trigger: Trigger;
}

/** Where a cell is looked up: the layer or page shown, then the base layer. */
export function layersOf(layer: string): readonly string[] {
  return layer === BASE_LAYER ? [BASE_LAYER] : [layer, BASE_LAYER];
}

/** What decides at a cell, with every place looked at. */
export function resolutionAt(setup: Setup, slot: Slot) {
  const chain = profileChain(setup, slot.profile);
  const { layer, device, control, trigger } = slot;
  const found = setup.devices.find(({ id }) => id === device)?.controls.find(({ id }) => id === control);
  const covering = coveringOf(coveringFolders(setup), found);
  return resolveBehaviour(chain, layersOf(layer), device, control, trigger, covering);
}
