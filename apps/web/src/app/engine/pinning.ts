import { EVERYWHERE } from '@nimble-lever/core/setup';
import { selectCompiled } from '../setup/selectors.ts';
import type { AppThunk } from '../store.ts';
import { feed } from './feed.ts';

/** Stays with a profile whatever is in front; null follows the program in front again. */
export const pinProfile =
  (profile: string | null): AppThunk =>
  (dispatch) =>
    dispatch(feed({ kind: 'pin', profile }));

/** Pins the next (1) or previous (−1) profile, in the person's order, as a control that is bound to that does. */
export const stepProfile =
  (by: 1 | -1): AppThunk =>
  (dispatch, getState) => {
    const all = [EVERYWHERE, ...selectCompiled(getState()).rules.order];
    const at = all.indexOf(getState().engine.engine.profile);
    dispatch(pinProfile(all[(Math.max(0, at) + by + all.length) % all.length] ?? null));
  };
