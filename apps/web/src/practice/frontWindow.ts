import type { FrontWindow } from '@nimble-lever/core/resolve';
import { feed } from '../app/engine/feed.ts';
import type { AppStore, AppThunk, RootState } from '../app/store.ts';
import { DESK_WINDOWS, selectDesk, windowRaised } from './deskSlice.ts';

/** The practice desk's window in front, as the engine's rules see it; null where none is. */
export function frontWindow(state: RootState): FrontWindow | null {
  const found = DESK_WINDOWS.find(({ id }) => id === selectDesk(state).active);
  return found ? { executable: found.executable, class: found.class, title: found.title } : null;
}

/** Brings a window of the practice desk to the front; null leaves none in front. One that is not there stays away. */
export const raiseWindow =
  (id: string | null): AppThunk =>
  (dispatch, getState) => {
    if (selectDesk(getState()).active === id) return;
    if (id !== null && !DESK_WINDOWS.some((window) => window.id === id)) return;
    dispatch(windowRaised(id));
    dispatch(feed({ kind: 'front', window: frontWindow(getState()) }));
  };

/** The practice desk is this page's desk: the engine works by the set-up as soon as there is one, and by every edit. */
export const openPracticeDesk =
  (store: AppStore): AppThunk =>
  (_dispatch, getState, { session, install }) => {
    install({ carryOut: () => undefined, front: () => frontWindow(getState()) });
    let known: unknown = null;
    const keepUp = () => {
      const { setup } = getState().setup;
      if (!setup || setup === known) return;
      known = setup;
      session.use(setup);
    };
    store.subscribe(keepUp);
    keepUp();
  };
