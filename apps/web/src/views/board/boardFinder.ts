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
      // A control is found in the column that is worked in.
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
    // A command nothing runs is worth as much as one that something does: that is what one looks for.
    hint: kind === 'command' ? (control ?? WORDS.noControl) : null,
    go: (dispatch) => {
      // Selected first and then shown: the Board opens with the cell in sight.
      dispatch(cellSelected(slot));
      return '/board';
    },
  };
}
