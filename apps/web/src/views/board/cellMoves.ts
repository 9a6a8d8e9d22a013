import {
  itemAt,
  keyOf,
  type Moving,
  movingEdits,
  type Placing,
  placingEdits,
  type Slot,
  slotSchema,
} from '@nimble-lever/core/setup';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';
import { slotAt } from './boardModel.ts';
import { type CopiedCell, cellSelected, cellsCopied, cellsSelected, selectBoardState } from './boardSlice.ts';
import { resolutionAt } from './lookUp.ts';
import { type CellPlace, selectBoard, selectCells } from './useBoard.ts';

/** Copies what the selected cells do, wherever it comes from; or takes what is set there with it when it is pasted. */
export const takeCells =
  (how: 'copy' | 'cut'): AppThunk =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const cells = inOrder(selectCells(getState()));
    const first = corner(cells);
    const copied = cells.flatMap(({ slot, at }): CopiedCell[] => {
      const own = setup.profiles[slot.profile]?.bindings[keyOf(slot)];
      // What only shines through cannot be taken away from here.
      const found = how === 'cut' ? own && { profile: slot.profile, binding: own } : decidedAt();
      if (!found) return [];
      const place = { down: at.row - first.row, across: at.column - first.column };
      return [{ ...place, ...found, cut: how === 'cut' ? slot : null }];

      function decidedAt() {
        const { decided } = resolutionAt(setup, slot);
        return decided && { profile: decided.profile, binding: decided.binding };
      }
    });
    dispatch(cellsCopied(copied));
  };

/**
 * Sets what was copied, in the words of each program: a single one in every selected cell, a block with its corner where
 * the selection's is. What was cut is taken away where it was, once.
 */
export const pasteCells = (): AppThunk => (dispatch, getState) => {
  const setup = selectSetup(getState());
  const model = selectBoard(getState());
  const { copied } = selectBoardState(getState());
  const cells = inOrder(selectCells(getState()));
  const [only] = copied;
  if (!only || cells.length === 0) return;
  const placed = (cell: CopiedCell, to: Slot): Placing => ({ to, binding: cell.binding, from: cell.profile });
  const first = corner(cells);
  const placings =
    copied.length === 1
      ? cells.map(({ slot }) => placed(only, slot))
      : copied.flatMap((cell) => {
          const row = model.rows[first.row + cell.down];
          const column = model.columns[first.column + cell.across];
          return row && column ? [placed(cell, slotAt(row, column))] : [];
        });
  const left = copied.flatMap(({ cut, profile }): Placing[] =>
    cut ? [{ to: cut, binding: null, from: profile }] : [],
  );
  dispatch(makeEdits(placingEdits(setup, [...left, ...placings])));
  if (left.length > 0) dispatch(cellsCopied(copied.map((cell) => ({ ...cell, cut: null }))));
};

/** The selected cells go back to what comes from below. */
export const clearCells = (): AppThunk => (dispatch, getState) => {
  const { profiles } = selectSetup(getState());
  const set = selectCells(getState()).filter(({ slot }) => profiles[slot.profile]?.bindings[keyOf(slot)]);
  const [only] = set;
  if (only && set.length === 1) dispatch(makeEdit({ kind: 'remove', at: itemAt.binding(only.slot) }));
  else dispatch(makeEdits(set.map(({ slot }) => ({ kind: 'remove', at: itemAt.binding(slot) }))));
};

/** What a dragged cell is carried as: no other page takes it for text. */
export const CARRIED_CELL = 'application/x-nimble-lever-cell';

/** The slot that is carried; null for what comes from elsewhere. */
export function carriedSlot(text: string): Slot | null {
  try {
    return slotSchema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
}

/** What is dragged from a cell to another: moved where nothing is set, else both change places; with Ctrl it is copied. */
export const dropCell =
  (from: Slot, to: Slot, copying: boolean): AppThunk =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    if (from.profile === to.profile && keyOf(from) === keyOf(to)) return;
    const isSet = setup.profiles[to.profile]?.bindings[keyOf(to)] !== undefined;
    const how: Moving = copying ? 'copy' : isSet ? 'swap' : 'move';
    dispatch(makeEdits(movingEdits(setup, from, to, how)));
  };

/** The range from where it began to a place: all cells between, the one at the place worked in. */
export const rangeTo =
  (row: number, column: number): AppThunk =>
  (dispatch, getState) => {
    const model = selectBoard(getState());
    const { anchor } = selectBoardState(getState());
    const begun = model.rows.findIndex(
      ({ device, control, trigger }) =>
        device.id === anchor?.device && control.id === anchor.control && trigger === anchor.trigger,
    );
    const across = model.columns.findIndex(({ profile }) => profile.id === anchor?.profile);
    const from = { row: begun < 0 ? row : begun, column: across < 0 ? column : across };
    const all: Slot[] = [];
    for (let r = Math.min(from.row, row); r <= Math.max(from.row, row); r++) {
      for (let c = Math.min(from.column, column); c <= Math.max(from.column, column); c++) {
        const [boardRow, boardColumn] = [model.rows[r], model.columns[c]];
        if (boardRow && boardColumn) all.push(slotAt(boardRow, boardColumn));
      }
    }
    const [at, under] = [model.rows[row], model.columns[column]];
    if (!at || !under) return;
    const selected = slotAt(at, under);
    dispatch(cellsSelected({ selected, also: all.filter((slot) => !isSame(slot, selected)) }));
  };

/** One cell more, or one less. */
export const cellToggled =
  (slot: Slot): AppThunk =>
  (dispatch, getState) => {
    const { selected, also } = selectBoardState(getState());
    if (!selected) return void dispatch(cellSelected(slot));
    const others = also.filter((other) => !isSame(other, slot));
    if (isSame(slot, selected)) {
      const next = others.at(-1);
      if (next) dispatch(cellsSelected({ selected: next, also: others.slice(0, -1) }));
    } else if (others.length < also.length) dispatch(cellsSelected({ selected, also: others }));
    else dispatch(cellsSelected({ selected: slot, also: [...also, selected] }));
  };

function isSame(a: Slot, b: Slot): boolean {
  return a.profile === b.profile && keyOf(a) === keyOf(b);
}

/** From the top, in each row from the left: the order in which a block is read. */
function inOrder(cells: readonly CellPlace[]): readonly CellPlace[] {
  return cells.toSorted((a, b) => a.at.row - b.at.row || a.at.column - b.at.column);
}

/** The upper left corner of what is selected. */
function corner(cells: readonly CellPlace[]): { readonly row: number; readonly column: number } {
  return {
    row: Math.min(...cells.map(({ at }) => at.row)),
    column: Math.min(...cells.map(({ at }) => at.column)),
  };
}
