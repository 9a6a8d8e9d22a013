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

/** A layer's page is shown on a device, or (null) the page before it. */
export function showPage(context: StepContext, page: string | null, owner: Using): void {
  const { device } = owner;
  const open = context.state.pages[device] ?? [];
  if (page === null ? open.length === 0 : open.at(-1)?.page === page) return;
  setPages(context, device, page === null ? open.slice(0, -1) : [...open, { page, owner }]);
}

/** Closes the pages of every device that `which` picks, with those opened on top of them. */
export function closePages(context: StepContext, which: (owner: Using) => boolean): void {
  for (const [device, open] of Object.entries(context.state.pages)) {
    const first = open.findIndex(({ owner }) => which(owner));
    if (first >= 0) setPages(context, device, open.slice(0, first));
  }
}

/** The most pages that may be open on top of each other. */
const MOST_PAGES = 20;

/** More than may be open: the oldest is forgotten, the way back stays. */
function setPages(context: StepContext, device: string, open: StepContext['state']['pages'][string]): void {
  const kept = open.slice(-MOST_PAGES);
  context.state.pages =
    kept.length > 0 ? withEntry(context.state.pages, device, kept) : without(context.state.pages, device);
  context.changes.push({ kind: 'page', device, page: kept.at(-1)?.page ?? null });
}
