import type { Running, StandInCommand } from './standIn.ts';

/** Something that is named by typing. */
export interface Naming extends Running {
  readonly name: string;
}

/** The longest name: characters. */
const LONGEST = 40;

/** What is typed comes behind what is there. */
export function typedName<State extends Naming>(state: State, text: string): State {
  return { ...state, name: (state.name + text).slice(0, LONGEST) };
}

/** Leaves a window in which something is asked, with everything as it was. */
export function leave<State>(
  said: string,
  run: (state: State) => State = (state) => state,
): StandInCommand<State> {
  return { shortcut: 'Escape', name: 'Leave', run, said: () => said, closes: true };
}

/** A letter back, and leaving: what everything that is named by typing has. */
export function namingCommands<State extends Naming>(leaves: string): readonly StandInCommand<State>[] {
  return [
    {
      shortcut: 'Backspace',
      name: 'Take back a letter',
      run: (state) => ({ ...state, name: state.name.slice(0, -1) }),
      said: ({ name }) => `“${name}”`,
    },
    leave<State>(leaves, (state) => ({ ...state, name: '' })),
  ];
}
