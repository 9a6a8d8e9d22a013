import {
  type CommandRow,
  commandsFrom,
  type Running,
  remember,
  type StandIn,
  type Undoable,
  undoRows,
  within,
} from './standIn.ts';

/** How long the recording is: seconds. */
export const LENGTH = 48;
/** One scrub step, and the least that can be seen: seconds. */
const STEP = 0.5;
/** Seconds: zooming in ends here. */
const CLOSEST = 3;

/** A part of the recording, in seconds. */
interface Span {
  readonly from: number;
  readonly to: number;
}
/** What undo brings back: the work on the recording, and neither where one is nor what is seen. */
interface Kept {
  /** Where the recording is cut, rising: seconds. */
  readonly cuts: readonly number[];
  /** Rising: seconds. */
  readonly markers: readonly number[];
  /** Spans without a sound, which may touch. */
  readonly silenced: readonly Span[];
}

/** Hushbox’s recording: its pieces, markers, selection and the part that is seen. */
export interface HushboxState extends Kept, Undoable<Kept>, Running {
  /** The playhead: seconds. */
  readonly at: number;
  /** Null where nothing is selected. */
  readonly selection: Span | null;
  /** What is seen: seconds. */
  readonly view: Span;
  /** Only shown: nothing sounds here. */
  readonly playing: boolean;
  /** How loud: 0 to 1. */
  readonly gain: number;
}

/** All of the recording. */
const WHOLE: Span = { from: 0, to: LENGTH };
/** Two markers and a cut, so that there is something to go to. */
const INITIAL: HushboxState = {
  cuts: [14],
  markers: [8, 26],
  silenced: [],
  at: 12,
  selection: { from: 18, to: 24 },
  view: WHOLE,
  playing: false,
  gain: 0.7,
  lastCommand: null,
  past: [],
  future: [],
};

/**
 * How loud the recording is at a time, from 0 to 1: rain with three calls of the heron in it.
 *
 * @param t seconds
 */
export function loudnessAt(t: number): number {
  const rain = 0.16 + 0.08 * Math.abs(Math.sin(t * 5.3) * Math.sin(t * 1.7));
  const calls = [7, 21, 36].reduce((sum, start) => {
    const since = t - start;
    return since > 0 && since < 4
      ? sum + 0.75 * Math.sin((since / 4) * Math.PI) * Math.abs(Math.sin(since * 7))
      : sum;
  }, 0);
  return Math.min(1, rain + calls);
}

/** The part of the state that undo brings back. */
const kept = ({ cuts, markers, silenced }: HushboxState): Kept => ({ cuts, markers, silenced });
/** Changed, with what was before kept for undo. */
const changed = (state: HushboxState, next: Partial<Kept>): HushboxState => ({
  ...state,
  ...remember(state, kept(state)),
  ...next,
});

/** What is seen about a time, as wide as asked where that can be. */
const seen = (middle: number, wide: number): Span => {
  const width = within(wide, CLOSEST, LENGTH);
  const from = within(middle - width / 2, 0, LENGTH - width);
  return { from, to: from + width };
};

/** Moves the playhead and keeps it in sight. */
export function scrubbed(state: HushboxState, to: number): HushboxState {
  const at = within(to, 0, LENGTH);
  const { from, to: end } = state.view;
  if (at >= from && at <= end) return { ...state, at };
  return { ...state, at, view: seen(at, end - from) };
}

/** Zoomed around the place where one is. */
const zoomed = (state: HushboxState, factor: number): HushboxState => ({
  ...state,
  view: seen(state.at, (state.view.to - state.view.from) * factor),
});
/** A span that fills the view. */
const zoomedTo = (state: HushboxState, { from, to }: Span): HushboxState => ({
  ...state,
  view: seen((from + to) / 2, to - from),
});
/** The selection made longer or shorter from where it began, as with Shift and an arrow in a text. */
const selected = (state: HushboxState, by: number): HushboxState => {
  const moved = scrubbed(state, state.at + by);
  const from =
    state.selection?.from === state.at
      ? state.selection.to
      : state.selection?.to === state.at
        ? state.selection.from
        : state.at;
  const selection = { from: Math.min(from, moved.at), to: Math.max(from, moved.at) };
  return { ...moved, selection: selection.from < selection.to ? selection : null };
};
/** Kept rising, and each place once. */
const addedTo = (list: readonly number[], at: number) =>
  list.includes(at) ? list : [...list, at].toSorted((a, b) => a - b);
