import type { Compiled } from '@nimble-lever/core/engine';
import { resolveProfile } from '@nimble-lever/core/resolve';
import { useAppSelector } from '../app/store.ts';
import { DESK_WINDOWS, type DeskWindow, selectDesk } from './deskSlice.ts';

/** The windows open on the desk that no program of the set-up knows. */
export function useUnknownWindows({ rules }: Compiled): readonly DeskWindow[] {
  const { order } = useAppSelector(selectDesk);
  return DESK_WINDOWS.filter(
    (window) => order.includes(window.id) && resolveProfile(rules, window, null).because === 'nothing-fits',
  );
}
