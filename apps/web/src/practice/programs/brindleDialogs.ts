import { leave, type Naming, namingCommands, typedName } from './asking.ts';
import { type BrindleState, layersColoured, outputNamed, PAINT_NAMES } from './brindle.ts';
import { type Running, type StandIn, within } from './standIn.ts';

/** What the layers that were asked about are to be called. */
export interface OutputState extends Naming {
  /** The name that was given last. */
  readonly given: string;
}
/** Which colour is chosen. */
export interface ColoursState extends Running {
  readonly at: number;
}

/** Brindle asks what layers are called where they are graded. */
export const OUTPUT_DIALOG: StandIn<OutputState> = {
  initial: { name: '', given: '', lastCommand: null },
  keysBy: 'character',
  text: typedName,
  commands: [
    {
      shortcut: 'Enter',
      name: 'Send to grading',
      run: ({ name, ...state }) => ({ ...state, name: '', given: name.trim() }),
      said: ({ given }) => (given === '' ? 'They go nowhere.' : `They go to grading as “${given}”.`),
      hands: { to: 'brindle', change: ({ given }, other: BrindleState) => outputNamed(other, given) },
      closes: true,
    },
    ...namingCommands<OutputState>('Nothing was changed.'),
  ],
};

const chosen = (by: number) => (state: ColoursState) => {
  return { ...state, at: within(state.at + by, 0, PAINT_NAMES.length - 1) };
};
const colourWords = ({ at }: ColoursState) => `Colour: ${PAINT_NAMES[at]}.`;

/** Brindle's colours for layers in lists. */
export const COLOURS_DIALOG: StandIn<ColoursState> = {
  initial: { at: 0, lastCommand: null },
  keysBy: 'character',
  commands: [
    { shortcut: 'ArrowDown', name: 'Next colour', run: chosen(1), said: colourWords },
    { shortcut: 'ArrowUp', name: 'Colour before', run: chosen(-1), said: colourWords },
    {
      shortcut: 'Enter',
      name: 'Use it',
      run: (state) => state,
      said: colourWords,
      hands: { to: 'brindle', change: ({ at }, other: BrindleState) => layersColoured(other, at) },
      closes: true,
    },
    leave('Nothing was changed.'),
  ],
};
