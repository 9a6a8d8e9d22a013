import type { Shape } from '../shape.ts';
import type { CellArea } from './cell.ts';
import type { Grid } from './touchPanel.ts';

/** From the edge of a panel to its grid, and between two cells: millimetres. Common practice, no source. */
const MARGIN = 4;
const GAP = 3;
/** Between small cells, and at the edges of a small panel, less: so much of a column or row, and of the panel. */
const GAP_PART = 0.12;
const MARGIN_PART = 0.03;
/** Corners are round: millimetres, at most so much of the shorter side. */
const RADIUS = 3;
const RADIUS_PART = 0.15;

/** Width and height: millimetres. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/** A page of a panel as it is divided: where the grid begins, how far its lines are apart. Millimetres. */
export interface Divided {
  readonly margin: number;
  readonly across: number;
  readonly down: number;
  readonly gap: number;
}

/** Divides a panel of a size by a grid. */
export function dividePanel({ width, height }: Size, { columns, rows }: Grid): Divided {
  const margin = Math.min(MARGIN, MARGIN_PART * Math.min(width, height));
  const across = (width - 2 * margin) / columns;
  const down = (height - 2 * margin) / rows;
  return { margin, across, down, gap: Math.min(GAP, GAP_PART * Math.min(across, down)) };
}

/** The outline of a cell on a panel: millimetres, to a thousandth. */
export function cellShape(size: Size, grid: Grid, area: CellArea): Extract<Shape, { kind: 'rect' }> {
  const { margin, across, down, gap } = dividePanel(size, grid);
  const width = area.columns * across - gap;
  const height = area.rows * down - gap;
  return {
    kind: 'rect',
    x: rounded(margin + area.column * across + gap / 2),
    y: rounded(margin + area.row * down + gap / 2),
    width: rounded(width),
    height: rounded(height),
    radius: rounded(Math.min(RADIUS, RADIUS_PART * Math.min(width, height))),
  };
}

/** Of the shorter side of a cell that turns: how wide the button in it is, from its middle. */
const CAP_PART = 0.3;

/** The button in a cell that turns and is pressed; null for any other. */
export function cellCap(
  { canPress, rotor }: { readonly canPress: boolean; readonly rotor: object | null },
  { x, y, width, height }: Extract<Shape, { kind: 'rect' }>,
): Extract<Shape, { kind: 'circle' }> | null {
  if (!canPress || !rotor) return null;
  const r = rounded(CAP_PART * Math.min(width, height));
  return { kind: 'circle', cx: rounded(x + width / 2), cy: rounded(y + height / 2), r };
}

/** The column and row at a place of a panel (millimetres); the nearest one at its edges and beyond. */
export function cellAt(size: Size, grid: Grid, x: number, y: number): { column: number; row: number } {
  const { margin, across, down } = dividePanel(size, grid);
  const within = (value: number, most: number) => Math.min(most - 1, Math.max(0, Math.floor(value)));
  return {
    column: within((x - margin) / across, grid.columns),
    row: within((y - margin) / down, grid.rows),
  };
}

/** Whether an area lies inside a grid. */
export function isInside({ columns, rows }: Grid, area: CellArea): boolean {
  return (
    area.column >= 0 && area.row >= 0 && area.column + area.columns <= columns && area.row + area.rows <= rows
  );
}

/** Whether two areas of one grid share a place. */
export function overlap(a: CellArea, b: CellArea): boolean {
  return (
    a.column < b.column + b.columns &&
    b.column < a.column + a.columns &&
    a.row < b.row + b.rows &&
    b.row < a.row + a.rows
  );
}

function rounded(value: number): number {
  return Math.round(value * 1000) / 1000;
}
