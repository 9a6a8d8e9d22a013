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

/** One mark of brush or eraser, in canvas coordinates. */
export interface Mark {
  readonly points: readonly (readonly [x: number, y: number])[];
  /** Of the brush: pixels of the canvas. */
  readonly size: number;
  /** Index into the paints; null for the eraser. */
  readonly paint: number | null;
}

/** A part of the puppet, on paper of its own. */
export interface Layer {
  readonly name: string;
  readonly selected: boolean;
  /** What it is called where it is graded; null where it does not go there. */
  readonly output: string | null;
  /** Its colour in lists: index into the paints; null for none. */
  readonly colour: number | null;
}

/** What is on Brindle’s canvas and in its hand. */
export interface BrindleState extends Undoable<readonly Mark[]>, Running {
  readonly layers: readonly Layer[];
  /** The layers whose output is asked about, by their places. */
  readonly asked: readonly number[];
  /** How often the picture was saved. */
  readonly saved: number;
  readonly marks: readonly Mark[];
  readonly tool: 'brush' | 'eraser' | 'hand';
  /** Brush width in canvas units. */
  readonly size: number;
  /** Which of the paints. */
  readonly paint: number;
  /** 1 is as large as it is. */
  readonly zoom: number;
  /** Degrees, clockwise. */
  readonly angle: number;
  /** Seen from the back of the paper. */
  readonly mirrored: boolean;
  /** How far the canvas is scrolled, in canvas units. */
  readonly scroll: number;
}

/** The paints by name, in the order of `scene.paints`; the canvas in its own units. */
export const PAINT_NAMES = ['slate', 'plum', 'ochre', 'reed', 'brick'] as const;
/** The canvas, in its own pixels, however large it is shown. */
export const CANVAS = { width: 540, height: 250 } as const;

/** Widths of the brush, each about a quarter larger than the one before: equal steps for the eye. */
const SIZES = [2, 3, 4, 6, 8, 10, 13, 16, 20, 25, 32, 40, 50, 64] as const;
/** Zoom goes by equal ratios as well, between a quarter and eight times. */
const ZOOM = { factor: 1.25, least: 0.25, most: 8 } as const;

/** The drawing that is on the canvas when the program starts. */
const BRINDLE: BrindleState = {
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
  mirrored: false,
  scroll: 0,
  layers: ['wing, left', 'wing, right', 'neck', 'beak', 'legs'].map((name, i) => ({
    name,
    selected: i === 0,
    output: null,
    colour: null,
  })),
  asked: [],
  saved: 0,
  lastCommand: null,
  past: [],
  future: [],
};

/** The next brush of the table, larger or smaller, ending at its ends. */
const resized = (state: BrindleState, by: 1 | -1): BrindleState => {
  const at = SIZES.findIndex((size) => size >= state.size);
  return { ...state, size: SIZES[Math.max(0, Math.min(SIZES.length - 1, at + by))] ?? state.size };
};
/** Zoomed within the bounds. */
const zoomed = (state: BrindleState, factor: number): BrindleState => ({
  ...state,
  zoom: within(state.zoom * factor, ZOOM.least, ZOOM.most),
});
/** Other marks on the canvas, with those before them kept for undo. */
const repainted = (state: BrindleState, marks: readonly Mark[]): BrindleState => ({
  ...state,
  ...remember(state, state.marks),
  marks,
});
/** The next paint round the circle. */
const coloured = (state: BrindleState, by: 1 | -1): BrindleState => ({
  ...state,
  paint: (state.paint + by + PAINT_NAMES.length) % PAINT_NAMES.length,
});

/** Selects one layer, or adds it to those that are, or takes it from them. */
export function layerSelected(state: BrindleState, at: number, adds: boolean): BrindleState {
  const layers = state.layers.map((layer, i) => ({
    ...layer,
    selected: i === at ? !adds || !layer.selected : adds && layer.selected,
  }));
  return { ...state, layers };
}
/** The output of one layer is asked about; `all`: of all that are selected, if it is one of them. */
export function outputAsked(state: BrindleState, at: number, all: boolean): BrindleState {
  const selected = state.layers.flatMap(({ selected: is }, i) => (is ? [i] : []));
  return { ...state, asked: all && selected.includes(at) ? selected : [at] };
}
/** Those that were asked about go to grading under a name. */
export function outputNamed(state: BrindleState, name: string): BrindleState {
  const output = name.trim() === '' ? null : name.trim();
  const layers = state.layers.map((layer, i) => (state.asked.includes(i) ? { ...layer, output } : layer));
  return { ...state, layers, asked: [] };
}
/** The layers that are selected get a colour in lists. */
export function layersColoured(state: BrindleState, colour: number): BrindleState {
  return { ...state, layers: state.layers.map((layer) => (layer.selected ? { ...layer, colour } : layer)) };
}

