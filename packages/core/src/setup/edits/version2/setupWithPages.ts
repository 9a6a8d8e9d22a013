import { isLoose, type Loose, mapObjects, partsOfLoose } from './loose.ts';
import { isOn, type PagePlan, planPages, shownBy } from './planPages.ts';

/** Finds the folder that a layer became on a device (null: on any); null where it became none. */
export type PageFinder = (layer: string, device: string | null) => string | null;

/** Finds pages in a plan. */
export function finderIn({ shown }: PagePlan): PageFinder {
  return (layer, device) =>
    shown.find((each) => each.layer === layer && (device === null || each.page.device === device))?.page.id ??
    null;
}

/** A value with the actions about pages in it as they are now, for a control of a device (null: not known which). */
export function withPageActions(value: unknown, device: string | null, find: PageFinder): unknown {
  return mapObjects(value, (object) => {
    if (object.kind !== 'page' || 'change' in object) return object;
    const layer = shownBy(object);
    if (layer === null) return { kind: 'page', change: 'back', page: null, device: null };
    const page = find(layer, device);
    // The base layer as a page was the device's own; so is what nothing is known of.
    return page === null
      ? { kind: 'page', change: 'home', page: null, device: null }
      : { kind: 'page', change: 'open', page, device: null };
  });
}

/** The bindings of a profile, each where it stands now, with what it does now. */
export function bindingsWithPages(bindings: Loose, plan: PagePlan): Loose {
  const find = finderIn(plan);
  return Object.fromEntries(
    Object.entries(bindings).flatMap(([key, binding]): (readonly [string, unknown])[] => {
      const device = key.split('/')[1] ?? null;
      const now = withPageActions(binding, device, find);
      const shown = plan.shown.find((each) => isOn(key, each));
      if (!shown) return [[key, now]];
      const onPage = `${shown.page.id}${key.slice(shown.layer.length)}`;
      return shown.moves
        ? [[onPage, now]]
        : [
            [key, now],
            [onPage, now],
          ];
    }),
  );
}

/**
 * A set-up of version 3 or older, in which a layer could be shown as a page: each such layer becomes a folder of its
 * device, that lets through what is below.
 */
export function setupWithPages(setup: unknown): unknown {
  if (!isLoose(setup)) return setup;
  const { layers, profiles, macros, radialMenus } = setup;
  const plan = planPages({ layers, profiles, macros, radialMenus });
  const find = finderIn(plan);
  const now = partsOfLoose(profiles).map(([id, profile]) => [
    id,
    isLoose(profile.bindings) ? { ...profile, bindings: bindingsWithPages(profile.bindings, plan) } : profile,
  ]);
  const isGone = (layer: unknown) => isLoose(layer) && plan.layersGone.has(String(layer.id));
  return {
    ...setup,
    ...(Array.isArray(layers) && { layers: layers.filter((layer) => !isGone(layer)) }),
    ...(plan.shown.length > 0 && { pages: plan.shown.map(({ page }) => page) }),
    ...(isLoose(profiles) && { profiles: { ...profiles, ...Object.fromEntries(now) } }),
    ...('radialMenus' in setup && { radialMenus: withPageActions(radialMenus, null, find) }),
  };
}
