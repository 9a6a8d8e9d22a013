import { BASE_LAYER, pagesAbove } from '../setup/index.ts';
import type { Compiled } from './compile.ts';
import { NO_PROGRAM, programFor } from './shownPage.ts';
import type { EngineState } from './state.ts';

/**
 * The state with a layer on, or a page shown on its device, as if one had come to it: a folder through those it is kept
 * in, a set with the program in front. For trying out what is bound there.
 *
 * @param layer a layer of the set-up or a page; the base layer leaves the state as it is
 */
export function showing(compiled: Compiled, state: EngineState, layer: string): EngineState {
  const page = compiled.pages.byId.get(layer);
  if (!page) {
    if (layer === BASE_LAYER || state.layers.includes(layer)) return state;
    return { ...state, layers: [layer, ...state.layers], layerHolds: { ...state.layerHolds, [layer]: 1 } };
  }
  const { id, device, kind } = page;
  if (kind === 'folder') {
    const open = [
      ...pagesAbove(compiled.setup, page)
        .toReversed()
        .map((above) => above.id),
      id,
    ];
    return { ...state, folders: { ...state.folders, [device]: open } };
  }
  const program = programFor(compiled, state, device) ?? NO_PROGRAM;
  return { ...state, sets: { ...state.sets, [device]: { ...state.sets[device], [program]: id } } };
}
