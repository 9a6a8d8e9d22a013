import { type Control, controlOf } from '../control.ts';
import type { Cell } from './cell.ts';
import { cellCap, cellShape, type Size } from './cellShape.ts';
import type { Grid } from './touchPanel.ts';

/** What a cell can be. */
export const CELL_KINDS = ['button', 'fader', 'xy-pad', 'dial', 'jog', 'words', 'picture'] as const;
/** What a cell can be. */
export type CellKind = (typeof CELL_KINDS)[number];

/** What a control must have to be a cell of a kind. */
type Uses = Pick<Control, 'kind' | 'canPress' | 'rotor' | 'slider' | 'across'>;

/** Where what slides steps, to begin with. */
const STEPS = { thresholds: [0.25, 0.5, 0.75] };

/** Every kind of cell in a row: what can be done with it. Steps and thresholds are those one begins with. */
const USES = {
  button: { kind: 'cell', canPress: true, rotor: null, slider: null, across: null },
  fader: { kind: 'slider', canPress: false, rotor: null, slider: STEPS, across: null },
  'xy-pad': { kind: 'xy-pad', canPress: false, rotor: null, slider: STEPS, across: STEPS },
  dial: {
    kind: 'dial',
    canPress: true,
    rotor: { kind: 'continuous', stepDegrees: 15, speedUp: null },
    slider: null,
    across: null,
  },
  jog: {
    kind: 'jog',
    canPress: false,
    rotor: { kind: 'continuous', stepDegrees: 15, speedUp: null },
    slider: null,
    across: null,
  },
  words: { kind: 'words', canPress: false, rotor: null, slider: null, across: null },
  picture: { kind: 'picture', canPress: false, rotor: null, slider: null, across: null },
} satisfies Record<CellKind, Uses>;

/** What can be done with a cell of a kind; what an edit sets to make it one. */
export function usesOfCell(kind: CellKind): Uses {
  return USES[kind];
}

/** Which kind of cell a control is; null for one that a cell cannot be made into. */
export function cellKindOf({ kind }: Pick<Control, 'kind'>): CellKind | null {
  return CELL_KINDS.find((each) => USES[each].kind === kind) ?? null;
}

/** What moves in the middle has its words below. */
const AT_BOTTOM: ReadonlySet<CellKind> = new Set(['fader', 'xy-pad', 'dial']);

/** A cell with nothing but its kind and place. */
export function newCell(
  given: Pick<Control, 'id' | 'name'> & { readonly kind: CellKind },
  size: Size,
  grid: Grid,
  place: Pick<Cell, 'page' | 'area'> & Partial<Cell>,
): Control {
  const { kind, ...named } = given;
  const cell: Cell = {
    everyPage: false,
    seeThrough: false,
    labelPlace: AT_BOTTOM.has(kind) ? 'bottom' : 'middle',
    labelSize: null,
    letters: 'paper',
    picture: null,
    ...place,
  };
  const shape = cellShape(size, grid, place.area);
  return controlOf({ ...named, ...USES[kind], cell, shape, cap: cellCap(USES[kind], shape) });
}
