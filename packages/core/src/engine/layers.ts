import { BASE_LAYER } from '../setup/index.ts';
import { withEntry, without } from './record.ts';
import type { Using } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Something keeps a layer on; it is on until the last such thing lets go. */
export function layerOn(context: StepContext, layer: string): void {
  context.state.layerHolds = withEntry(
    context.state.layerHolds,
    layer,
    (context.state.layerHolds[layer] ?? 0) + 1,
  );
  orderLayers(context);
}

/** One thing less keeps a layer on. */
export function layerOff(context: StepContext, layer: string): void {
  const count = context.state.layerHolds[layer] ?? 0;
  context.state.layerHolds =
    count > 1
      ? withEntry(context.state.layerHolds, layer, count - 1)
      : without(context.state.layerHolds, layer);
  orderLayers(context);
}

/** Puts the active layers in the set-up's order, the topmost first, and says which came or went. */
export function orderLayers(context: StepContext): void {
  const { layerHolds, layers: before } = context.state;
  const on = context.compiled.setup.layers.filter(
    ({ id }) => id !== BASE_LAYER && layerHolds[id] !== undefined,
  );
  const layers = [...on.map(({ id }) => id).toReversed(), BASE_LAYER];
  const came = layers.filter((id) => !before.includes(id));
  const went = before.filter((id) => !layers.includes(id));
  if (came.length + went.length === 0) return;
  context.state.layers = layers;
  for (const layer of came) context.changes.push({ kind: 'layer', layer, on: true });
  for (const layer of went) context.changes.push({ kind: 'layer', layer, on: false });
}

/** Turns a layer on for the next press only; the same control again takes that back. */
export function onceLayer(context: StepContext, layer: string, owner: Using): void {
  const own = context.state.once.find((each) => each.layer === layer && each.owner.key === owner.key);
  if (own) {
    dropOnce(context, (each) => each === own);
    return;
  }
  context.state.once = [...context.state.once, { layer, owner }];
  layerOn(context, layer);
}

/** A press is made: layers that other controls turned on for one press go off. */
export function useUpOnce(context: StepContext, control: string): void {
  if (context.state.once.length > 0) {
    dropOnce(context, ({ owner }) => owner.key !== control);
  }
}

/** Turns layers off that were on for one press. */
export function dropOnce(context: StepContext, which: (each: { readonly owner: Using }) => boolean): void {
  const gone = context.state.once.filter(which);
  if (gone.length === 0) return;
  context.state.once = context.state.once.filter((each) => !gone.includes(each));
  for (const { layer } of gone) layerOff(context, layer);
}
