import type { Trigger } from '@nimble-lever/core/devices';
import { BASE_LAYER, type Slot } from '@nimble-lever/core/setup';
import { createSelector } from '@reduxjs/toolkit';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { RootState } from '../../app/store.ts';
import { boardModel, placeOf } from './boardModel.ts';
import { selectBoardState } from './boardSlice.ts';

/** The matrix of the set-up shown. */
export const selectBoard = createSelector(
  [
    selectSetup,
    (state: RootState) => hiddenByItself(selectBoardState(state).selected),
    (state: RootState) => selectBoardState(state).layer,
    (state: RootState) => selectBoardState(state).pages,
    (state: RootState) => selectBoardState(state).compare,
    (state: RootState) => selectBoardState(state).unfolded,
    (state: RootState) => selectBoardState(state).search,
    // One by one: how high the dock is must not make a new matrix.
    (state: RootState) => selectBoardState(state).view.hidden,
    (state: RootState) => selectBoardState(state).view.pinned,
    (state: RootState) => selectBoardState(state).view.grouping,
    (state: RootState) => selectBoardState(state).view.onlySet,
  ],
  (setup, asked, layer, pages, compare, unfolded, search, hidden, pinned, grouping, onlySet) => {
    // A layer that was removed elsewhere is no longer shown.
    const known = setup.layers.some(({ id }) => id === layer) ? layer : BASE_LAYER;
    const shown = { hidden, pinned, grouping, onlySet, asked, compare, search };
    return boardModel(setup, { ...shown, layer: known, pages, unfolded: new Set(unfolded) });
  },
);

/** Triggers whose rows are always there. */
const EXPECTED: readonly Trigger[] = ['press', 'clockwise', 'anticlockwise'];

/** The selected slot where its row might not be shown otherwise; so that moving about makes no new matrix. */
function hiddenByItself(slot: Slot | null): Slot | null {
  return slot && !EXPECTED.includes(slot.trigger) ? slot : null;
}

/** The selected slot, unless what it stands for is gone. */
export const selectCell = createSelector(
  [selectBoard, (state: RootState) => selectBoardState(state).selected],
  (model, slot) => {
    if (!slot) return null;
    const { row, column } = placeOf(model, slot);
    const [boardRow, boardColumn] = [model.rows[row], model.columns[column]];
    const face = model.face(row, column);
    if (!boardRow || !boardColumn || !face || boardRow.layer !== slot.layer) return null;
    return { slot, row: boardRow, column: boardColumn, face, at: { row, column } };
  },
);

/** The selected cell with its place and what it shows. */
export type SelectedCell = NonNullable<ReturnType<typeof selectCell>>;

/** Every selected cell in the matrix, the one that is worked in first. */
export const selectCells = createSelector(
  [selectBoard, selectCell, (state: RootState) => selectBoardState(state).also],
  (model, cell, also): readonly CellPlace[] => {
    if (!cell) return [];
    const others = also.flatMap((slot) => {
      const at = placeOf(model, slot);
      return at.row < 0 || at.column < 0 ? [] : [{ slot, at }];
    });
    return [{ slot: cell.slot, at: cell.at }, ...others];
  },
);

/** A slot with its row and column in the matrix. */
export interface CellPlace {
  readonly slot: Slot;
  readonly at: { readonly row: number; readonly column: number };
}
