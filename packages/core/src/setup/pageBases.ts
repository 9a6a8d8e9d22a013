import { type Control, controlsOn, type Device } from '../devices/index.ts';
import type { Page } from './page.ts';
import type { Setup } from './setup.ts';

/** The pages that a page is based on, the nearest first; a circle is cut where it closes. */
export function basesOf({ pages }: Pick<Setup, 'pages'>, page: string | null): readonly string[] {
  const bases: string[] = [];
  const find = (id: string | null): Page | undefined => pages.find((each) => each.id === id);
  for (let next = find(page)?.basedOn ?? null; next !== null; next = find(next)?.basedOn ?? null) {
    if (next === page || bases.includes(next)) break;
    bases.push(next);
  }
  return bases;
}

/**
 * The controls that are there while a page of a device shows; see `controlsOn`.
 *
 * @param page null for the device's own
 */
export function controlsOnPage(
  setup: Pick<Setup, 'pages'>,
  device: Pick<Device, 'panel' | 'controls'>,
  page: string | null,
): readonly Control[] {
  return controlsOn(device, page, basesOf(setup, page));
}

/**
 * A device with only the controls that are there while a page of it shows, for drawings and lists; one that is no panel is
 * itself.
 *
 * @param page null for the device's own
 */
export function deviceOnPage(setup: Pick<Setup, 'pages'>, device: Device, page: string | null): Device {
  return device.panel ? { ...device, controls: [...controlsOnPage(setup, device, page)] } : device;
}
