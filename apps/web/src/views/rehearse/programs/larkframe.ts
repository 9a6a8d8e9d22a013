import { goBack, goOn, remember, type StandInCommand, type Undoable } from './standIn.ts';

/** How the puppets stand in one frame; all from 0 to 1 but the angle, in degrees. */
export interface Pose {
  readonly x: number;
  readonly lift: number;
  readonly umbrella: number;
}

interface Film {
  readonly frames: readonly Pose[];
  /** The frame shown, from 0. */
  readonly at: number;
}

export interface LarkframeState extends Film, Undoable<Film> {
  readonly onion: boolean;
  readonly playing: boolean;
  readonly magnified: boolean;
  /** How many poses the puppets were moved through so far. */
  readonly posed: number;
  readonly lastCommand: string | null;
}

/** The pose the animator moves the puppets to next: the heron walks, and the umbrella opens as it rises. */
export function poseAt(step: number): Pose {
  return {
    x: 0.1 + 0.045 * step,
    lift: 0.5 - 0.5 * Math.cos(step * 0.9),
    umbrella: -24 + 9 * step - 4 * Math.sin(step * 1.3),
  };
}

const FIRST_FRAMES = 7;

export const LARKFRAME: LarkframeState = {
  frames: Array.from({ length: FIRST_FRAMES }, (_, i) => poseAt(i)),
  at: 3,
  onion: false,
  playing: false,
  magnified: false,
  posed: FIRST_FRAMES,
  lastCommand: null,
  past: [],
  future: [],
};

const film = ({ frames, at }: LarkframeState): Film => ({ frames, at });
const show = (state: LarkframeState, at: number): LarkframeState => ({
  ...state,
  at: Math.max(0, Math.min(state.frames.length - 1, at)),
});
const cut = (state: LarkframeState, frames: readonly Pose[], at: number): LarkframeState =>
  show({ ...state, ...remember(state, film(state)), frames }, at);
const turnBack = (state: LarkframeState, turn: typeof goBack<Film>): LarkframeState => {
  const found = turn(state, film(state));
  return found ? { ...state, ...found.kept, past: found.past, future: found.future } : state;
};

const frameWords = ({ at, frames }: LarkframeState) => `Frame ${at + 1} of ${frames.length}.`;

type Row = readonly [
  shortcut: string,
  name: string,
  run: StandInCommand<LarkframeState>['run'],
  said?: (state: LarkframeState) => string,
];

const ROWS: readonly Row[] = [
  ['ArrowRight', 'Step one frame on', (state) => show(state, state.at + 1)],
  ['ArrowLeft', 'Step one frame back', (state) => show(state, state.at - 1)],
  ['Home', 'First frame', (state) => show(state, 0)],
  ['End', 'Last frame', (state) => show(state, state.frames.length - 1)],
  ['Enter', 'Take the frame', take],
  [
    'Space',
    'Play or stop',
    (state) => ({ ...state, playing: !state.playing }),
    ({ playing }) => (playing ? 'Playing.' : 'Stopped.'),
  ],
  [
    'O',
    'Onion skin',
    (state) => ({ ...state, onion: !state.onion }),
    ({ onion }) => (onion ? 'The frame before shows through.' : 'Onion skin is off.'),
  ],
  ['M', 'Magnify here', (state) => ({ ...state, magnified: true }), () => 'Magnified ×2.'],
  ['Ctrl+0', 'Fit in window', (state) => ({ ...state, magnified: false }), () => 'The whole frame is seen.'],
  ['Delete', 'Delete the frame', remove],
  ['D', 'Double the frame', double],
  ['Ctrl+Z', 'Undo', (state) => turnBack(state, goBack)],
  ['Ctrl+Shift+Z', 'Redo', (state) => turnBack(state, goOn)],
];

export const LARKFRAME_COMMANDS: readonly StandInCommand<LarkframeState>[] = ROWS.map(
  ([shortcut, name, run, said = frameWords]) => ({ shortcut, name, run, said }),
);

function take(state: LarkframeState): LarkframeState {
  const frames = [
    ...state.frames.slice(0, state.at + 1),
    poseAt(state.posed),
    ...state.frames.slice(state.at + 1),
  ];
  return { ...cut(state, frames, state.at + 1), posed: state.posed + 1 };
}

function remove(state: LarkframeState): LarkframeState {
  if (state.frames.length === 1) return state;
  return cut(
    state,
    state.frames.filter((_, i) => i !== state.at),
    state.at,
  );
}

function double(state: LarkframeState): LarkframeState {
  const same = state.frames[state.at];
  if (!same) return state;
  return cut(state, state.frames.toSpliced(state.at, 0, same), state.at + 1);
}

/** One frame on while playing, round and round. */
export function playOn(state: LarkframeState): LarkframeState {
  return state.playing ? { ...state, at: (state.at + 1) % state.frames.length } : state;
}
