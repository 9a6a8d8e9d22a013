import type { Control } from '../control.ts';
import type { Shape } from '../shape.ts';

/** A drawing for controls nobody has drawn: shapes in their order, and the size of the whole, in millimetres. */
export interface LaidOut {
  readonly shapes: readonly { readonly shape: Shape; readonly cap: Shape | null }[];
  readonly width: number;
  readonly height: number;
}

/** Millimetres. Nothing in a descriptor says where a control is, so they stand in rows, keys beside keys. */
const MARGIN = 8;
const GAP = 5;
const ROW_WIDTH = 150;

/** How large each kind of control is drawn; round ones are as wide as high. */
const SIZES: Readonly<Record<Control['kind'], readonly [width: number, height: number]>> = {
  button: [18, 18],
  key: [18, 18],
  wheel: [12, 26],
  dial: [46, 46],
  knob: [24, 24],
  ring: [38, 38],
  jog: [38, 38],
  shuttle: [56, 56],
  slider: [14, 56],
  'xy-pad': [48, 48],
  pedal: [34, 60],
  'pen-tip': [14, 20],
  'pen-switch': [12, 26],
  cell: [30, 30],
  phrase: [60, 16],
  words: [60, 16],
  picture: [30, 30],
};
/** Kinds that are drawn round. */
const ROUND: readonly Control['kind'][] = ['dial', 'knob', 'ring', 'jog', 'shuttle'];

/** A drawing higher than this is laid out wider; a device may be 2,000 mm high. */
const HIGHEST = 1000;
/** The most a row takes: the highest control and the gap below it. */
const ROW_HEIGHT = Math.max(...Object.values(SIZES).map(([, height]) => height)) + GAP;

/**
 * Lays controls out in rows from the left, in their order; each row is as high as its highest. A descriptor with hundreds
 * of controls becomes about as wide as high.
 */
export function layOut(kinds: readonly Control['kind'][]): LaidOut {
  const usual = inRows(kinds, ROW_WIDTH);
  if (usual.height <= HIGHEST) return usual;
  const inOneRow = kinds.reduce((sum, kind) => sum + SIZES[kind][0] + GAP, 0);
  return inRows(kinds, Math.sqrt(inOneRow * ROW_HEIGHT));
}

function inRows(kinds: readonly Control['kind'][], rowWidth: number): LaidOut {
  const shapes: LaidOut['shapes'][number][] = [];
  let [x, y, rowHeight, widest] = [MARGIN, MARGIN, 0, 0];
  for (const kind of kinds) {
    const [width, height] = SIZES[kind];
    if (x > MARGIN && x + width > MARGIN + rowWidth) {
      y += rowHeight + GAP;
      x = MARGIN;
      rowHeight = 0;
    }
    shapes.push(shapesOf(kind, x, y, width, height));
    x += width + GAP;
    rowHeight = Math.max(rowHeight, height);
    widest = Math.max(widest, x - GAP);
  }
  return { shapes, width: Math.max(40, widest + MARGIN), height: Math.max(30, y + rowHeight + MARGIN) };
}

/** A shape by kind, in a cell of the drawing. */
function shapesOf(kind: Control['kind'], x: number, y: number, width: number, height: number) {
  if (!ROUND.includes(kind)) {
    const radius = Math.min(4, width / 3);
    return { shape: { kind: 'rect', x, y, width, height, radius } as const, cap: null };
  }
  const circle = (r: number) => ({ kind: 'circle', cx: x + width / 2, cy: y + height / 2, r }) as const;
  return { shape: circle(width / 2), cap: circle(width * 0.32) };
}
