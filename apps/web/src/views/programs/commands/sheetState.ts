import { SHEET_COLUMNS, type SheetColumn } from '@nimble-lever/core/programs';

/** The columns of the sheet: what is edited, and where a command is reached. */
export const COLUMNS = [...SHEET_COLUMNS, 'where'] as const;
export type Column = SheetColumn | 'where';

/** Whether a column is edited. */
export function isEdited(column: Column): column is SheetColumn {
  return column !== 'where';
}

/** The line below the last command, in which another is begun. */
export const NEW_ROW = '+';

/** A cell by its command's id and its column. */
export interface Cell {
  readonly row: string;
  readonly column: Column;
}

/** How the active cell is edited now; `all`: what stands there is selected, to be typed over. */
export type Editing =
  | { readonly kind: 'typing'; readonly how: 'over' | 'all' }
  | { readonly kind: 'recording' }
  | { readonly kind: 'choosing' };

/** Where one is in a sheet. */
export interface SheetState {
  readonly active: Cell | null;
  /** The other corner of the cells that are selected; null for the active one alone. */
  readonly anchor: Cell | null;
  readonly editing: Editing | null;
}

/** What happens to it. */
export type SheetAction =
  | { readonly kind: 'went'; readonly to: Cell }
  | { readonly kind: 'ranged'; readonly to: Cell }
  | { readonly kind: 'begun'; readonly editing: Editing }
  | { readonly kind: 'ended' };

export const AT_FIRST: SheetState = { active: null, anchor: null, editing: null };

export function sheetReducer(state: SheetState, action: SheetAction): SheetState {
  switch (action.kind) {
    case 'went':
      return { active: action.to, anchor: null, editing: null };
    case 'ranged':
      return { active: action.to, anchor: state.anchor ?? state.active ?? action.to, editing: null };
    case 'begun':
      return { ...state, anchor: null, editing: action.editing };
    case 'ended':
      return { ...state, editing: null };
  }
}

/** The cells that are selected: from and to, both among them, by their places. */
export interface Range {
  readonly rows: readonly [from: number, to: number];
  readonly columns: readonly [from: number, to: number];
}

/** The selected cells in the order shown; null where there are none. */
export function rangeOf({ active, anchor }: SheetState, order: readonly string[]): Range | null {
  if (!active) return null;
  const ends = [active, anchor ?? active];
  const rows = ends.map(({ row }) => order.indexOf(row));
  const columns = ends.map(({ column }) => COLUMNS.indexOf(column));
  if (rows.some((row) => row < 0)) return null;
  return {
    rows: [Math.min(...rows), Math.max(...rows)],
    columns: [Math.min(...columns), Math.max(...columns)],
  };
}

/** Lines a page goes. */
const PAGE = 12;

/** The arrow keys of a grid (WAI-ARIA Authoring Practices, grid pattern). */
const MOVES: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-PAGE, 0],
  PageDown: [PAGE, 0],
};

/** Where a key leads from a cell; null for one that leads nowhere. At an edge it stays. */
export function cellAfter(
  { row, column }: Cell,
  key: string,
  ctrl: boolean,
  order: readonly string[],
): Cell | null {
  const at = { row: Math.max(0, order.indexOf(row)), column: COLUMNS.indexOf(column) };
  const last = { row: order.length - 1, column: COLUMNS.length - 1 };
  const far = ctrl ? Number.POSITIVE_INFINITY : 1;
  const ends = { Home: [ctrl ? 0 : at.row, 0], End: [ctrl ? last.row : at.row, last.column] } as const;
  const end = key === 'Home' || key === 'End' ? ends[key] : null;
  const move = MOVES[key];
  if (!end && !move) return null;
  // 0 times infinity is no number.
  const by = (steps: number) => (steps === 0 ? 0 : steps * far);
  const [toRow, toColumn] = end ?? [at.row + by(move?.[0] ?? 0), at.column + by(move?.[1] ?? 0)];
  const within = (value: number, most: number) => Math.max(0, Math.min(most, value));
  const next = { row: order[within(toRow, last.row)], column: COLUMNS[within(toColumn, last.column)] };
  return next.row === undefined || next.column === undefined ? null : { row: next.row, column: next.column };
}
