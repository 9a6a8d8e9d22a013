import type { FrontWindow } from '@nimble-lever/core/resolve';
import { feed } from '../app/engine/feed.ts';
import { selectKeyboards } from '../app/keyboard/keyboardSlice.ts';
import { selectWorn } from '../app/setup/selectors.ts';
import type { AppStore, AppThunk, RootState } from '../app/store.ts';
import { DESK_WINDOWS, raisedElsewhere, selectDesk, windowCommanded, windowRaised } from './deskSlice.ts';
import type { WindowCommand } from './windows.ts';

/** The practice desk's window in front, as the engine's rules see it; null where none is. */
export function frontWindow(state: RootState): FrontWindow | null {
  return windowOf(selectDesk(state).active);
}

/** A window as the engine's rules see it. */
function windowOf(id: string | null): FrontWindow | null {
  const found = DESK_WINDOWS.find((window) => window.id === id);
  return found ? { executable: found.executable, class: found.class, title: found.title } : null;
}

/**
 * Brings a window to the front of the practice desk, or of another computer's; null leaves none in front. One that is
 * not there stays away.
 */
export const raiseWindow =
  (id: string | null, computer: string | null = null): AppThunk =>
  (dispatch, getState) => {
    const { active, fronts } = selectDesk(getState());
    if ((computer === null ? active : (fronts[computer] ?? null)) === id) return;
    const window = windowOf(id);
    if (id !== null && window === null) return;
    if (computer === null) {
      dispatch(windowRaised(id));
      dispatch(feed({ kind: 'front', window }));
    } else {
      dispatch(raisedElsewhere({ computer, id }));
      dispatch(feed({ kind: 'front', window, computer }));
    }
  };

/** Does something with the windows of this desk; the engine hears of it where another one is in front then. */
export const commandWindows =
  (command: WindowCommand): AppThunk =>
  (dispatch, getState) => {
    const before = selectDesk(getState()).active;
    dispatch(windowCommanded(command));
    const { active } = selectDesk(getState());
    if (active !== before) dispatch(feed({ kind: 'front', window: windowOf(active) }));
  };

/** The practice desk is this page's desk: the engine works by the set-up as soon as there is one, and by every edit. */
export const openPracticeDesk =
  (store: AppStore): AppThunk =>
  (_dispatch, getState, { session, install }) => {
    install({ carryOut: () => undefined, front: () => frontWindow(getState()) });
    let known: readonly unknown[] = [];
    const keepUp = () => {
      if (!getState().setup.setup) return;
      const setup = selectWorn(getState());
      const keyboards = selectKeyboards(getState());
      if (setup === known[0] && keyboards === known[1]) return;
      known = [setup, keyboards];
      session.use(setup, keyboards);
    };
    store.subscribe(keepUp);
    keepUp();
  };
