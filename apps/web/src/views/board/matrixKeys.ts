import type { UnknownAction } from '@reduxjs/toolkit';
import { type KeyboardEvent, useCallback } from 'react';
import { letterOf } from '../../app/letterOf.ts';
import { type AppThunk, useAppDispatch, useAppSelector } from '../../app/store.ts';
import { type BoardModel, slotAt } from './boardModel.ts';
import { cellSelected, recordingStarted, triggersFolded, viewChanged } from './boardSlice.ts';
import { clearCells, pasteCells, rangeTo, takeCells } from './cellMoves.ts';
import { type SelectedCell, selectCell } from './useBoard.ts';

/** The arrow keys of a grid (WAI-ARIA Authoring Practices, grid pattern). */
const MOVES: Readonly<Record<string, readonly [row: number, column: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-8, 0],
  PageDown: [8, 0],
};

/** What the matrix opens beside itself. */
export interface Openers {
  /** The list of what a cell can do. */
  readonly chooser: () => void;
  readonly help: () => void;
  /** The selected cell's menu, at that cell. */
  readonly menu: (cell: HTMLElement) => void;
}

/** What keys do on the matrix: move, select, edit, record, go back to inherit, cut, copy and paste, menu, help. */
export function useMatrixKeys(model: BoardModel, open: Openers) {
  const dispatch = useAppDispatch();
  const cell = useAppSelector(selectCell);
  return useCallback(
    (event: KeyboardEvent) => {
      // Tabs of pages stand in the matrix too, and have their own keys.
      if (!cell || (event.target instanceof Element && event.target.closest('[data-own-keys]'))) return;
      const act = keyAction(event, cell, model, open);
      // What the matrix does not use goes on to the page: undo, find, the browser's own.
      if (!act) return;
      event.preventDefault();
      const action = act();
      if (action) dispatch(action);
    },
    [dispatch, cell, model, open],
  );
}

type Act = () => AppThunk | UnknownAction | undefined;

/** What a key is for; null where the matrix has no use for it. */
function keyAction(event: KeyboardEvent, cell: SelectedCell, model: BoardModel, open: Openers): Act | null {
  // By what the key means, so that Ctrl+C is the same on every layout; keys with Alt belong to the browser.
  const { key, ctrlKey, metaKey, altKey, shiftKey } = event;
  if (altKey) return null;
  if (ctrlKey || metaKey) return CLIPBOARD[letterOf(event.nativeEvent) ?? ''] ?? null;
  if (key === 'ContextMenu' || (key === 'F10' && shiftKey)) {
    const { target } = event;
    return () => void (target instanceof HTMLElement && open.menu(target));
  }
  const target = targetOf(key, cell.at, model);
  if (target && shiftKey) return () => rangeTo(target.row, target.column);
  if (target) {
    const [row, column] = [model.rows[target.row], model.columns[target.column]];
    return () => (row && column ? cellSelected(slotAt(row, column)) : undefined);
  }
  switch (letterOf(event.nativeEvent)) {
    case 'r':
      return () => recordingStarted();
    case 'p':
      return () => stepPages(cell.row.device.id, shiftKey ? -1 : 1);
    case 't': {
      const { device, control, unfolded } = cell.row;
      return () => triggersFolded({ control: `${device.id}/${control.id}`, open: !unfolded });
    }
  }
  switch (key) {
    case 'Enter':
    case 'F2':
      return () => void open.chooser();
    case 'Escape':
      return () => viewChanged({ docked: false });
    case '?':
      return () => void open.help();
    case 'Delete':
      return () => clearCells();
    // Every other key has its use elsewhere, or none.
    default:
      return null;
  }
}

/** The next page of a device, or the previous one; by a file that comes with the tabs of the pages. */
const stepPages =
  (device: string, by: 1 | -1): AppThunk =>
  async (dispatch) => {
    const { stepShownPage } = await import('./pages/stepShownPage.ts');
    dispatch(stepShownPage(device, by));
  };

/** Ctrl with a letter: as in every sheet of cells. */
const CLIPBOARD: Readonly<Record<string, Act>> = {
  c: () => takeCells('copy'),
  x: () => takeCells('cut'),
  v: () => pasteCells(),
};

/** Where a key goes from a place. */
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
