import { type CellArea, type Control, cellAt } from '@nimble-lever/core/devices';
import { areaBetween, changedAreas, isFree, type PanelPage, takenAreas } from '@nimble-lever/core/panels';

/** A place on the panel: millimetres. */
export interface PanelPoint {
  readonly x: number;
  readonly y: number;
}

/** Which edges of a cell are dragged. */
export interface Edges {
  readonly left: boolean;
  readonly right: boolean;
  readonly top: boolean;
  readonly bottom: boolean;
}

/** Areas that are drawn, moved or spanned at the moment: of cells by their ids, or of a new one. */
export interface Placing {
  readonly kind: 'draw' | 'move' | 'span';
  readonly areas: ReadonlyMap<string, CellArea>;
  /** They lie inside the grid and on no other cell. */
  readonly fits: boolean;
}

/** Under this a cell that is being drawn stands among areas. */
export const NEW_CELL = '';

/** Whether areas can stand where they are: beside each other, and beside all cells of the page but some. */
export function fit(
  { device, page, grid }: PanelPage,
  areas: ReadonlyMap<string, CellArea>,
  without: readonly string[],
): boolean {
  const taken = [...takenAreas(device, page?.id ?? null, without)];
  return [...areas.values()].every((area) => {
    const free = isFree(grid, taken, area);
    taken.push(area);
    return free;
  });
}

/** A cell drawn from one place to another. */
export function drawn(panel: PanelPage, from: PanelPoint, to: PanelPoint): Placing {
  const [a, b] = [from, to].map(({ x, y }) => cellAt(panel.device, panel.grid, x, y));
  const area = a && b ? areaBetween(a, b) : { column: 0, row: 0, columns: 1, rows: 1 };
  const areas = new Map([[NEW_CELL, area]]);
  return { kind: 'draw', areas, fits: fit(panel, areas, []) };
}

/** Cells moved from one place to another; null where one would leave the grid at its start. */
export function moved(
  panel: PanelPage,
  cells: readonly Control[],
  from: PanelPoint,
  to: PanelPoint,
  copies: boolean,
): Placing | null {
  const [a, b] = [from, to].map(({ x, y }) => cellAt(panel.device, panel.grid, x, y));
  if (!a || !b) return null;
  return changed(panel, cells, { column: b.column - a.column, row: b.row - a.row }, 'move', copies);
}

/** Cells moved or grown by so many columns and rows; null where that is nothing any more. */
export function changed(
  panel: PanelPage,
  cells: readonly Control[],
  by: Parameters<typeof changedAreas>[1],
  kind: 'move' | 'span',
  copies = false,
): Placing | null {
  const placed = cells.flatMap(({ id, cell }) => (cell ? [{ id, area: cell.area }] : []));
  const next = changedAreas(
    placed.map(({ area }) => area),
    by,
  );
  if (!next) return null;
  const areas = new Map(placed.map(({ id }, i) => [id, next[i] as CellArea]));
  return { kind, areas, fits: fit(panel, areas, copies ? [] : [...areas.keys()]) };
}

/** A cell whose edges are dragged to a place. */
export function spanned(
  panel: PanelPage,
  { id, cell }: Control,
  edges: Edges,
  to: PanelPoint,
): Placing | null {
  if (!cell) return null;
  const { column, row, columns, rows } = cell.area;
  const at = cellAt(panel.device, panel.grid, to.x, to.y);
  const [right, bottom] = [column + columns - 1, row + rows - 1];
  const start = {
    column: edges.left ? Math.min(at.column, right) : column,
    row: edges.top ? Math.min(at.row, bottom) : row,
  };
  const end = {
    column: edges.right ? Math.max(at.column, column) : right,
    row: edges.bottom ? Math.max(at.row, row) : bottom,
  };
  const areas = new Map([[id, areaBetween(start, end)]]);
  return { kind: 'span', areas, fits: fit(panel, areas, [id]) };
}

/** Which edges of a box a place is at, within a reach; null where it is at none. Millimetres. */
export function edgesAt(
  box: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number },
  { x, y }: PanelPoint,
  reach: number,
): Edges | null {
  const across = y > box.top - reach && y < box.bottom + reach;
  const down = x > box.left - reach && x < box.right + reach;
  const edges = {
    left: across && Math.abs(x - box.left) <= reach,
    right: across && Math.abs(x - box.right) <= reach,
    top: down && Math.abs(y - box.top) <= reach,
    bottom: down && Math.abs(y - box.bottom) <= reach,
  };
  return Object.values(edges).some(Boolean) ? edges : null;
}

/** The pointer over edges that can be dragged. */
export function cursorOf({ left, right, top, bottom }: Edges): string {
  if ((left && top) || (right && bottom)) return 'nwse-resize';
  if ((right && top) || (left && bottom)) return 'nesw-resize';
  return left || right ? 'ew-resize' : 'ns-resize';
}
