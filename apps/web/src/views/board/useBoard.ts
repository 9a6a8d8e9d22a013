import { createSelector } from '@reduxjs/toolkit';
import { type KeyboardEvent, useCallback } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { type RootState, useAppDispatch, useAppSelector } from '../../app/store.ts';
import { type BoardModel, boardModel, placeOf, slotAt } from './boardModel.ts';
import { cellSelected, recordingStarted } from './boardSlice.ts';

/** The matrix of the set-up shown. */
export const selectBoard = createSelector([selectSetup], boardModel);

/** The selected slot, unless what it stands for is gone. */
export const selectCell = createSelector(
  [selectBoard, (state: RootState) => state.board.selected],
  (model, slot) => {
    if (!slot) return null;
    const { row, column } = placeOf(model, slot);
    const [boardRow, boardColumn] = [model.rows[row], model.columns[column]];
    const face = model.faces[row]?.[column];
    if (!boardRow || !boardColumn || !face) return null;
    return { slot, row: boardRow, column: boardColumn, face, at: { row, column } };
  },
);

const MOVES: Readonly<Record<string, readonly [row: number, column: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-8, 0],
  PageDown: [8, 0],
};

/** What keys do on the matrix: move, edit, record, go back to inherit. */
export function useMatrixKeys(model: BoardModel, openChooser: () => void) {
  const dispatch = useAppDispatch();
  const cell = useAppSelector(selectCell);
  return useCallback(
    (event: KeyboardEvent) => {
      if (event.ctrlKey || event.altKey || event.metaKey || !cell) return;
      const target = targetOf(event.key, cell.at, model);
      if (target) {
        event.preventDefault();
        const [row, column] = [model.rows[target.row], model.columns[target.column]];
        if (row && column) dispatch(cellSelected(slotAt(row, column)));
      } else if (event.key === 'Enter') {
        event.preventDefault();
        openChooser();
      } else if (event.key === 'r' || event.key === 'R') {
        event.preventDefault();
        dispatch(recordingStarted());
      } else if (event.key === 'Delete' && cell.face.source === 'set') {
        event.preventDefault();
        dispatch(makeEdit({ kind: 'set-binding', slot: cell.slot, binding: null }));
      }
    },
    [dispatch, cell, model, openChooser],
  );
}

function targetOf(key: string, at: { row: number; column: number }, model: BoardModel) {
  const last = { row: model.rows.length - 1, column: model.columns.length - 1 };
  if (key === 'Home') return { ...at, column: 0 };
  if (key === 'End') return { ...at, column: last.column };
  const move = MOVES[key];
  if (!move) return null;
  const within = (value: number, end: number) => Math.max(0, Math.min(end, value));
  return { row: within(at.row + move[0], last.row), column: within(at.column + move[1], last.column) };
}
