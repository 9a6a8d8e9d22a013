import { newPage, type Page } from '../../page.ts';
import { BASE_LAYER } from '../../setup.ts';
import { isLoose, type Loose, objectsIn, partsOfLoose } from './loose.ts';

/** What of an older set-up says where its layers are shown as pages: as it was found, whatever is in it. */
export interface OldParts {
  readonly layers: unknown;
  /** By id, with their bindings by slot key. */
  readonly profiles: unknown;
  readonly macros: unknown;
  readonly radialMenus: unknown;
}

/** A layer that was shown as a page of a device, and the folder that it becomes there. */
export interface ShownLayer {
  readonly layer: string;
  readonly page: Page;
  /** Nothing else uses the layer there: what is bound moves. Where it is on as a layer too, it is copied. */
  readonly moves: boolean;
}

/** What becomes of the layers that were shown as pages. */
export interface PagePlan {
  readonly shown: readonly ShownLayer[];
  /** Layers with nothing left on them that nothing turns on. */
  readonly layersGone: ReadonlySet<string>;
}

/** The id of the folder that a layer becomes on a device: always the same, so that older edits find it. */
export function pageIdOf(layer: string, device: string): string {
  return `${layer.slice(0, 24)}-${device.slice(0, 34)}-page`;
}

/** The layer that an action of an older version shows as a page; null where it goes back, or is no such action. */
export function shownBy(action: Loose): string | null {
  return action.kind === 'page' && !('change' in action) && typeof action.page === 'string'
    ? action.page
    : null;
}

/** Works out what becomes of the layers of a set-up that were shown as pages of devices. */
export function planPages({ layers, profiles, macros, radialMenus }: OldParts): PagePlan {
  const bindings = partsOfLoose(profiles).flatMap(([, profile]) => partsOfLoose(profile.bindings));
  const showings = bindings.flatMap(([key, binding]) => {
    const device = deviceOf(key);
    const named = layersNamed(binding, radialMenus);
    return named.map((layer) => ({ layer, device }));
  });
  const turnedOn = new Set(
    [...bindings.map(([, binding]) => binding), macros, radialMenus]
      .flatMap((part) => objectsIn(part))
      .flatMap((object) => (object.kind === 'layer' ? [object.layer] : [])),
  );
  const known = partsOfLoose(layers).map(([, layer]) => layer);
  const shown = known.flatMap(({ id, name }) => {
    if (typeof id !== 'string' || id === BASE_LAYER) return [];
    const devices = new Set(showings.filter(({ layer }) => layer === id).map(({ device }) => device));
    return [...devices].map(
      (device): ShownLayer => ({
        layer: id,
        page: folder(id, String(name), device),
        moves: !turnedOn.has(id),
      }),
    );
  });
  const leaves = (key: string) => shown.some((each) => each.moves && isOn(key, each));
  const left = new Set(bindings.flatMap(([key]) => (leaves(key) ? [] : [layerOf(key)])));
  const layersGone = new Set(shown.flatMap(({ layer, moves }) => (moves && !left.has(layer) ? [layer] : [])));
  return { shown, layersGone };
}

/** It showed what was below it, as pages of that version did. */
function folder(layer: string, name: string, device: string): Page {
  return newPage({ id: pageIdOf(layer, device), device, kind: 'folder', name, showsThrough: true });
}

/** Whether a slot's key is of a layer on a device. */
export function isOn(key: string, { layer, page }: ShownLayer): boolean {
  return key.startsWith(`${layer}/${page.device}/`);
}

const layerOf = (key: string) => key.split('/')[0] ?? '';
const deviceOf = (key: string) => key.split('/')[1] ?? '';

/** The layers a binding shows as pages: by its action, or by those of the radial menu it opens, and of menus those open. */
function layersNamed(binding: Loose, menus: unknown): readonly string[] {
  const found = new Set<string>();
  const seen = new Set<unknown>();
  const open: unknown[] = [binding];
  for (let part = open.pop(); part !== undefined; part = open.pop()) {
    for (const object of objectsIn(part)) {
      const layer = shownBy(object);
      if (layer !== null) found.add(layer);
      if (object.kind !== 'radial' || seen.has(object.menu)) continue;
      seen.add(object.menu);
      for (const [, menu] of partsOfLoose(menus)) {
        const body = isLoose(menu.body) ? menu.body : menu;
        if (body.id === object.menu) open.push(body);
      }
    }
  }
  return [...found];
}
