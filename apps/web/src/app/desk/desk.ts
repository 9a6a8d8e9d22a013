import { bringToFront, feed } from '../engine/feed.ts';
import type { AppStore, AppThunk } from '../store.ts';
import { DESK_WINDOWS, windowRaised } from './deskSlice.ts';

/** Brings a window of the practice desk to the front; null leaves none in front. One that is not there stays away. */
export const raiseWindow =
  (id: string | null): AppThunk =>
  (dispatch, getState) => {
    if (getState().desk.active === id) return;
    if (id !== null && !DESK_WINDOWS.some((window) => window.id === id)) return;
    dispatch(windowRaised(id));
    dispatch(tellFront());
  };

const tellFront = (): AppThunk => (dispatch, getState) => {
  const found = DESK_WINDOWS.find(({ id }) => id === getState().desk.active);
  const window = found ? { executable: found.executable, class: found.class, title: found.title } : null;
  dispatch(bringToFront(window));
};

/** Tells the engine which window is in front as soon as there is a set-up, and of every edit to it. */
export function keepDeskInFront(store: AppStore): void {
  let known: unknown = null;
  store.subscribe(() => {
    const { setup } = store.getState().setup;
    if (!setup || setup === known) return;
    const first = known === null;
    known = setup;
    store.dispatch(first ? tellFront() : feed({ kind: 'edited' }));
  });
}
