import type { Control } from '../control.ts';
import type { Device } from '../device.ts';
import { shapeBox } from '../shapeBox.ts';

/**
 * The controls that are there while a page of a device shows. A panel has the cells of that page, and those of its own
 * that are on every page where none of the page's lies in their place; any other device has all of its controls.
 *
 * @param page null for the device's own
 */
export function controlsOn(
  device: Pick<Device, 'panel' | 'controls'>,
  page: string | null,
): readonly Control[] {
  const { panel, controls } = device;
  if (!panel) return controls;
  const own = controls.filter(({ cell }) => cell?.page === page);
  return controls.filter((control) => {
    const { cell } = control;
    if (!cell || cell.page === page) return true;
    return isOnEveryPage(control) && !own.some((other) => lieOver(other, control));
  });
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
