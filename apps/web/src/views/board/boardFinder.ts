import { createSelector } from '@reduxjs/toolkit';
import type { FindSource, Found } from '../../app/find/findSource.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk, RootState } from '../../app/store.ts';
import { layerShown, searched, selectBoardState, viewChanged } from './boardSlice.ts';
import { type FindItem, findItems } from './findItems.ts';
import { goToSlot } from './goToSlot.ts';
import { WORDS } from './words.ts';

/** Everything of the Board, for Find: controls, commands, layers, pages, radial menus, macros. */
export const boardFinder: FindSource = {
  items: createSelector(
    [
      selectSetup,
      // A control is found in the column that is worked in.
      (state: RootState) => selectBoardState(state).selected?.profile ?? state.engine.engine.profile,
    ],
    (setup, profile) => findItems(setup, profile).map(foundOf),
  ),
  focus: () => document.querySelector<HTMLElement>('[role=gridcell][data-current=true]')?.focus(),
};

/** What nothing runs yet is worth as much as what something does: that is what one looks for. */
const REACHED: ReadonlySet<FindItem['kind']> = new Set(['command', 'menu', 'macro']);

/** Goes to the cell, the layer or the menu it was found as. */
function foundOf({ key, kind, name, owner, shortcut, control, slot, program }: FindItem): Found {
  if (kind === 'command' && control === null) {
    // Nothing runs it yet: it is offered a place, where its program's commands are.
    const of = encodeURIComponent(program ?? 'everywhere');
    const place = encodeURIComponent(key.slice('command '.length));
    const go = () => `/programs?of=${of}&tab=commands&place=${place}`;
    return { key, name, owner, shortcut, hint: WORDS.noControlPlace, go };
  }
  return {
    key,
    name,
    owner,
    shortcut,
    hint: REACHED.has(kind) ? (control ?? WORDS.noControl) : null,
    go: slot ? goTo(slot) : goToLayer(key.slice('layer '.length)),
  };
}

/** Shows a cell, whatever hides it: a search, what is not set, a column that was put away. */
const goTo =
  (slot: NonNullable<FindItem['slot']>): AppThunk<string> =>
  (dispatch, getState) => {
    const { hidden } = selectBoardState(getState()).view;
    dispatch(searched(''));
    dispatch(viewChanged({ onlySet: false, hidden: hidden.filter((id) => id !== slot.profile) }));
    // Selected first and then shown: the Board opens with the cell in sight.
    dispatch(goToSlot(slot));
    return '/board';
  };

const goToLayer =
  (layer: string): AppThunk<string> =>
  (dispatch) => {
    dispatch(layerShown(layer));
    return '/board';
  };
