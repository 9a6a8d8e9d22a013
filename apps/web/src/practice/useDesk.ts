import { type RefObject, useEffect } from 'react';
import { useStore } from 'react-redux';
import { feed } from '../app/engine/feed.ts';
import { keepThumbButtons } from '../app/sources/pointerSources.ts';
import { type RootState, useAppDispatch } from '../app/store.ts';
import { hostDesk } from './deskHost.ts';
import { commandWindows } from './frontWindow.ts';
import { enterPracticeDesk } from './practiceDesk.ts';

/** While a view shows the practice desk it gets the strokes, is there for remotes, and its keys go from window to window. */
export function useDesk(surface: RefObject<HTMLElement | null>): void {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  useEffect(() => {
    const leave = dispatch(enterPracticeDesk());
    const away = dispatch(hostDesk(store));
    return () => {
      away();
      leave();
    };
  }, [dispatch, store]);
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      // F6 goes from window to window, as in many programs (common practice, no source); a real Alt+Tab would leave
      // the browser.
      if (event.key !== 'F6' || !event.isTrusted) return;
      event.preventDefault();
      dispatch(commandWindows('next-window'));
    };
    // The browser lost the keyboard: what was held would stay held, as its release is never heard.
    const letGo = () => dispatch(feed({ kind: 'reset' }));
    window.addEventListener('keydown', onKeyDown);
    window.addEventListener('blur', letGo);
    return () => {
      window.removeEventListener('keydown', onKeyDown);
      window.removeEventListener('blur', letGo);
    };
  }, [dispatch]);
  useEffect(() => {
    // A program on the desk may have a back of its own; the view itself stays.
    const ended = new AbortController();
    if (surface.current) keepThumbButtons(surface.current, ended.signal);
    return () => ended.abort();
  }, [surface]);
}
