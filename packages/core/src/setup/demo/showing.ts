import { type CellArea, type CellKind, type Device, newCell } from '../../devices/index.ts';
import { SHOWING, SHOWING_GRID } from './pages.ts';

/** The cells of that page: what each is called, what it is, and where: column, row, columns, rows. */
const CELLS: readonly (readonly [id: string, name: string, kind: CellKind, ...area: number[]])[] = [
  ['shot', 'Shot 4: the heron enters', 'words', 0, 0, 3, 1],
  ['take', 'Take', 'button', 0, 1, 3, 2],
  ['play', 'Play', 'button', 3, 0, 2, 1],
  ['undo', 'Undo', 'button', 5, 0, 1, 1],
  ['redo', 'Redo', 'button', 6, 0, 1, 1],
  ['onion', 'Onion skin', 'button', 3, 1, 2, 1],
  ['guides', 'Guides', 'button', 5, 1, 2, 1],
  ['frame-back', 'Frame back', 'button', 3, 2, 2, 1],
  ['frame-on', 'Frame on', 'button', 5, 2, 2, 1],
  ['double', 'Double', 'button', 0, 3, 3, 1],
  ['first', 'First frame', 'button', 3, 3, 2, 1],
  ['last', 'Last frame', 'button', 5, 3, 2, 1],
  ['frames', 'Frames', 'jog', 0, 4, 5, 1],
  ['delete', 'Delete', 'button', 5, 4, 2, 1],
  ['lamp', 'Lamp', 'fader', 7, 0, 1, 4],
  ['back', 'Back', 'button', 7, 4, 1, 1],
];

/** A panel with the cells of the page for showing. */
export function withShowing(panel: Device): Device {
  const cells = CELLS.map(([id, name, kind, column = 0, row = 0, columns = 1, rows = 1]) => {
    const area: CellArea = { column, row, columns, rows };
    return newCell({ id: `showing-${id}`, name, kind }, panel, SHOWING_GRID, { page: SHOWING, area });
  });
  return { ...panel, controls: [...panel.controls, ...cells] };
}
