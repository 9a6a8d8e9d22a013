import { isPressed } from '@nimble-lever/core/devices';
import { formatShortcut, parseSteps } from '@nimble-lever/core/keys';
import {
  type Action,
  acting,
  type Behaviour,
  type Binding,
  type Face,
  keyOf,
  type PressStyle,
} from '@nimble-lever/core/setup';
import { commandWithShortcut } from '@nimble-lever/core/words';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
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

  const setBehaviour = (behaviour: Behaviour | null) => {
    if (!behaviour && !binding) return;
    const { face = null, note = null } = binding ?? {};
    const next = behaviour ? { behaviour, face, note } : null;
    dispatch(makeEdit({ kind: 'set-binding', slot, binding: next }));
  };
  const style: PressStyle = turns
    ? 'tap'
    : binding?.behaviour.kind === 'action'
      ? binding.behaviour.style
      : 'follow';
  const setAction = (action: Action) => setBehaviour(acting(action, style));

  return {
    cell,
    setup,
    binding,
    turns,
    style,
    setAction,
    setBehaviour,
    setStyle: (next: PressStyle) => {
      if (binding?.behaviour.kind === 'action') setBehaviour({ ...binding.behaviour, style: next });
    },
    /**
     * Takes a shortcut in our notation, of one step or several: the command that has it where there is one, so that
     * the cell gets its name. Gives that command's name.
     */
    setSteps: (notation: string): string | null => {
      const command = commandWithShortcut(setup, profile, notation);
      const steps = parseSteps(notation);
      if (command) setAction({ kind: 'command', command: command.id });
      else if (steps.ok && steps.value.length > 1) {
        setAction({ kind: 'sequence', shortcuts: steps.value.map(formatShortcut) });
      } else setAction({ kind: 'shortcut', shortcut: notation });
      return command?.name ?? null;
    },
    setFace: (face: Face) => {
      const empty = face.label === null && face.icon === null && face.colour === null;
      dispatch(makeEdit({ kind: 'set-face', slot, face: empty ? null : face }));
    },
    setNote: (note: string | null) => dispatch(makeEdit({ kind: 'set-note', slot, note })),
  };
}

export type CellEdits = NonNullable<ReturnType<typeof useCellEdits>>;
