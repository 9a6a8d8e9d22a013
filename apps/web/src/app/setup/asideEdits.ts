import type { AppThunk } from '../store.ts';
import { asideChanged, entryMade } from './setupSlice.ts';

/** Takes an entry that was set aside up again: it is made on what is there now, and sent. */
export const retryAside =
  (id: string): AppThunk =>
  (dispatch, getState) => {
    const found = getState().setup.aside.find(({ entry }) => entry.id === id);
    if (!found) return;
    dispatch(dropAside(id));
    dispatch(entryMade(found.entry));
  };

/** Drops an entry that was set aside. */
export const dropAside =
  (id: string): AppThunk =>
  (dispatch, getState) => {
    dispatch(asideChanged(getState().setup.aside.filter(({ entry }) => entry.id !== id)));
  };
