import { type Remote, type Uses, withUses } from '@nimble-lever/core/desks';
import { wornChanged } from '../app/engine/engineSlice.ts';
import { pinProfile } from '../app/engine/pinning.ts';
import type { AppStore, AppThunk } from '../app/store.ts';

/** What this desk wears of scripts: put on as they come, taken off as they go. */
export interface Wearing {
  readonly changed: (remotes: readonly Remote[]) => void;
  readonly end: () => void;
}

/** Puts on what remotes bring and takes off what those that went had brought; an edit meanwhile goes under it. */
export const wearUses =
  (store: Pick<AppStore, 'subscribe'>): AppThunk<Wearing> =>
  (dispatch, getState) => {
    let uses: readonly Uses[] = [];
    /** What was stayed with before a script came; undefined while none has said. */
    let before: string | null | undefined;
    const putOn = () => {
      const { setup } = getState().setup;
      const { worn } = getState().engine;
      const isBare = uses.every(({ sets }) => sets.length === 0);
      if (!setup || isBare) {
        if (worn) dispatch(wornChanged(null));
      } else if (worn?.of !== setup) {
        dispatch(wornChanged({ of: setup, setup: withUses(setup, uses) }));
      }
    };
    const pin = (gone: readonly Uses[]) => {
      const wanted = uses.findLast((each) => each.pin !== null)?.pin ?? null;
      const { pinned } = getState().engine.engine;
      const isThere = wanted !== null && getState().setup.setup?.profiles[wanted] !== undefined;
      if (isThere) {
        if (before === undefined) before = pinned;
        if (pinned !== wanted) dispatch(pinProfile(wanted));
      } else if (before !== undefined) {
        const stays = gone.some((each) => each.pin !== null && each.stays);
        if (!stays) dispatch(pinProfile(before));
        before = undefined;
      }
    };
    const unsubscribe = store.subscribe(putOn);
    const changed = (remotes: readonly Remote[]) => {
      const now = remotes.flatMap(({ uses: own }) => (own ? [own] : []));
      if (now.length === uses.length && now.every((each, i) => each === uses[i])) return;
      const gone = uses.filter((each) => !now.includes(each));
      uses = now;
      dispatch(wornChanged(null));
      putOn();
      pin(gone);
    };
    return {
      changed,
      end: () => {
        changed([]);
        unsubscribe();
      },
    };
  };
