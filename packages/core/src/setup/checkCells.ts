import { type Device, type Grid, isInside, overlap } from '../devices/index.ts';
import type { Fault } from './fault.ts';
import type { Page } from './page.ts';
import type { Setup } from './setup.ts';

/** How a page of a panel is divided. */
export function gridOf(panel: NonNullable<Device['panel']>, page: Pick<Page, 'grid'> | null): Grid {
  return page?.grid ?? panel.grid;
}

/** What is wrong with the cells of every panel: a page that is not there, a place outside its grid, or one taken already. */
export function faultsOfCells(setup: Setup): readonly Fault[] {
  return setup.devices.flatMap((device, i) =>
    faultsOfPanel(device, setup.pages).map(({ at, refusal }) => ({
      at: ['devices', i, ...at],
      refusal,
    })),
  );
}

/** The same of one device, with the way from it. One that is no panel has no faults of this kind. */
export function faultsOfPanel(device: Device, allPages: readonly Page[]): readonly Fault[] {
  const { panel } = device;
  if (!panel) return [];
  const pages = new Map(allPages.filter((page) => page.device === device.id).map((page) => [page.id, page]));
  const placed = device.controls.flatMap(({ name, cell }, i) => (cell ? [{ name, cell, i }] : []));
  const faults: Fault[] = [];
  for (const [order, { name, cell, i }] of placed.entries()) {
    const at = ['controls', i, 'cell'];
    const page = cell.page === null ? null : pages.get(cell.page);
    if (page === undefined) {
      faults.push({ at: [...at, 'page'], refusal: { code: 'unknown-page', page: cell.page ?? '' } });
      continue;
    }
    if (!isInside(gridOf(panel, page), cell.area)) {
      faults.push({ at: [...at, 'area'], refusal: { code: 'cell-outside', cell: name } });
      continue;
    }
    const other = placed
      .slice(0, order)
      .find((before) => before.cell.page === cell.page && overlap(before.cell.area, cell.area));
    if (other) {
      faults.push({
        at: [...at, 'area'],
        refusal: { code: 'cells-overlap', cell: name, other: other.name },
      });
    }
  }
  return faults;
}
