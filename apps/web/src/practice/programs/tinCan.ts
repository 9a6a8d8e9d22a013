import { type CommandRow, commandsFrom, type Running, type StandIn, within } from './standIn.ts';

/** Who can be talked to: rooms of the workshop. */
export const PEOPLE = ['Puppet room', 'Paint room', 'Sound cellar', 'Front door'] as const;

/** Who is on the intercom and whether one is heard. */
export interface TinCanState extends Running {
  /** The talk key is down. */
  readonly talking: boolean;
  /** Whom it talks to; everyone where `toAll`. */
  readonly at: number;
  /** To everybody, whoever is chosen. */
  readonly toAll: boolean;
  /** By their place in the list. */
  readonly ringing: number | null;
  readonly lastRung: number | null;
  /** Points of 100. */
  readonly volume: number;
  readonly muted: boolean;
  /** Nobody can ring here. */
  readonly quiet: boolean;
  readonly listed: boolean;
  /** How many were left. */
  readonly notes: number;
  readonly doorOpen: boolean;
  readonly lamp: boolean;
}

/** Nobody is talked to. */
const INITIAL: TinCanState = {
  talking: false,
  at: 0,
  toAll: false,
  ringing: null,
  lastRung: null,
  volume: 60,
  muted: false,
  quiet: false,
  listed: true,
  notes: 0,
  doorOpen: false,
  lamp: false,
  lastCommand: null,
};

/** Whom it talks to, in words. */
export function heardBy({ toAll, at }: TinCanState): string {
  return toAll ? 'everyone' : (PEOPLE[at] ?? 'nobody');
}

/** The next person round the list; not everyone any more. */
const person = (by: number) => (state: TinCanState) => ({
  ...state,
  at: (state.at + by + PEOPLE.length) % PEOPLE.length,
  toAll: false,
});
/** Louder or softer, in percent. */
const louder = (by: number) => (state: TinCanState) => ({
  ...state,
  volume: within(state.volume + by, 0, 100),
});
/** It rings at somebody, who is remembered so that it can ring there again. */
const rung = (state: TinCanState, who: number | null): TinCanState =>
  who === null ? state : { ...state, ringing: who, lastRung: who };
/** One of its switches. */
const toggled = (field: 'muted' | 'quiet' | 'listed' | 'doorOpen' | 'lamp') => (state: TinCanState) => ({
  ...state,
  [field]: !state[field],
});

// What each command says in the status line.
const talkWords = (state: TinCanState) => {
  if (!state.talking) return 'Nobody hears you.';
  return state.muted ? 'The microphone is off.' : `You are heard by ${heardBy(state)}.`;
};
const personWords = (state: TinCanState) => `To ${heardBy(state)}.`;
const volumeWords = ({ volume }: TinCanState) => `Volume ${volume}.`;
const ringWords = ({ ringing }: TinCanState) =>
  ringing === null ? 'Nothing rings.' : `It rings: ${PEOPLE[ringing]}.`;
const noteWords = ({ notes }: TinCanState) => `${notes} notes left.`;

/** Its commands: shortcut, name, what it does to the state, what is said then. */
const ROWS: readonly CommandRow<TinCanState>[] = [
  ['A', 'Talk to everyone', (state) => ({ ...state, toAll: true }), personWords],
  ['PageDown', 'Next person', person(1), personWords],
  ['PageUp', 'Previous person', person(-1), personWords],
  ['Enter', 'Ring', (state) => rung(state, state.at), ringWords],
  ['L', 'Ring the last one again', (state) => rung(state, state.lastRung), ringWords],
  ['Escape', 'Hang up', (state) => ({ ...state, ringing: null }), ringWords],
  ['ArrowUp', 'Louder', louder(5), volumeWords],
  ['ArrowDown', 'Quieter', louder(-5), volumeWords],
  [
    'Ctrl+M',
    'Microphone off or on',
    toggled('muted'),
    ({ muted }) => (muted ? 'The microphone is off.' : 'The microphone is on.'),
  ],
  ['Q', 'Quiet hours', toggled('quiet'), ({ quiet }) => (quiet ? 'Quiet hours.' : 'No quiet hours.')],
  [
    'W',
    'Show who is there',
    toggled('listed'),
    ({ listed }) => (listed ? 'The list shows.' : 'The list is hidden.'),
  ],
  ['N', 'Leave a note', (state) => ({ ...state, notes: state.notes + 1 }), noteWords],
  ['Delete', 'Clear the notes', (state) => ({ ...state, notes: 0 }), noteWords],
  [
    'D',
    'Open the studio door',
    toggled('doorOpen'),
    ({ doorOpen }) => (doorOpen ? 'The door is open.' : 'The door is shut.'),
  ],
  ['R', 'Recording lamp', toggled('lamp'), ({ lamp }) => (lamp ? 'The lamp is lit.' : 'The lamp is dark.')],
];

/** An intercom: it listens for its talk key also in the background, and talks as long as that is down. */
export const TIN_CAN_PROGRAM: StandIn<TinCanState> = {
  initial: INITIAL,
  keysBy: 'character',
  commands: [
    {
      shortcut: 'F13',
      name: 'Talk',
      run: (state) => ({ ...state, talking: true }),
      release: (state) => ({ ...state, talking: false }),
      said: talkWords,
    },
    ...commandsFrom(ROWS, personWords),
  ],
  wheel: { by: 'ticks', turn: (state, ticks) => louder(ticks * 5)(state) },
};
