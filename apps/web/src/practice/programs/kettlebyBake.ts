import { type CommandRow, commandsFrom, type Running, type StandIn, within } from './standIn.ts';

/** How a prop is baked. */
export interface BakeState extends Running {
  /** Points of 100. */
  readonly fineness: number;
  readonly hollow: boolean;
  readonly baked: number;
}

const finer = (by: number) => (state: BakeState) => {
  return { ...state, fineness: within(state.fineness + by, 0, 100) };
};
const fineWords = ({ fineness }: BakeState) => `Fineness ${fineness}.`;

const ROWS: readonly CommandRow<BakeState>[] = [
  ['ArrowUp', 'Finer', finer(10)],
  ['ArrowDown', 'Coarser', finer(-10)],
  [
    'H',
    'Hollow',
    (state) => ({ ...state, hollow: !state.hollow }),
    ({ hollow }) => (hollow ? 'It will be hollow.' : 'It will be solid.'),
  ],
];

/** Kettleby's dialog: a window of the same program, known by its title alone. */
export const BAKE_DIALOG: StandIn<BakeState> = {
  initial: { fineness: 50, hollow: false, baked: 0, lastCommand: null },
  keysBy: 'place',
  commands: [
    ...commandsFrom(ROWS, fineWords),
    {
      shortcut: 'Enter',
      name: 'Bake',
      run: (state) => ({ ...state, baked: state.baked + 1 }),
      said: ({ baked }) => `Baked ${baked} ${baked === 1 ? 'time' : 'times'}.`,
      closes: true,
    },
    {
      shortcut: 'Escape',
      name: 'Leave',
      run: (state) => state,
      said: () => 'Nothing was baked.',
      closes: true,
    },
  ],
};
