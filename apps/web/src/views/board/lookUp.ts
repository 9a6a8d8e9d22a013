import type { Control, Device, Trigger } from '@nimble-lever/core/devices';
import { profileChain, resolveBehaviour } from '@nimble-lever/core/resolve';
import { BASE_LAYER, type Setup, type Slot } from '@nimble-lever/core/setup';

/** A way of using a control. */
export interface UsePlace {
  readonly device: Device;
  readonly control: Control;
  readonly trigger: Trigger;
}

/** The layers a cell is looked up in: the one shown, then the base layer. */
export function layersOf(layer: string): readonly string[] {
  return layer === BASE_LAYER ? [BASE_LAYER] : [layer, BASE_LAYER];
}

/** What decides at a cell, with every place looked at. */
export function resolutionAt(setup: Setup, slot: Slot) {
  const chain = profileChain(setup, slot.profile);
  return resolveBehaviour(chain, layersOf(slot.layer), slot.device, slot.control, slot.trigger);
}
