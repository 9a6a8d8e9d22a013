import type { LarkframeState } from './larkframe.ts';
import type { Running, StandIn } from './standIn.ts';

/** What the film that is written is called. */
export interface ExportState extends Running {
  readonly name: string;
  readonly written: readonly string[];
}

/** The longest name: characters. */
const LONGEST = 40;

/** Larkframe asks what the film is to be called. */
export const EXPORT_DIALOG: StandIn<ExportState> = {
  initial: { name: '', written: [], lastCommand: null },
  keysBy: 'character',
  text: (state, text) => ({ ...state, name: (state.name + text).slice(0, LONGEST) }),
  commands: [
    {
      shortcut: 'Enter',
      name: 'Export',
      run: (state) => ({ ...state, name: '', written: [...state.written, state.name.trim() || 'film'] }),
      said: ({ written }) => `“${written.at(-1)}” is written.`,
      hands: {
        to: 'larkframe',
        change: (_own, film: LarkframeState) => ({ ...film, exported: film.exported + 1 }),
      },
      closes: true,
    },
    {
      shortcut: 'Backspace',
      name: 'Take back a letter',
      run: (state) => ({ ...state, name: state.name.slice(0, -1) }),
      said: ({ name }) => `“${name}”`,
    },
    {
      shortcut: 'Escape',
      name: 'Leave',
      run: (state) => ({ ...state, name: '' }),
      said: () => 'Nothing is written.',
      closes: true,
    },
  ],
};
