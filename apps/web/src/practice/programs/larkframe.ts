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

/** How the puppets stand in one frame; all from 0 to 1 but the angle, in degrees. */
export interface Pose {
  readonly x: number;
  /** How high the bird is, 0 to 1. */
  readonly lift: number;
  /** How far the umbrella is open, 0 to 1. */
  readonly umbrella: number;
}

/** What undo brings back: the frames and which is shown. */
interface Film {
  readonly frames: readonly Pose[];
  /** The frame shown, from 0. */
  readonly at: number;
}

/** Larkframe’s film and how it is looked at. */
export interface LarkframeState extends Film, Undoable<Film>, Running {
  /** Whether the frame before shows through. */
  readonly onion: boolean;
  readonly playing: boolean;
  readonly magnified: boolean;
  /** The lamp over the set. */
  readonly lit: boolean;
  /** Lines over the picture. */
  readonly guides: boolean;
  /** How many films were written. */
  readonly exported: number;
  /** How many poses the puppets were moved through so far. */
  readonly posed: number;
}

/** The pose the animator moves the puppets to next: the heron walks, and the umbrella opens as it rises. */
export function poseAt(step: number): Pose {
  return {
    x: 0.1 + 0.045 * step,
    lift: 0.5 - 0.5 * Math.cos(step * 0.9),
    umbrella: -24 + 9 * step - 4 * Math.sin(step * 1.3),
  };
}

/** As many as make a movement that can be seen. */
const FIRST_FRAMES = 7;

/** In the middle of the film, so that there is room both ways. */
const LARKFRAME: LarkframeState = {
  frames: Array.from({ length: FIRST_FRAMES }, (_, i) => poseAt(i)),
  at: 3,
  onion: false,
  playing: false,
  magnified: false,
  lit: true,
  guides: false,
  exported: 0,
  posed: FIRST_FRAMES,
  lastCommand: null,
  past: [],
  future: [],
};

/** The part of the state that undo brings back. */
const film = ({ frames, at }: LarkframeState): Film => ({ frames, at });
/** Shows one frame, by its place. */
export function frameShown(state: LarkframeState, at: number): LarkframeState {
  return { ...state, at: within(at, 0, state.frames.length - 1) };
}
/** Other frames, with those before kept for undo. */
const cut = (state: LarkframeState, frames: readonly Pose[], at: number): LarkframeState =>
  frameShown({ ...state, ...remember(state, film(state)), frames }, at);
// What is said after a step.
const frameWords = ({ at, frames }: LarkframeState) => `Frame ${at + 1} of ${frames.length}.`;

/** Its commands: shortcut, name, what it does to the state, what is said then. */
const ROWS: readonly CommandRow<LarkframeState>[] = [
  ['ArrowRight', 'Step one frame on', (state) => frameShown(state, state.at + 1)],
  ['ArrowLeft', 'Step one frame back', (state) => frameShown(state, state.at - 1)],
  ['Home', 'First frame', (state) => frameShown(state, 0)],
  ['End', 'Last frame', (state) => frameShown(state, state.frames.length - 1)],
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
  ['Shift+F', 'Turn the film round', (state) => cut(state, state.frames.toReversed(), state.at)],
  [
    'K',
    'Stage light',
    (state) => ({ ...state, lit: !state.lit }),
    ({ lit }) => (lit ? 'The stage is lit.' : 'The stage is dark.'),
  ],
  [
    'G',
    'Picture guides',
    (state) => ({ ...state, guides: !state.guides }),
    ({ guides }) => (guides ? 'Guides over the picture.' : 'No guides.'),
  ],
];

/** Undo and redo as this program has them. */
const UNDO = undoRows<LarkframeState, Film>('Ctrl+Shift+Z', film, (state, kept) => ({ ...state, ...kept }));

/** Frame-by-frame capture: frames to step through, take and cut. */
export const LARKFRAME_PROGRAM: StandIn<LarkframeState> = {
  initial: LARKFRAME,
  keysBy: 'character',
  commands: [
    ...commandsFrom([...ROWS, ...UNDO], frameWords),
    {
      shortcut: 'Ctrl+Shift+E',
      name: 'Export the film…',
      menu: ['File'],
      run: (state) => state,
      said: () => 'It asks what the film is called.',
      opens: 'larkframe-export',
    },
  ],
};

/** A new frame after the one that is shown, of the pose as it is. */
function take(state: LarkframeState): LarkframeState {
  const frames = [
    ...state.frames.slice(0, state.at + 1),
    poseAt(state.posed),
    ...state.frames.slice(state.at + 1),
  ];
  return { ...cut(state, frames, state.at + 1), posed: state.posed + 1 };
}

/** Without the frame that is shown; a film keeps at least one. */
function remove(state: LarkframeState): LarkframeState {
  if (state.frames.length === 1) return state;
  return cut(
    state,
    state.frames.filter((_, i) => i !== state.at),
    state.at,
  );
}

/** The same frame twice, as one holds a frame in stop motion. */
function double(state: LarkframeState): LarkframeState {
  const same = state.frames[state.at];
  if (!same) return state;
  return cut(state, state.frames.toSpliced(state.at, 0, same), state.at + 1);
}

/** One frame on while playing, round and round. */
export function playOn(state: LarkframeState): LarkframeState {
  return state.playing ? { ...state, at: (state.at + 1) % state.frames.length } : state;
}