// What each command says in the status line.
const layerWords = ({ layers }: BrindleState) =>
  `${layers.filter(({ selected }) => selected).length} of ${layers.length} layers selected.`;
const paintWords = ({ paint }: BrindleState) => `Colour: ${PAINT_NAMES[paint]}.`;
const sizeWords = ({ size }: BrindleState) => `Brush ${size} wide.`;
const zoomWords = ({ zoom }: BrindleState) => `Zoom ${Math.round(zoom * 100)} %.`;
const markWords = ({ marks }: BrindleState) =>
  `${marks.length} ${marks.length === 1 ? 'mark' : 'marks'} on the canvas.`;
const toolWords = ({ tool }: BrindleState) => `Tool: ${tool}.`;
const angleWords = ({ angle }: BrindleState) => `Canvas at ${angle}°.`;

/** Its commands: shortcut, name, what it does to the state, what is said then. */
const ROWS: readonly CommandRow<BrindleState>[] = [
  [']', 'Brush larger', (state) => resized(state, 1), sizeWords],
  ['[', 'Brush smaller', (state) => resized(state, -1), sizeWords],
  ['B', 'Brush', (state) => ({ ...state, tool: 'brush' }), toolWords],
  ['E', 'Eraser', (state) => ({ ...state, tool: 'eraser' }), toolWords],
  ['H', 'Hand', (state) => ({ ...state, tool: 'hand' }), toolWords],
  ['C', 'Next colour', (state) => coloured(state, 1), paintWords],
  ['Shift+C', 'Previous colour', (state) => coloured(state, -1), paintWords],
  [
    'Shift+F',
    'Mirror the canvas',
    (state) => ({ ...state, mirrored: !state.mirrored }),
    ({ mirrored }) => (mirrored ? 'Seen from the back.' : 'Seen from the front.'),
  ],
  ['Ctrl+=', 'Zoom in', (state) => zoomed(state, ZOOM.factor), zoomWords],
  ['Ctrl+-', 'Zoom out', (state) => zoomed(state, 1 / ZOOM.factor), zoomWords],
  ['Ctrl+0', 'Fit in window', (state) => ({ ...state, zoom: 1, scroll: 0 }), zoomWords],
  ['Ctrl+U', 'Canvas upright', (state) => ({ ...state, angle: 0 }), angleWords],
  ['Shift+R', 'Turn the canvas', (state) => ({ ...state, angle: (state.angle + 15) % 360 }), angleWords],
  ['Ctrl+Delete', 'Clear the canvas', (state) => repainted(state, []), markWords],
  [
    'Ctrl+A',
    'Select all layers',
    (state) => ({ ...state, layers: state.layers.map((layer) => ({ ...layer, selected: true })) }),
    layerWords,
  ],
  [
    'Ctrl+S',
    'Save',
    (state) => ({ ...state, saved: state.saved + 1 }),
    ({ saved }) => `Saved ${saved} ${saved === 1 ? 'time' : 'times'}.`,
  ],
];

/** Undo and redo by the shortcuts this program has for them; others have others, as in life. */
const UNDO = undoRows<BrindleState, readonly Mark[]>(
  'Ctrl+Y',
  ({ marks }) => marks,
  (state, marks) => ({ ...state, marks }),
);

/** Painting: a canvas, brush, eraser and hand. */
export const BRINDLE_PROGRAM: StandIn<BrindleState> = {
  initial: BRINDLE,
  keysBy: 'character',
  commands: [
    ...commandsFrom([...ROWS, ...UNDO], markWords),
    {
      shortcut: 'F7',
      name: 'Colours…',
      menu: ['Window'],
      run: (state) => state,
      said: () => 'It asks for a colour of the selected layers.',
      opens: 'brindle-colours',
    },
    {
      shortcut: 'Ctrl+Shift+O',
      name: 'Selected layers…',
      menu: ['Layer', 'Output'],
      run: (state) =>
        outputAsked(
          state,
          Math.max(
            0,
            state.layers.findIndex(({ selected }) => selected),
          ),
          true,
        ),
      said: ({ asked }) =>
        `It asks what ${asked.length} ${asked.length === 1 ? 'layer is' : 'layers are'} called.`,
      opens: 'brindle-output',
    },
  ],
  wheel: { by: 'parts', turn: scrolled },
};

/** Starts a mark at a point of the canvas. */
export function markBegun(
  state: BrindleState,
  point: readonly [number, number],
  erasing = state.tool === 'eraser',
): BrindleState {
  const paint = erasing ? null : state.paint;
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
  return { ...state, scroll: within(state.scroll + ticks * 20, -200, 200) };
}
