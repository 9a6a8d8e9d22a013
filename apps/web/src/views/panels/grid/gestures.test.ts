import { type CellArea, cellShape, shapeBox } from '@nimble-lever/core/devices';
import { type PanelPage, panelPage } from '@nimble-lever/core/panels';
import { demoSetup } from '@nimble-lever/core/setup';
import { changed, cursorOf, drawn, type Edges, edgesAt, moved, NEW_CELL, spanned } from './gestures.ts';

const found = panelPage(demoSetup(), 'wall-panel', null);
if (!found) throw new Error('no panel');
/** Home of the demo's wall panel, 6 × 3, without Cell 12: column 3, row 2 is free. */
const panel: PanelPage = {
  ...found,
  device: { ...found.device, controls: found.device.controls.filter(({ id }) => id !== 'cell-12') },
};
const cell = (id: string) => {
  const control = panel.device.controls.find((each) => each.id === id);
  if (!control) throw new Error(id);
  return control;
};
/** The middle of a column and row, in millimetres. */
const at = (column: number, row: number) => {
  const { left, top, right, bottom } = shapeBox(
    cellShape(panel.device, panel.grid, { column, row, columns: 1, rows: 1 }),
  );
  return { x: (left + right) / 2, y: (top + bottom) / 2 };
};
const area = (column: number, row: number, columns = 1, rows = 1): CellArea => ({
  column,
  row,
  columns,
  rows,
});
const edges = (...names: (keyof Edges)[]): Edges => ({
  left: names.includes('left'),
  right: names.includes('right'),
  top: names.includes('top'),
  bottom: names.includes('bottom'),
});

test('a cell is drawn between two corners, whichever comes first; on another it does not fit', () => {
  expect(drawn(panel, at(3, 2), at(3, 2))).toMatchObject({
    fits: true,
    areas: new Map([[NEW_CELL, area(3, 2)]]),
  });
  const over = drawn(panel, at(3, 2), at(2, 1));
  expect(over).toMatchObject({ fits: false, areas: new Map([[NEW_CELL, area(2, 1, 2, 2)]]) });
  // Drawn beyond the edge, it ends there.
  expect(drawn(panel, at(3, 2), { x: at(3, 2).x, y: 9999 }).areas.get(NEW_CELL)).toEqual(area(3, 2));
});

test('a cell is moved by as much as the hand is; to a place that is taken, or out of the grid, it is not', () => {
  expect(moved(panel, [cell('cell-11')], at(2, 2), at(3, 2), false)).toMatchObject({ fits: true });
  expect(moved(panel, [cell('cell-11')], at(2, 2), at(1, 2), false)).toMatchObject({ fits: false });
  expect(moved(panel, [cell('cell-1')], at(1, 0), at(0, 0), false)).toBeNull();
  // Two together move onto where the other was.
  const both = [cell('cell-10'), cell('cell-11')];
  expect(moved(panel, both, at(1, 2), at(2, 2), false)).toMatchObject({ fits: true });
  // A copy may not lie on what stays.
  expect(moved(panel, both, at(1, 2), at(2, 2), true)).toMatchObject({ fits: false });
});

test.each([
  [edges('right'), [3, 2], area(2, 2, 2, 1), true],
  [edges('left'), [1, 2], area(1, 2, 2, 1), false],
  [edges('right', 'top'), [3, 1], area(2, 1, 2, 2), false],
  // Dragged past its other edge it is one column wide, not less than nothing.
  [edges('right'), [0, 2], area(2, 2), true],
  [edges('bottom'), [2, 0], area(2, 2), true],
] as const)('cell 11 dragged at %j to %j takes %j', (dragged, [column, row], expected, fits) => {
  const placing = spanned(panel, cell('cell-11'), dragged, at(column, row));
  expect(placing).toMatchObject({ fits, areas: new Map([['cell-11', expected]]) });
});

test('by keys a cell never gets smaller than one column and row', () => {
  expect(changed(panel, [cell('cell-11')], { columns: -1 }, 'span')).toBeNull();
  expect(changed(panel, [cell('cell-11')], { columns: 1 }, 'span')).toMatchObject({ fits: true });
});

test.each([
  [{ x: 10, y: 15 }, edges('left'), 'ew-resize'],
  [{ x: 21, y: 21 }, edges('right', 'bottom'), 'nwse-resize'],
  [{ x: 20, y: 10 }, edges('right', 'top'), 'nesw-resize'],
  [{ x: 15, y: 9 }, edges('top'), 'ns-resize'],
  [{ x: 15, y: 15 }, null, ''],
  [{ x: 40, y: 15 }, null, ''],
] as const)('%j is at %j of a box from 10 to 20', (place, expected, cursor) => {
  const found = edgesAt({ left: 10, top: 10, right: 20, bottom: 20 }, place, 2);
  expect(found).toEqual(expected);
  expect(found ? cursorOf(found) : '').toBe(cursor);
});
