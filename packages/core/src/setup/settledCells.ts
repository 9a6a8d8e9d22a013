import { type Control, cellCap, cellShape, type Device } from '../devices/index.ts';
import { gridOf } from './checkCells.ts';
import type { Page } from './page.ts';
import type { Setup } from './setup.ts';

/**
 * The cells of a panel whose outlines do not lie where their places say, each as it should be, by their index. A cell's
 * outline goes by its place, its page's grid and the panel's size, whoever changed which of them.
 */
export function unsettledCells(device: Device, pages: readonly Page[]): ReadonlyMap<number, Control> {
  const { panel } = device;
  const unsettled = new Map<number, Control>();
  if (!panel) return unsettled;
  const grids = new Map(pages.map((page) => [page.id, gridOf(panel, page)]));
  for (const [i, control] of device.controls.entries()) {
    const { cell } = control;
    if (!cell) continue;
    const shape = cellShape(device, grids.get(cell.page ?? '') ?? panel.grid, cell.area);
    const cap = cellCap(control, shape);
    const same = JSON.stringify([shape, cap]) === JSON.stringify([control.shape, control.cap]);
    if (!same) unsettled.set(i, { ...control, shape, cap });
  }
  return unsettled;
}

/** A set-up with the outlines of all cells where their places say. */
export function settled(setup: Setup): Setup {
  const devices = setup.devices.map((device) => {
    const moved = unsettledCells(device, setup.pages);
    if (moved.size === 0) return device;
    return { ...device, controls: device.controls.map((control, i) => moved.get(i) ?? control) };
  });
  return devices.every((device, i) => device === setup.devices[i]) ? setup : { ...setup, devices };
}
