import { BASE_LAYER } from '../setup/index.ts';
import { type Run, withEntry, without } from './run.ts';
import type { Using } from './state.ts';

/** Something keeps a layer on; it is on until the last such thing lets go. */
export function layerOn(run: Run, layer: string): void {
  run.state.layerHolds = withEntry(run.state.layerHolds, layer, (run.state.layerHolds[layer] ?? 0) + 1);
  orderLayers(run);
}

export function layerOff(run: Run, layer: string): void {
  const count = run.state.layerHolds[layer] ?? 0;
  run.state.layerHolds =
    count > 1 ? withEntry(run.state.layerHolds, layer, count - 1) : without(run.state.layerHolds, layer);
  orderLayers(run);
}

/** Puts the active layers in the set-up's order, the topmost first, and says which came or went. */
export function orderLayers(run: Run): void {
  const { layerHolds, layers: before } = run.state;
  const on = run.compiled.setup.layers.filter(({ id }) => id !== BASE_LAYER && layerHolds[id] !== undefined);
  const layers = [...on.map(({ id }) => id).toReversed(), BASE_LAYER];
  const came = layers.filter((id) => !before.includes(id));
  const went = before.filter((id) => !layers.includes(id));
  if (came.length + went.length === 0) return;
  run.state.layers = layers;
  for (const layer of came) run.changes.push({ kind: 'layer', layer, on: true });
  for (const layer of went) run.changes.push({ kind: 'layer', layer, on: false });
}

/** Turns a layer on for the next press only; the same control again takes that back. */
export function onceLayer(run: Run, layer: string, owner: Using): void {
  const own = run.state.once.find((each) => each.layer === layer && each.owner.key === owner.key);
  if (own) {
    dropOnce(run, (each) => each === own);
    return;
  }
  run.state.once = [...run.state.once, { layer, owner }];
  layerOn(run, layer);
}

/** A press is made: layers that other controls turned on for one press go off. */
export function useUpOnce(run: Run, control: string): void {
  if (run.state.once.length > 0) {
    dropOnce(run, ({ owner }) => owner.key !== control);
  }
}

/** Turns layers off that were on for one press. */
export function dropOnce(run: Run, which: (each: { readonly owner: Using }) => boolean): void {
  const gone = run.state.once.filter(which);
  if (gone.length === 0) return;
  run.state.once = run.state.once.filter((each) => !gone.includes(each));
  for (const { layer } of gone) layerOff(run, layer);
}

/** A layer's page is shown on a device, or (null) the page before it. */
export function showPage(run: Run, page: string | null, owner: Using): void {
  const { device } = owner;
  const open = run.state.pages[device] ?? [];
  if (page === null ? open.length === 0 : open.at(-1)?.page === page) return;
  setPages(run, device, page === null ? open.slice(0, -1) : [...open, { page, owner }]);
}

/** Closes the pages of every device that `which` picks, with those opened on top of them. */
export function closePages(run: Run, which: (owner: Using) => boolean): void {
  for (const [device, open] of Object.entries(run.state.pages)) {
    const first = open.findIndex(({ owner }) => which(owner));
    if (first >= 0) setPages(run, device, open.slice(0, first));
  }
}

/** The most pages that may be open on top of each other. */
const MOST_PAGES = 20;

function setPages(run: Run, device: string, open: Run['state']['pages'][string]): void {
  const kept = open.slice(-MOST_PAGES);
  run.state.pages =
    kept.length > 0 ? withEntry(run.state.pages, device, kept) : without(run.state.pages, device);
  run.changes.push({ kind: 'page', device, page: kept.at(-1)?.page ?? null });
}
