import { type CellArea, type Device, type Grid, isInside, overlap } from '../devices/index.ts';
import { basesOf, gridOf, type Page, type Setup } from '../setup/index.ts';

/** A page of a panel: how it is divided, and what lies on it. */
export interface PanelPage {
  readonly device: Device;
  readonly page: Page | null;
  readonly grid: Grid;
  /** The pages it is based on, the nearest first. */
  readonly bases: readonly string[];
}

/** A page of a panel by their ids; null for a device that is no panel. */
export function panelPage(setup: Setup, device: string, page: string | null): PanelPage | null {
  const found = setup.devices.find(({ id }) => id === device);
  const own = setup.pages.find((each) => each.id === page && each.device === device) ?? null;
  return found?.panel
    ? { device: found, page: own, grid: gridOf(found.panel, own), bases: basesOf(setup, page) }
    : null;
}

/** The areas that the cells of a page itself take, without some of them. */
export function takenAreas(
  { controls }: Pick<Device, 'controls'>,
  page: string | null,
  without: readonly string[] = [],
): readonly CellArea[] {
  return controls.flatMap(({ id, cell }) =>
    cell && cell.page === page && !without.includes(id) ? [cell.area] : [],
  );
}

/** Whether an area lies inside a grid and on nothing that is taken. */
export function isFree(grid: Grid, taken: readonly CellArea[], area: CellArea): boolean {
  return isInside(grid, area) && !taken.some((other) => overlap(other, area));
}

/** The first free area so many columns wide and rows high, row by row from a place on, then from the top; null for none. */
export function firstFree(
  grid: Grid,
  taken: readonly CellArea[],
  { columns, rows }: Pick<CellArea, 'columns' | 'rows'>,
  from: Pick<CellArea, 'column' | 'row'> = { column: 0, row: 0 },
): CellArea | null {
  const places = Array.from({ length: grid.columns * grid.rows }, (_, i) => ({
    column: i % grid.columns,
    row: Math.floor(i / grid.columns),
    columns,
    rows,
  }));
  const begin = from.row * grid.columns + from.column;
  const ordered = [...places.slice(begin), ...places.slice(0, begin)];
  return ordered.find((area) => isFree(grid, taken, area)) ?? null;
}

/** The area between two corners, whichever is which: both included. */
export function areaBetween(
  a: Pick<CellArea, 'column' | 'row'>,
  b: Pick<CellArea, 'column' | 'row'>,
): CellArea {
  return {
    column: Math.min(a.column, b.column),
    row: Math.min(a.row, b.row),
    columns: Math.abs(a.column - b.column) + 1,
    rows: Math.abs(a.row - b.row) + 1,
  };
}

/** Some areas moved and grown by so many columns and rows; null where one would be nothing or leave the grid at its start. */
export function changedAreas(
  areas: readonly CellArea[],
  by: { readonly column?: number; readonly row?: number; readonly columns?: number; readonly rows?: number },
): readonly CellArea[] | null {
  const changed = areas.map(({ column, row, columns, rows }) => ({
    column: column + (by.column ?? 0),
    row: row + (by.row ?? 0),
    columns: columns + (by.columns ?? 0),
    rows: rows + (by.rows ?? 0),
  }));
  return changed.every(({ column, row, columns, rows }) => column >= 0 && row >= 0 && columns > 0 && rows > 0)
    ? changed
    : null;
}

/** To which side, or to which size, several cells are brought. */
export type Alignment = 'left' | 'right' | 'top' | 'bottom' | 'same-width' | 'same-height';

/** Some areas aligned with the first of them; it stays as it is. */
export function alignedAreas(areas: readonly CellArea[], how: Alignment): readonly CellArea[] {
  const [first] = areas;
  if (!first) return [];
  return areas.map((area) => ({ ...area, ...aligned(area, first, how) }));
}

function aligned(area: CellArea, first: CellArea, how: Alignment): Partial<CellArea> {
  switch (how) {
    case 'left':
      return { column: first.column };
    case 'right':
      return { column: Math.max(0, first.column + first.columns - area.columns) };
    case 'top':
      return { row: first.row };
    case 'bottom':
      return { row: Math.max(0, first.row + first.rows - area.rows) };
    case 'same-width':
      return { columns: first.columns };
    case 'same-height':
      return { rows: first.rows };
  }
}
