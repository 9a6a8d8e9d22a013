import { itemAt, moveTo } from '@nimble-lever/core/setup';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';

/**
 * Puts a program so many places further in the list, which is the order of the columns on the Board and decides between
 * rules that fit as well.
 */
export const moveProgram =
  (id: string, by: number): AppThunk =>
  (dispatch, getState) => {
    const { programs } = selectSetup(getState());
    const from = programs.findIndex((program) => program.id === id);
    const to = Math.max(0, Math.min(programs.length - 1, from + by));
    if (from >= 0 && to !== from) dispatch(makeEdit(moveTo(itemAt.program(id), programs, id, to)));
  };
