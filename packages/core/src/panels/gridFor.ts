import {
  type Cell,
  type CellArea,
  cellCap,
  cellShape,
  type Device,
  type Grid,
  isInside,
  MOST_COLUMNS,
  MOST_ROWS,
  overlap,
  shapeBox,
} from '../devices/index.ts';
import { itemAt, type SingleEdit } from '../setup/index.ts';

/** So far the edges of cells may lie from those of the controls they come from, on average: millimetres. */
const NEAR = 4;

/** A grid that the controls of a device fit, each with its area. */
interface Fitting {
  readonly grid: Grid;
  readonly areas: readonly CellArea[];
  /** How far edges lie from where they were, on average: millimetres. */
  readonly off: number;
}

/**
 * The edits that divide a touch panel by a grid which its controls fit as they lie: they become cells of its own page and
 * keep all that is bound to them. The coarsest grid that is near enough, else the nearest; null where they fit none, or
 * where it is divided already.
 */
export function gridForPanel(device: Device): readonly SingleEdit[] | null {
  if (device.kind !== 'touch-panel' || device.panel) return null;
  const fitting: Fitting[] = [];
  for (let columns = 1; columns <= MOST_COLUMNS; columns++) {
    for (let rows = 1; rows <= MOST_ROWS; rows++) {
      const found = fit(device, { columns, rows });
      if (found) fitting.push(found);
    }
  }
  const fields = ({ grid }: Fitting) => grid.columns * grid.rows;
  const near = fitting.filter(({ off }) => off <= NEAR).toSorted((a, b) => fields(a) - fields(b));
  const best = near[0] ?? fitting.toSorted((a, b) => a.off - b.off)[0];
  if (!best) return null;
  const panel = { grid: best.grid, picture: null, distance: 600 };
  return [
    ...device.controls.flatMap((control, i): SingleEdit[] => {
      const area = best.areas[i];
      if (!area) return [];
      const labelPlace = control.kind === 'slider' ? 'bottom' : 'middle';
      const shape = cellShape(device, best.grid, area);
      const cell: Cell = {
        page: null,
        everyPage: false,
        area,
        seeThrough: false,
        labelPlace,
        labelSize: null,
        letters: 'paper',
        picture: null,
      };
      // How it is drawn then is said, too, so that an undo knows how it was.
      const fields = { cell, shape, cap: cellCap(control, shape) };
      return [{ kind: 'set', at: itemAt.control(device.id, control.id), fields }];
    }),
    { kind: 'set', at: itemAt.device(device.id), fields: { panel } },
  ];
}

/** Each control at the nearest column and row; null where two would lie on each other. */
function fit(device: Device, grid: Grid): Fitting | null {
  const [across, down] = [device.width / grid.columns, device.height / grid.rows];
  const areas: CellArea[] = [];
  let off = 0;
  for (const { shape } of device.controls) {
    const { left, top, right, bottom } = shapeBox(shape);
    const area = {
      column: Math.round(left / across),
      row: Math.round(top / down),
      columns: Math.max(1, Math.round((right - left) / across)),
      rows: Math.max(1, Math.round((bottom - top) / down)),
    };
    if (!isInside(grid, area) || areas.some((other) => overlap(other, area))) return null;
    const drawn = shapeBox(cellShape(device, grid, area));
    off +=
      Math.abs(drawn.left - left) +
      Math.abs(drawn.top - top) +
      Math.abs(drawn.right - right) +
      Math.abs(drawn.bottom - bottom);
    areas.push(area);
  }
  return { grid, areas, off: off / (4 * Math.max(1, areas.length)) };
}
