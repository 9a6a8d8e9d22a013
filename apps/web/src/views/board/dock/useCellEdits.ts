import { type Behaviour, bindingChanges, type PressStyle, type SingleEdit } from '@nimble-lever/core/setup';
import { makeEdits } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { slotTarget } from '../../../editors/slotTarget.ts';
import { changeCells, facesOfCells, setCells } from '../setCells.ts';
import { selectCell } from '../useBoard.ts';

/** What is set at the selected cell, and the edits that change it. Null where no cell is selected. */
export function useCellEdits() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const cell = useAppSelector(selectCell);
  if (!cell) return null;
  const { slot } = cell;
  const profile = cell.column.profile;
  const setBehaviour = (behaviour: Behaviour | null, first: readonly SingleEdit[] = []) =>
    void dispatch(setCells(behaviour, first));
  const setActing = (options: Partial<Pick<Acting, 'style' | 'repeat' | 'guard' | 'target'>>) =>
    void dispatch(
      changeCells((before) =>
        before?.behaviour.kind === 'action'
          ? { ...before, behaviour: { ...before.behaviour, ...options } }
          : before,
      ),
    );
  const programName = cell.column.name;
  const { binding, turns, style, target } = slotTarget({ setup, slot, profile, programName, setBehaviour });

  return {
    cell,
    setup,
    binding,
    turns,
    style,
    target,
    setBehaviour,
    setStyle: (next: PressStyle) => setActing({ style: next }),
    setOptions: (options: Partial<Pick<Acting, 'repeat' | 'guard' | 'target'>>) => setActing(options),
    faceTarget: () => dispatch(facesOfCells()),
    setNote: (note: string | null) => {
      if (binding) dispatch(makeEdits(bindingChanges(slot, binding, { ...binding, note })));
    },
  };
}

/** Only a behaviour that acts has a style, a guard and a target. */
type Acting = Extract<Behaviour, { kind: 'action' }>;

export type CellEdits = NonNullable<ReturnType<typeof useCellEdits>>;
