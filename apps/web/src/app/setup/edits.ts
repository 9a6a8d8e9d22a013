import type { Edit } from '@nimble-lever/core/setup';
import type { AppThunk } from '../store.ts';
import { entryMade } from './setupSlice.ts';
import { historyIn } from './setupState.ts';

/** Makes an edit: shown at once, saved by itself, undoable. */
export const makeEdit =
  (edit: Edit): AppThunk =>
  (dispatch) => {
    dispatch(entryMade({ id: crypto.randomUUID(), edit, role: 'do', of: null }));
  };

/** Takes back the newest edit that can be. */
export const undo = (): AppThunk => (dispatch, getState) => {
  const last = historyIn(getState().setup).undo.at(-1);
  if (last) dispatch(entryMade({ id: crypto.randomUUID(), edit: last.inverse, role: 'undo', of: last.id }));
};

/** Brings back the edit that was taken back last. */
export const redo = (): AppThunk => (dispatch, getState) => {
  const last = historyIn(getState().setup).redo.at(-1);
  if (last) dispatch(entryMade({ id: crypto.randomUUID(), edit: last.edit, role: 'redo', of: last.id }));
};
