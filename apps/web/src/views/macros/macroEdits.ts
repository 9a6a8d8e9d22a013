import { macroUses, removeSteps, setStep, withNewIds } from '@nimble-lever/core/macros';
import { type BareStep, itemAt, type Macro, newMacro, type SingleEdit } from '@nimble-lever/core/setup';
import { newUuid } from '../../app/newUuid.ts';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import { newId } from '../../app/setup/newId.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';
import { WORDS } from './words.ts';

/** An id for a step, which no other page makes. */
export const newStepId = () => `step-${newUuid().slice(0, 8)}`;

/** Adds an empty macro; gives its id. */
export const addMacro =
  (program: string | null, steps: readonly BareStep[] = []): AppThunk<string> =>
  (dispatch, getState) => {
    const { macros } = selectSetup(getState());
    const names = new Set(macros.map(({ name }) => name));
    let number = 1;
    while (names.has(WORDS.newName(number))) number += 1;
    const name = WORDS.newName(number);
    const item = newMacro({
      id: newId(name, 'macro'),
      name,
      program,
      steps: [...withNewIds(steps, newStepId)],
    });
    dispatch(makeEdit({ kind: 'add', at: itemAt.macro(item.id), item, after: macros.at(-1)?.id ?? null }));
    return item.id;
  };

/** Adds a copy of a macro behind it; gives its id. */
export const copyMacro =
  (macro: Macro): AppThunk<string> =>
  (dispatch) => {
    const name = WORDS.copyOf(macro.name);
    const item: Macro = {
      ...macro,
      id: newId(name, 'macro'),
      name,
      steps: [...withNewIds(macro.steps, newStepId)],
    };
    dispatch(makeEdit({ kind: 'add', at: itemAt.macro(item.id), item, after: macro.id }));
    return item.id;
  };

/** Removes a macro that nothing runs; says why not, where something does. */
export const removeMacro =
  (macro: Macro): AppThunk<string | null> =>
  (dispatch, getState) => {
    const uses = macroUses(selectSetup(getState())).get(macro.id);
    const places = uses ? uses.slots.length + uses.menus.length + uses.macros.length : 0;
    if (places > 0) return WORDS.removeStill(macro.name, places);
    dispatch(makeEdit({ kind: 'remove', at: itemAt.macro(macro.id) }));
    return null;
  };

/** Sets fields of a macro. */
export const setMacro =
  (macro: Macro, fields: Readonly<Record<string, unknown>>): AppThunk =>
  (dispatch) =>
    dispatch(makeEdit({ kind: 'set', at: itemAt.macro(macro.id), fields: { ...fields } }));

/** Sets fields of one of its steps. */
export const setStepFields =
  (macro: Macro, step: string, fields: Readonly<Record<string, unknown>>): AppThunk =>
  (dispatch) =>
    dispatch(makeEdits(setStep(macro, step, fields)));

/** Leaves steps out, or takes them in again where all of them are left out. */
export const toggleSkipped =
  (macro: Macro, ids: ReadonlySet<string>, skipped: boolean): AppThunk =>
  (dispatch) =>
    dispatch(makeEdits([...ids].flatMap((id): readonly SingleEdit[] => setStep(macro, id, { skipped }))));

/** Removes steps. */
export const removeMacroSteps =
  (macro: Macro, ids: ReadonlySet<string>): AppThunk =>
  (dispatch) =>
    dispatch(makeEdits(removeSteps(macro, ids)));
