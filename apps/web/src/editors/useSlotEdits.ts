import {
  type Behaviour,
  type Binding,
  bindingChanges,
  type Face,
  itemAt,
  type PressStyle,
  type SingleEdit,
  type Slot,
} from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { makeEdit, makeEdits } from '../app/setup/edits.ts';
import { selectSetup } from '../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { faceEdit } from './faceEdit.ts';
import { slotTarget } from './slotTarget.ts';

/** What is set at a slot, and the edits that change it. Null where its profile is gone. */
export function useSlotEdits(slot: Slot) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const profile = setup.profiles[slot.profile];
  if (!profile) return null;
  const change = (after: Binding | null, first: readonly SingleEdit[] = []) =>
    void dispatch(makeEdits([...first, ...bindingChanges(slot, binding, after)]));
  const setBehaviour = (behaviour: Behaviour | null, first: readonly SingleEdit[] = []) => {
    const { face = null, note = null } = binding ?? {};
    change(behaviour && { behaviour, face, note }, first);
  };
  const programName = profileName(setup, profile.id);
  const { binding, turns, style, target } = slotTarget({ setup, slot, profile, programName, setBehaviour });
  const setActing = (options: Partial<Extract<Behaviour, { kind: 'action' }>>) => {
    if (binding?.behaviour.kind !== 'action') return;
    change({ ...binding, behaviour: { ...binding.behaviour, ...options } });
  };
  return {
    setup,
    profile,
    binding,
    turns,
    style,
    target,
    setBehaviour,
    setStyle: (next: PressStyle) => setActing({ style: next }),
    setOptions: setActing,
    faceTarget: () => (parts: Partial<Face>) =>
      void dispatch(makeEdit(faceEdit(itemAt.binding(slot), parts))),
  };
}
