import { formatShortcut, type PointerUse, parseSteps } from '@nimble-lever/core/keys';
import type { Action, Profile, Setup, SingleEdit } from '@nimble-lever/core/setup';
import { commandWithShortcut } from '@nimble-lever/core/words';

/** Something that does one action which can be changed: a cell of the Board, an item of a radial menu. */
export interface ActionTarget {
  /** Stands for the thing itself: with another place, half-typed text is forgotten. */
  readonly place: string;
  readonly setup: Setup;
  /** Whose commands it may run. */
  readonly profile: Profile;
  /** For hints that name it. */
  readonly programName: string;
  /** What it does now; null for nothing. */
  readonly action: Action | null;
  /** The device whose control does it; null for what belongs to none, as an item of a menu. */
  readonly device: string | null;
  /** Whether it stays on from one press to the next. */
  readonly latched: boolean;
  /** Whether only control messages can be sent, as by a slider's value. */
  readonly onlyMessages: boolean;
  /**
   * For one way of a movement that has two, as the turns of a dial: which of them it is, and what sets both at once.
   * Null elsewhere.
   */
  readonly pair: {
    readonly isPlus: boolean;
    readonly set: (own: Action, other: Action) => void;
  } | null;
  /** Sets the action; `first` is edited with it, as one. */
  readonly setAction: (action: Action, first?: readonly SingleEdit[]) => void;
}

/**
 * Takes a shortcut in our notation, of one step or several: the command that has it where there is one, so that
 * it gets its name. Gives that command's name.
 */
export function takeSteps({ setup, profile, setAction }: ActionTarget, notation: string): string | null {
  // By the command, the binding follows when the program's shortcut is changed later.
  const command = commandWithShortcut(setup, profile, notation);
  const steps = parseSteps(notation);
  if (command) setAction({ kind: 'command', command: command.id });
  else if (steps.ok && steps.value.length > 1) {
    setAction({ kind: 'sequence', shortcuts: steps.value.map(formatShortcut) });
  } else setAction({ kind: 'shortcut', shortcut: notation });
  return command?.name ?? null;
}

/** A use of the pointer, as it was typed, as an action. */
export function pointerAction({ keys, act }: PointerUse): Action {
  const held = keys === null ? {} : { keys };
  switch (act.kind) {
    case 'drag':
      return { ...act, keys };
    case 'click':
      return { ...act, at: null, ...held };
    case 'wheel':
      return { ...act, ...held };
  }
}
