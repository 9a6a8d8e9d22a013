import { type Naming, namingCommands, typedName } from './asking.ts';
import type { LarkframeState } from './larkframe.ts';
import type { StandIn } from './standIn.ts';

/** What the film that is written is called. */
export interface ExportState extends Naming {
  readonly written: readonly string[];
}

/** Larkframe asks what the film is to be called. */
export const EXPORT_DIALOG: StandIn<ExportState> = {
  initial: { name: '', written: [], lastCommand: null },
  keysBy: 'character',
  text: typedName,
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
    ...namingCommands<ExportState>('Nothing is written.'),
  ],
};
