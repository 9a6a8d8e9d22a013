import { BASE_LAYER, type Setup, type Slot } from '@nimble-lever/core/setup';
import { deviceName, layerName, triggerNameIn } from '@nimble-lever/core/words';
import { WORDS } from './words.ts';

/** A way of using a control: `Bench dial, press`, and in which layer where that is not the base. */
export function placeWords(setup: Setup, { device, control, trigger, layer }: Slot): string {
  const place = `${deviceName(setup, device)}, ${triggerNameIn(setup, device, control, trigger).toLowerCase()}`;
  return layer === BASE_LAYER ? place : `${place}, ${WORDS.inLayer(layerName(setup, layer))}`;
}
