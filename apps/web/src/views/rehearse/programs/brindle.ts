import { goBack, goOn, remember, type StandInCommand, type Undoable } from './standIn.ts';

/** One mark of brush or eraser, in canvas coordinates. */
export interface Mark {
  readonly points: readonly (readonly [x: number, y: number])[];
  readonly size: number;
  /** Index into the paints; null for the eraser. */
  readonly paint: number | null;
}

export interface BrindleState extends Undoable<readonly Mark[]> {
  readonly marks: readonly Mark[];
  readonly tool: 'brush' | 'eraser';
  /** Brush width in canvas units. */
  readonly size: number;
  readonly paint: number;
  readonly zoom: number;
  /** Degrees, clockwise. */
  readonly angle: number;
  /** How far the canvas is scrolled, in canvas units. */
  readonly scroll: number;
  readonly lastCommand: string | null;
}

export const PAINT_NAMES = ['slate', 'plum', 'ochre', 'reed', 'brick'] as const;
export const CANVAS = { width: 540, height: 250 } as const;

const SIZES = [2, 3, 4, 6, 8, 10, 13, 16, 20, 25, 32, 40, 50, 64] as const;
const ZOOM = { factor: 1.25, least: 0.25, most: 8 } as const;

export const BRINDLE: BrindleState = {
  marks: [
    {
      paint: 0,
      size: 16,
      points: [
        [150, 150],
        [190, 120],
        [240, 104],
        [300, 100],
      ],
    },
    {
      paint: 0,
      size: 13,
      points: [
        [168, 168],
        [215, 146],
        [268, 134],
        [322, 132],
      ],
    },
    {
      paint: 2,
      size: 10,
      points: [
        [190, 186],
        [238, 172],
        [290, 164],
        [334, 164],
      ],
    },
  ],
  tool: 'brush',
  size: 16,
  paint: 1,
  zoom: 1,
  angle: 0,
  scroll: 0,
  lastCommand: null,
  past: [],
  future: [],
};

const resized = (state: BrindleState, by: 1 | -1): BrindleState => {
  const at = SIZES.findIndex((size) => size >= state.size);
  return { ...state, size: SIZES[Math.max(0, Math.min(SIZES.length - 1, at + by))] ?? state.size };
};
const zoomed = (state: BrindleState, factor: number): BrindleState => ({
  ...state,
  zoom: Math.max(ZOOM.least, Math.min(ZOOM.most, state.zoom * factor)),
});
const repainted = (state: BrindleState, marks: readonly Mark[]): BrindleState => ({
  ...state,
  ...remember(state, state.marks),
  marks,
});
const turned = (state: BrindleState, turn: typeof goBack<readonly Mark[]>): BrindleState => {
  const found = turn(state, state.marks);
  return found ? { ...state, marks: found.kept, past: found.past, future: found.future } : state;
};

const sizeWords = ({ size }: BrindleState) => `Brush ${size} wide.`;
const zoomWords = ({ zoom }: BrindleState) => `Zoom ${Math.round(zoom * 100)} %.`;
const markWords = ({ marks }: BrindleState) =>
  `${marks.length} ${marks.length === 1 ? 'mark' : 'marks'} on the canvas.`;
const toolWords = ({ tool }: BrindleState) => `The ${tool} is in hand.`;
const angleWords = ({ angle }: BrindleState) => `Canvas at ${angle}°.`;

type Row = readonly [
  shortcut: string,
  name: string,
  run: StandInCommand<BrindleState>['run'],
  said: (state: BrindleState) => string,
];

const ROWS: readonly Row[] = [
  [']', 'Brush larger', (state) => resized(state, 1), sizeWords],
  ['[', 'Brush smaller', (state) => resized(state, -1), sizeWords],
  ['B', 'Brush', (state) => ({ ...state, tool: 'brush' }), toolWords],
  ['E', 'Eraser', (state) => ({ ...state, tool: 'eraser' }), toolWords],
  [
    'C',
    'Next colour',
    (state) => ({ ...state, paint: (state.paint + 1) % PAINT_NAMES.length }),
    ({ paint }) => `Colour: ${PAINT_NAMES[paint]}.`,
  ],
  ['Ctrl+=', 'Zoom in', (state) => zoomed(state, ZOOM.factor), zoomWords],
  ['Ctrl+-', 'Zoom out', (state) => zoomed(state, 1 / ZOOM.factor), zoomWords],
  ['Ctrl+0', 'Fit in window', (state) => ({ ...state, zoom: 1, scroll: 0 }), zoomWords],
  ['Ctrl+U', 'Canvas upright', (state) => ({ ...state, angle: 0 }), angleWords],
  ['Shift+R', 'Turn the canvas', (state) => ({ ...state, angle: (state.angle + 15) % 360 }), angleWords],
  ['Ctrl+Delete', 'Clear the canvas', (state) => repainted(state, []), markWords],
  ['Ctrl+Z', 'Undo', (state) => turned(state, goBack), markWords],
  ['Ctrl+Y', 'Redo', (state) => turned(state, goOn), markWords],
];

export const BRINDLE_COMMANDS: readonly StandInCommand<BrindleState>[] = ROWS.map(
  ([shortcut, name, run, said]) => ({ shortcut, name, run, said }),
);

/** Starts a mark at a point of the canvas. */
export function markBegun(state: BrindleState, point: readonly [number, number]): BrindleState {
  const paint = state.tool === 'eraser' ? null : state.paint;
  return repainted(state, [...state.marks, { points: [point], size: state.size, paint }]);
}

/** Draws the newest mark on to a point. */
export function markDrawn(state: BrindleState, point: readonly [number, number]): BrindleState {
  const mark = state.marks.at(-1);
  if (!mark) return state;
  return { ...state, marks: [...state.marks.slice(0, -1), { ...mark, points: [...mark.points, point] }] };
}

/** Scrolls the canvas; positive ticks are away from the person. */
export function scrolled(state: BrindleState, ticks: number): BrindleState {
  return { ...state, scroll: Math.max(-200, Math.min(200, state.scroll + ticks * 20)) };
}
