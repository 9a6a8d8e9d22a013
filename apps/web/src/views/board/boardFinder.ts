import { createSelector } from '@reduxjs/toolkit';
import type { FindSource, Found } from '../../app/find/findSource.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { RootState } from '../../app/store.ts';
import { cellSelected, selectBoardState } from './boardSlice.ts';
import { type FindItem, findItems } from './findItems.ts';
import { WORDS } from './words.ts';

/** Every control and command of the Board, for Find. */
export const boardFinder: FindSource = {
  items: createSelector(
    [
      selectSetup,
      (state: RootState) => selectBoardState(state).selected?.profile ?? state.engine.engine.profile,
    ],
    (setup, profile) => findItems(setup, profile).map(foundOf),
  ),
  focus: () => document.querySelector<HTMLElement>('[role=gridcell][aria-selected=true]')?.focus(),
};

function foundOf({ key, kind, name, owner, shortcut, control, slot }: FindItem): Found {
  return {
    key,
    name,
    owner,
    shortcut,
    hint: kind === 'command' ? (control ?? WORDS.noControl) : null,
    go: (dispatch) => {
      dispatch(cellSelected(slot));
      return '/board';
    },
  };
}
