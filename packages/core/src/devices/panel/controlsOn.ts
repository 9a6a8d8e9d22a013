import type { Control } from '../control.ts';
import type { Device } from '../device.ts';
import { shapeBox } from '../shapeBox.ts';

/**
 * The controls that are there while a page of a device shows. A panel has the cells of that page, of the pages it is based
 * on, and those of its own that are on every page, each where none of a nearer page lies in its place; any other device has
 * all of its controls.
 *
 * @param page null for the device's own
 * @param bases the pages it is based on, the nearest first
 */
export function controlsOn(
  device: Pick<Device, 'panel' | 'controls'>,
  page: string | null,
  bases: readonly string[],
): readonly Control[] {
  const { panel, controls } = device;
  if (!panel) return controls;
  const there = new Set<Control>();
  const take = (cells: readonly Control[]) => {
    const nearer = [...there];
    for (const control of cells) if (!nearer.some((other) => lieOver(other, control))) there.add(control);
  };
  for (const id of [page, ...bases]) take(controls.filter(({ cell }) => cell && cell.page === id));
  take(controls.filter((control) => isOnEveryPage(control) && !there.has(control)));
  return controls.filter((control) => !control.cell || there.has(control));
}

/** Whether a control is a cell of a panel's own page that is on every page. */
export function isOnEveryPage({ cell }: Control): boolean {
  return cell !== null && cell.page === null && cell.everyPage;
}

/** Pages may be divided by different grids, so places are compared as they are drawn. */
function lieOver(a: Control, b: Control): boolean {
  const [one, other] = [shapeBox(a.shape), shapeBox(b.shape)];
  return one.left < other.right && other.left < one.right && one.top < other.bottom && other.top < one.bottom;
}
