import {
  adaptBinding,
  type Behaviour,
  type Binding,
  bindingChanges,
  type Face,
  itemAt,
  keyOf,
  type SingleEdit,
} from '@nimble-lever/core/setup';
import { makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';
import { faceEdit } from '../../editors/faceEdit.ts';
import { selectCells } from './useBoard.ts';

/**
 * Sets what all selected cells do, each in the words of its program; null goes back to what comes from below. Face and
 * note stay: they say what a control is for. `first` is edited with it, as one.
 */
export const setCells =
  (behaviour: Behaviour | null, first: readonly SingleEdit[] = []): AppThunk =>
  (dispatch) => {
    const change: Change = (before, words) => {
      if (!behaviour) return null;
      const { face = null, note = null } = before ?? {};
      return words({ behaviour, face, note });
    };
    dispatch(changeCells(change, first));
  };

/**
 * What becomes of a cell: it gets what is set there, and what puts a binding in the words of the worked-in cell's program
 * into those of this cell's.
 */
type Change = (before: Binding | null, words: (binding: Binding) => Binding) => Binding | null;

/** Changes what is set in each selected cell, as one edit. */
export const changeCells =
  (change: Change, first: readonly SingleEdit[] = []): AppThunk =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const cells = selectCells(getState());
    const from = setup.profiles[cells[0]?.slot.profile ?? ''];
    const edits = cells.flatMap(({ slot }) => {
      const profile = setup.profiles[slot.profile];
      if (!profile || !from) return [];
      const before = profile.bindings[keyOf(slot)] ?? null;
      const words = (binding: Binding) => adaptBinding(setup, binding, from, profile, slot.trigger);
      return bindingChanges(slot, before, change(before, words));
    });
    dispatch(makeEdits([...first, ...edits]));
  };

/** Gives what sets parts of the faces of the cells that are selected now, also when others are by then. */
export const facesOfCells = (): AppThunk<(parts: Partial<Face>) => void> => (dispatch, getState) => {
  const slots = selectCells(getState()).map(({ slot }) => slot);
  return (parts) => {
    const { profiles } = selectSetup(getState());
    const bound = slots.filter((slot) => profiles[slot.profile]?.bindings[keyOf(slot)]);
    dispatch(makeEdits(bound.map((slot) => faceEdit(itemAt.binding(slot), parts))));
  };
};
