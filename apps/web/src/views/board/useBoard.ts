import type { Trigger } from '@nimble-lever/core/devices';
import { adaptBinding, BASE_LAYER, bindingChanges, itemAt, keyOf, type Slot } from '@nimble-lever/core/setup';
import { createSelector, type UnknownAction } from '@reduxjs/toolkit';
import { type KeyboardEvent, useCallback } from 'react';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { type AppThunk, type RootState, useAppDispatch, useAppSelector } from '../../app/store.ts';
import { type BoardModel, boardModel, placeOf, slotAt } from './boardModel.ts';
import {
  cellCopied,
  cellSelected,
  recordingStarted,
  selectBoardState,
  triggersFolded,
} from './boardSlice.ts';
import { resolutionAt } from './lookUp.ts';

/** The matrix of the set-up shown. */
export const selectBoard = createSelector(
  [
    selectSetup,
    (state: RootState) => hiddenByItself(selectBoardState(state).selected),
    (state: RootState) => selectBoardState(state).layer,
    (state: RootState) => selectBoardState(state).compare,
    (state: RootState) => selectBoardState(state).unfolded,
    (state: RootState) => selectBoardState(state).search,
    (state: RootState) => selectBoardState(state).view,
  ],
  (setup, asked, layer, compare, unfolded, search, view) => {
    // A layer that was removed elsewhere is no longer shown.
    const known = setup.layers.some(({ id }) => id === layer) ? layer : BASE_LAYER;
    return boardModel(setup, { ...view, asked, layer: known, compare, unfolded: new Set(unfolded), search });
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
    if (!slot || slot.layer !== model.layer) return null;
    const { row, column } = placeOf(model, slot);
    const [boardRow, boardColumn] = [model.rows[row], model.columns[column]];
    const face = model.face(row, column);
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

/** What keys do on the matrix: move, edit, record, go back to inherit, copy and paste, help. */
export function useMatrixKeys(model: BoardModel, openChooser: () => void, openHelp: () => void) {
  const dispatch = useAppDispatch();
  const cell = useAppSelector(selectCell);
  return useCallback(
    (event: KeyboardEvent) => {
      if (!cell) return;
      // What the matrix does not use goes on to the page: undo, find, the browser's own.
      const act = keyAction(event, cell, model, { openChooser, openHelp });
      if (!act) return;
      event.preventDefault();
      const action = act();
      if (action) dispatch(action);
    },
    [dispatch, cell, model, openChooser, openHelp],
  );
}

type Cell = NonNullable<ReturnType<typeof selectCell>>;
type Act = () => AppThunk | UnknownAction | undefined;

/** What a key is for; null where the matrix has no use for it. */
function keyAction(
  event: KeyboardEvent,
  cell: Cell,
  model: BoardModel,
  open: { readonly openChooser: () => void; readonly openHelp: () => void },
): Act | null {
  // By what the key means, so that Ctrl+C is the same on every layout; keys with Alt belong to the browser.
  const { key, ctrlKey, metaKey, altKey } = event;
  if (altKey) return null;
  if (ctrlKey || metaKey) {
    if (key === 'c') return () => copyCell(cell);
    return key === 'v' ? () => pasteInto(cell) : null;
  }
  const target = targetOf(key, cell.at, model);
  if (target) {
    const [row, column] = [model.rows[target.row], model.columns[target.column]];
    return () => (row && column ? cellSelected(slotAt(row, column, model.layer)) : undefined);
  }
  if (key === 'Enter') return () => void open.openChooser();
  if (key === '?') return () => void open.openHelp();
  if (key === 'r' || key === 'R') return () => recordingStarted();
  if (key === 't' || key === 'T') {
    const { device, control, unfolded } = cell.row;
    return () => triggersFolded({ control: `${device.id}/${control.id}`, open: !unfolded });
  }
  if (key !== 'Delete' || cell.face.source !== 'set') return null;
  return () => makeEdit({ kind: 'remove', at: itemAt.binding(cell.slot) });
}

/** Copies what a cell does, wherever it comes from. */
const copyCell =
  ({ slot }: Cell): AppThunk =>
  (dispatch, getState) => {
    const { decided } = resolutionAt(selectSetup(getState()), slot);
    if (decided) dispatch(cellCopied({ profile: decided.profile, binding: decided.binding }));
  };

/** Sets what was copied in a cell, in the words of its program. */
const pasteInto =
  ({ slot, column }: Cell): AppThunk =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const { copied } = selectBoardState(getState());
    const from = copied ? setup.profiles[copied.profile] : undefined;
    if (!copied || !from) return;
    const binding = adaptBinding(setup, copied.binding, from, column.profile, slot.trigger);
    const before = column.profile.bindings[keyOf(slot)] ?? null;
    dispatch(makeEdits(bindingChanges(slot, before, binding)));
  };

function targetOf(key: string, at: { row: number; column: number }, model: BoardModel) {
  const last = { row: model.rows.length - 1, column: model.columns.length - 1 };
  if (key === 'Home') return { ...at, column: 0 };
  if (key === 'End') return { ...at, column: last.column };
  const move = MOVES[key];
  if (!move) return null;
  // At an edge the keys stay where they are; they do not jump to the other side.
  const within = (value: number, end: number) => Math.max(0, Math.min(end, value));
  return { row: within(at.row + move[0], last.row), column: within(at.column + move[1], last.column) };
}
