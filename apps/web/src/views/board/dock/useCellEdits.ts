import { isPlus, isPressed, oppositeOf } from '@nimble-lever/core/devices';
import {
  type Action,
  acting,
  type Behaviour,
  type Binding,
  bindingChanges,
  type Face,
  keyOf,
  type PressStyle,
  type SingleEdit,
} from '@nimble-lever/core/setup';
import { makeEdits } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import type { ActionTarget } from '../../../editors/actionTarget.ts';
import { changeCells, setCells } from '../setCells.ts';
import { selectCell } from '../useBoard.ts';

/** What is set at the selected cell, and the edits that change it. Null where no cell is selected. */
export function useCellEdits() {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const cell = useAppSelector(selectCell);
  if (!cell) return null;
  const { slot } = cell;
  const profile = cell.column.profile;
  const binding: Binding | null = profile.bindings[keyOf(slot)] ?? null;
  const turns = !isPressed(slot.trigger);

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
  // Turns step and are never held, so that only a tap makes sense.
  const style: PressStyle = turns
    ? 'tap'
    : binding?.behaviour.kind === 'action'
      ? binding.behaviour.style
      : 'follow';
  // How it is sent stays as it was when another thing is sent.
  const setAction = (action: Action, first: readonly SingleEdit[] = []) => {
    const { behaviour } = binding ?? {};
    setBehaviour(behaviour?.kind === 'action' ? { ...behaviour, action } : acting(action, style), first);
  };
  const opposite = oppositeOf(slot.trigger);
  const setPair = (own: Action, other: Action) => {
    if (!opposite) return;
    const there = { ...slot, trigger: opposite };
    const before = profile.bindings[keyOf(there)] ?? null;
    const { face = null, note = null } = before ?? {};
    const acts = before?.behaviour.kind === 'action' ? before.behaviour : acting(other, style);
    setAction(own, bindingChanges(there, before, { behaviour: { ...acts, action: other }, face, note }));
  };
  const target: ActionTarget = {
    place: `${slot.profile} ${keyOf(slot)}`,
    setup,
    profile,
    programName: cell.column.name,
    action: binding?.behaviour.kind === 'action' ? binding.behaviour.action : null,
    device: slot.device,
    latched: style === 'latch',
    onlyMessages: slot.trigger === 'slide',
    pair: opposite && { isPlus: isPlus(slot.trigger), set: setPair },
    setAction,
  };

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
    setFace: (face: Face) => void dispatch(changeCells((before) => before && { ...before, face })),
    setNote: (note: string | null) => {
      if (binding) dispatch(makeEdits(bindingChanges(slot, binding, { ...binding, note })));
    },
  };
}

/** Only a behaviour that acts has a style, a guard and a target. */
type Acting = Extract<Behaviour, { kind: 'action' }>;

export type CellEdits = NonNullable<ReturnType<typeof useCellEdits>>;