/** To a marker, if there is one in that direction. */
const toMarker = (state: HushboxState, found: number | undefined): HushboxState =>
  found === undefined ? state : scrubbed(state, found);

// What each command says in the status line.
const timeWords = ({ at }: HushboxState) => `At ${at.toFixed(1)} s.`;
const viewWords = ({ view }: HushboxState) => `${view.from.toFixed(1)} to ${view.to.toFixed(1)} s are seen.`;
const spanWords = ({ selection }: HushboxState) =>
  selection
    ? `${selection.from.toFixed(1)} to ${selection.to.toFixed(1)} s selected.`
    : 'Nothing is selected.';
const markerWords = ({ markers }: HushboxState) => `${markers.length} markers.`;

/** Its commands: shortcut, name, what it does to the state, what is said then. */
const ROWS: readonly CommandRow<HushboxState>[] = [
  ['L', 'Scrub on', (state) => scrubbed(state, state.at + STEP)],
  ['J', 'Scrub back', (state) => scrubbed(state, state.at - STEP)],
  [
    'Space',
    'Play or stop',
    (state) => ({ ...state, playing: !state.playing }),
    ({ playing }) => (playing ? 'Playing.' : 'Stopped.'),
  ],
  ['Home', 'Go to the start', (state) => scrubbed(state, 0)],
  ['End', 'Go to the end', (state) => scrubbed(state, LENGTH)],
  [
    'Ctrl+E',
    'Split here',
    (state) => changed(state, { cuts: addedTo(state.cuts, state.at) }),
    ({ cuts }) => `${cuts.length + 1} pieces.`,
  ],
  [
    'M',
    'Set a marker',
    (state) => changed(state, { markers: addedTo(state.markers, state.at) }),
    markerWords,
  ],
  [
    'Z',
    'Zoom to selection',
    (state) => (state.selection ? zoomedTo(state, state.selection) : state),
    viewWords,
  ],
  ['F', 'Fit in window', (state) => ({ ...state, view: WHOLE }), viewWords],
  ['Ctrl+=', 'Look closer', (state) => zoomed(state, 0.5), viewWords],
  ['Ctrl+-', 'Look wider', (state) => zoomed(state, 2), viewWords],
  ['Shift+L', 'Select on', (state) => selected(state, STEP), spanWords],
  ['Shift+J', 'Select back', (state) => selected(state, -STEP), spanWords],
  [
    'PageDown',
    'Next marker',
    (state) =>
      toMarker(
        state,
        state.markers.find((at) => at > state.at),
      ),
  ],
  [
    'PageUp',
    'Previous marker',
    (state) =>
      toMarker(
        state,
        state.markers.findLast((at) => at < state.at),
      ),
  ],
  [
    'Delete',
    'Silence the selection',
    (state) => (state.selection ? changed(state, { silenced: [...state.silenced, state.selection] }) : state),
    spanWords,
  ],
];

/** Undo and redo as this program has them. */
const UNDO = undoRows<HushboxState, Kept>('Ctrl+Shift+Z', kept, (state, before) => ({ ...state, ...before }));

/** Sound: a waveform to scrub, split, mark and silence. */
export const HUSHBOX_PROGRAM: StandIn<HushboxState> = {
  initial: INITIAL,
  keysBy: 'place',
  commands: commandsFrom([...ROWS, ...UNDO], timeWords),
  wheel: { by: 'parts', turn: (state, ticks) => scrubbed(state, state.at - ticks * STEP) },
  message: (state, message, value) =>
    message.protocol === 'osc' && message.address === '/hushbox/gain'
      ? { state: { ...state, gain: value }, name: 'Gain', said: `Gain ${Math.round(value * 100)} %.` }
      : null,
};

/** The playhead goes on while it plays, and stops at the end. */
export function playedOn(state: HushboxState, seconds: number): HushboxState {
  if (!state.playing) return state;
  const next = scrubbed(state, state.at + seconds);
  return next.at >= LENGTH ? { ...next, playing: false } : next;
}
