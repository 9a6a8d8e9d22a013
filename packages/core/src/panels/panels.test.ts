import fc from 'fast-check';
import {
  type Cell,
  type CellArea,
  cellAt,
  cellShape,
  controlsOn,
  MOST_COLUMNS,
  MOST_ROWS,
  overlap,
  SCREENS,
  shapeBox,
  sizeOfScreen,
  wallPanel,
} from '../devices/index.ts';
import { leastCapitals } from '../drawing/index.ts';
import { copyPage } from '../pages/index.ts';
import { removePage } from '../programs/index.ts';
import {
  applyEdit,
  checkSetup,
  controlsOnPage,
  copyDevice,
  type Edit,
  itemAt,
  newPage,
  type Setup,
  together,
} from '../setup/index.ts';
import { Counted, demoBeforePages, smallSetup } from '../testing/index.ts';
import {
  addCell,
  alignedAreas,
  areaBetween,
  cellAs,
  cellToPage,
  changedAreas,
  changeGrid,
  checkPanelPage,
  copyCells,
  firstFree,
  folderOfCells,
  gridForPanel,
  isFree,
  newPanel,
  panelPage,
  placeCells,
  readableFrom,
  takenAreas,
  templateSvg,
} from './index.ts';

const area = (column: number, row: number, columns = 1, rows = 1): CellArea => ({
  column,
  row,
  columns,
  rows,
});

/** The small rig with the wall panel as it comes, a folder of it, and a command on its first cell. */
function withPanel(): Setup {
  const setup = smallSetup();
  const { everywhere } = setup.profiles;
  if (!everywhere) throw new Error('no Everywhere');
  const action = { kind: 'shortcut', shortcut: 'A' } as const;
  const behaviour = {
    kind: 'action',
    action,
    style: 'follow',
    repeat: null,
    guard: null,
    target: null,
  } as const;
  return {
    ...setup,
    devices: [...setup.devices.filter(({ id }) => id !== 'panel'), wallPanel('panel')],
    pages: [
      ...setup.pages.filter(({ device }) => device !== 'panel'),
      newPage({ id: 'takes', device: 'panel', kind: 'folder', name: 'Takes' }),
    ],
    profiles: {
      ...setup.profiles,
      everywhere: {
        ...everywhere,
        bindings: { 'base/panel/cell-1/press': { behaviour, face: null, note: null } },
      },
    },
  };
}
const done = (setup: Setup, edit: Edit): Setup => {
  const applied = applyEdit(setup, edit);
  if (!applied.ok) throw new Error(applied.problem.code);
  expect(checkSetup(applied.value.setup)).toEqual([]);
  const back = applyEdit(applied.value.setup, applied.value.inverse);
  expect(back.ok && back.value.setup).toEqual(setup);
  return applied.value.setup;
};
const refused = (setup: Setup, edit: Edit): string | null => {
  const applied = applyEdit(setup, edit);
  return applied.ok ? null : applied.problem.code;
};
const pageOf = (setup: Setup, page: string | null = null) => {
  const found = panelPage(setup, 'panel', page);
  if (!found) throw new Error('no panel');
  return found;
};
const cellOf = (setup: Setup, id: string): Cell => {
  const cell = pageOf(setup).device.controls.find((control) => control.id === id)?.cell;
  if (!cell) throw new Error('no cell');
  return cell;
};

/** Names are told apart already. */
const idFor = (name: string) => name.toLowerCase().replaceAll(' ', '-');

const grids = fc.record({
  columns: fc.integer({ min: 1, max: MOST_COLUMNS }),
  rows: fc.integer({ min: 1, max: MOST_ROWS }),
});
const sizes = fc.record({
  width: fc.integer({ min: 50, max: 600 }),
  height: fc.integer({ min: 50, max: 600 }),
});

test('cells that share no place of a grid lie apart on the panel, inside it, and are found again where they are', () => {
  const areas = fc.tuple(
    fc.nat(15),
    fc.nat(11),
    fc.integer({ min: 1, max: 4 }),
    fc.integer({ min: 1, max: 4 }),
  );
  const counted = new Counted();
  fc.assert(
    fc.property(sizes, grids, areas, areas, (size, grid, one, other) => {
      const [a, b] = [area(...one), area(...other)];
      const taken = [a, b].filter((each) => isFree(grid, [], each));
      fc.pre(taken.length === 2);
      const [first, second] = [cellShape(size, grid, a), cellShape(size, grid, b)].map(shapeBox);
      if (!first || !second) return counted.leftOut();
      counted.tried();
      const apart =
        first.right < second.left ||
        second.right < first.left ||
        first.bottom < second.top ||
        second.bottom < first.top;
      expect(apart).toBe(!overlap(a, b));
      expect(first.left >= 0 && first.top >= 0).toBe(true);
      expect(first.right <= size.width && first.bottom <= size.height).toBe(true);
      expect(cellAt(size, grid, first.left, first.top)).toEqual({ column: a.column, row: a.row });
      const end = cellAt(size, grid, first.right, first.bottom);
      expect(areaBetween(a, end)).toEqual(a);
    }),
  );
  counted.atLeast(0.9);
});

test('the first free area is free, and there is none only where no place is', () => {
  fc.assert(
    fc.property(grids, fc.array(fc.tuple(fc.nat(15), fc.nat(11)), { maxLength: 60 }), (grid, places) => {
      const taken = places.map(([column, row]) => area(column, row));
      const found = firstFree(grid, taken, { columns: 2, rows: 1 }, { column: 1, row: 0 });
      if (found) expect(isFree(grid, taken, found)).toBe(true);
      else {
        for (let row = 0; row < grid.rows; row++)
          for (let column = 0; column < grid.columns; column++)
            expect(isFree(grid, taken, area(column, row, 2, 1))).toBe(false);
      }
    }),
  );
});

// Worked by hand from the diagonal and the ratio: 10.1 in at 16:10 is 256.54 mm × 16/√356 by × 10/√356.
test.each([
  ['tablet-10', 218, 136],
  ['tablet-13', 262, 197],
  ['screen-16', 345, 194],
] as const)('a screen %s is %d mm wide and %d mm high', (name, width, height) => {
  expect(sizeOfScreen(SCREENS[name])).toEqual({ width, height });
});

test('cells are drawn, moved, grown and copied; what they do goes along; all of it is taken back', () => {
  const before = withPanel();
  const full = addCell(pageOf(before), 'button', area(0, 0), idFor).edit;
  expect(refused(before, full)).toBe('cells-overlap');
  expect(refused(before, addCell(pageOf(before), 'button', area(5, 2, 2, 1), idFor).edit)).toBe(
    'cell-outside',
  );
  // A folder is empty at first.
  const added = addCell(pageOf(before, 'takes'), 'fader', area(1, 0, 1, 3), idFor);
  const drawn = done(before, added.edit);
  expect(cellOf(drawn, added.id)).toMatchObject({
    page: 'takes',
    labelPlace: 'bottom',
    area: area(1, 0, 1, 3),
  });
  // Two change places in one edit, though each alone would lie on the other.
  const swapped = new Map([
    ['cell-1', area(1, 0)],
    ['cell-2', area(0, 0)],
  ]);
  expect(refused(drawn, together(placeCells('panel', new Map([['cell-1', area(1, 0)]]))))).toBe(
    'cells-overlap',
  );
  const moved = done(drawn, together(placeCells('panel', swapped)));
  const { controls } = pageOf(moved).device;
  expect(controls[0]?.shape).toEqual(pageOf(drawn).device.controls[1]?.shape);
  // Copied to the folder, with what it does there.
  const copied = copyCells(moved, pageOf(moved, 'takes'), ['cell-1'], idFor);
  if (!copied.ok) throw new Error(copied.problem);
  const after = done(moved, together(copied.value.edits));
  const copy = copied.value.ids.get('cell-1') ?? '';
  // Its own place is taken by the fader.
  expect(cellOf(after, copy)).toMatchObject({ page: 'takes', area: area(2, 0) });
  expect(after.profiles.everywhere?.bindings[`takes/panel/${copy}/press`]?.behaviour).toMatchObject({
    action: { shortcut: 'A' },
  });
});

test('another grid keeps what fits and takes away what does not, with what it does', () => {
  const setup = withPanel();
  const { edits, lost } = changeGrid(setup, pageOf(setup), { columns: 4, rows: 3 });
  expect(lost.map(({ id }) => id)).toEqual(['fader-1', 'fader-2']);
  const smaller = done(setup, together(edits));
  expect(controlsOn(pageOf(smaller).device, null, [])).toHaveLength(12);
  // The folder has no grid of its own: it goes by the panel's.
  expect(pageOf(smaller, 'takes').grid).toEqual({ columns: 4, rows: 3 });
  const own = changeGrid(smaller, pageOf(smaller, 'takes'), { columns: 2, rows: 2 });
  expect(own.lost).toEqual([]);
  expect(pageOf(done(smaller, together(own.edits))).grid).toEqual({ columns: 4, rows: 3 });
});

test('a cell on every page shows where no cell of the page lies in its place, and keeps what it does', () => {
  const setup = withPanel();
  const [first] = pageOf(setup).device.controls;
  if (!first) throw new Error('no cell');
  const everywhere = done(setup, together(cellToPage(setup, 'panel', first, null, true)));
  const shown = (now: Setup, page: string | null) =>
    controlsOnPage(now, pageOf(now).device, page).map(({ id }) => id);
  expect(shown(everywhere, 'takes')).toEqual(['cell-1']);
  const over = done(everywhere, addCell(pageOf(everywhere, 'takes'), 'words', area(0, 0, 2, 2), idFor).edit);
  expect(shown(over, 'takes')).toEqual(['words-1']);
  expect(shown(over, null)).toHaveLength(14);
  // To the folder alone: what it does goes there.
  const away = done(setup, together(cellToPage(setup, 'panel', first, 'takes')));
  expect(Object.keys(away.profiles.everywhere?.bindings ?? {})).toEqual(['takes/panel/cell-1/press']);
  expect(shown(away, null)).toHaveLength(13);
});

test('a page has the cells of the one it is based on, in the same places, but for those that its own stand in for', () => {
  const setup = withPanel();
  const [first, second] = pageOf(setup).device.controls;
  if (!first || !second) throw new Error('no cells');
  const page = (id: string, basedOn: string) =>
    newPage({ id, device: 'panel', kind: 'folder', name: id, basedOn });
  const cells = together([
    ...cellToPage(setup, 'panel', first, 'takes'),
    ...cellToPage(setup, 'panel', second, 'takes'),
  ]);
  const based: Setup = { ...done(setup, cells) };
  const pages = [...based.pages, page('more', 'takes'), page('last', 'more')];
  const now: Setup = { ...based, pages };
  expect(checkSetup(now)).toEqual([]);
  const shown = (of: Setup, id: string | null) =>
    controlsOnPage(of, pageOf(of).device, id).map((each) => each.id);
  for (const id of ['takes', 'more', 'last']) expect(shown(now, id)).toEqual(['cell-1', 'cell-2']);
  // A change on the base shows in all; one of a page's own stands in for it there, and on what is based on that.
  const moved = done(now, together(placeCells('panel', new Map([['cell-2', area(3, 1)]]))));
  expect(shown(moved, 'last')).toEqual(['cell-1', 'cell-2']);
  const over = done(moved, addCell(pageOf(moved, 'more'), 'fader', area(0, 0), idFor).edit);
  expect(shown(over, 'takes')).toEqual(['cell-1', 'cell-2']);
  expect(shown(over, 'more')).toEqual(['cell-2', 'fader-3']);
  expect(shown(over, 'last')).toEqual(['cell-2', 'fader-3']);
  expect(shown(over, null)).not.toContain('cell-2');
});

test('a page is not based on itself by way of others, on another device’s, nor left by those that are based on it', () => {
  const setup = withPanel();
  const page = (id: string, basedOn: string | null) =>
    newPage({ id, device: 'panel', kind: 'folder', name: id, basedOn });
  const now: Setup = { ...setup, pages: [...setup.pages, page('more', 'takes'), page('last', 'more')] };
  const set = (at: string, basedOn: string | null) =>
    applyEdit(now, { kind: 'set', at: itemAt.page(at), fields: { basedOn } });
  expect(set('takes', 'last')).toMatchObject({
    ok: false,
    problem: { code: 'page-base-circle', page: 'Takes' },
  });
  expect(set('takes', 'takes')).toMatchObject({ ok: false, problem: { code: 'page-base-circle' } });
  expect(set('more', 'drawer')).toMatchObject({ ok: false, problem: { code: 'page-of-other-device' } });
  expect(set('more', 'gone')).toMatchObject({ ok: false, problem: { code: 'unknown-page' } });
  expect(applyEdit(now, { kind: 'remove', at: itemAt.page('takes') })).toMatchObject({
    ok: false,
    problem: { code: 'pages-based-on', page: 'Takes', others: ['more'] },
  });
  // With the device all of them go, and come back as they were.
  const gone = applyEdit(now, { kind: 'remove', at: itemAt.device('panel') });
  if (!gone.ok) throw new Error(JSON.stringify(gone.problem));
  const back = applyEdit(gone.value.setup, gone.value.inverse);
  expect(back.ok && back.value.setup).toEqual(now);
  expect(set('last', null)).toMatchObject({ ok: true });
});

test('removed with what hangs on it, a page leaves those that are based on it on what it was based on', () => {
  const setup = withPanel();
  const page = (id: string, basedOn: string | null) =>
    newPage({ id, device: 'panel', kind: 'folder', name: id, basedOn });
  const added = [page('more', 'takes'), page('last', 'more'), page('alone', 'takes')];
  const now: Setup = { ...setup, pages: [...setup.pages, ...added] };
  const bases = (of: Setup) => Object.fromEntries(of.pages.map(({ id, basedOn }) => [id, basedOn]));
  const middle = removePage(now, 'more');
  expect(middle.rebased).toEqual(['last']);
  expect(bases(done(now, middle.edit))).toMatchObject({ last: 'takes', alone: 'takes' });
  const base = applyEdit(now, removePage(now, 'takes').edit);
  if (!base.ok) throw new Error(JSON.stringify(base.problem));
  expect(bases(base.value.setup)).toMatchObject({ more: null, last: 'more', alone: null });
  const back = applyEdit(base.value.setup, base.value.inverse);
  expect(back.ok && back.value.setup).toEqual(now);
});

test('a page goes with its cells and comes back with them; a copy of it has cells of its own', () => {
  const setup = withPanel();
  const [first] = pageOf(setup).device.controls;
  if (!first) throw new Error('no cell');
  const filled = done(setup, together(cellToPage(setup, 'panel', first, 'takes')));
  const without = done(filled, { kind: 'remove', at: itemAt.page('takes') });
  expect(pageOf(without).device.controls).toHaveLength(13);
  const takes = filled.pages.find(({ id }) => id === 'takes');
  if (!takes) throw new Error('no page');
  const copy = copyPage(filled, takes, 'panel', ({ id }) => `${id}-too`);
  expect(copy.left).toBe(0);
  const twice = done(filled, copy.edit);
  const [cell] = controlsOnPage(twice, pageOf(twice).device, 'takes-too');
  expect(cell?.id).toBe('cell-1-too');
  expect(Object.keys(twice.profiles.everywhere?.bindings ?? {}).toSorted()).toEqual([
    'takes-too/panel/cell-1-too/press',
    'takes/panel/cell-1/press',
  ]);
});

test('cells become a folder in one step: they move in, a new cell opens it, another leads back', () => {
  const setup = withPanel();
  const made = folderOfCells(
    setup,
    pageOf(setup),
    'everywhere',
    ['cell-1', 'cell-2'],
    {
      id: 'shot',
      name: 'Shot',
    },
    idFor,
  );
  if (!made.ok) throw new Error(made.problem);
  const { edit, opener, back } = made.value;
  const now = done(setup, edit);
  const on = (page: string | null) => controlsOnPage(now, pageOf(now).device, page).map(({ id }) => id);
  expect(on('shot')).toEqual(['cell-1', 'cell-2', back]);
  expect(on(null)).not.toContain('cell-1');
  expect(cellOf(now, opener).area).toEqual(area(0, 0));
  const { bindings = {} } = now.profiles.everywhere ?? {};
  expect(bindings[`base/panel/${opener}/press`]?.behaviour).toMatchObject({
    action: { change: 'open', page: 'shot' },
  });
  expect(bindings[`shot/panel/${back}/press`]?.behaviour).toMatchObject({ action: { change: 'back' } });
  expect(bindings['shot/panel/cell-1/press']).toBeDefined();
  expect(
    folderOfCells(setup, pageOf(setup, 'takes'), 'everywhere', ['cell-1'], { id: 'x', name: 'X' }, idFor).ok,
  ).toBe(false);
});

test('a copy of a panel has its pages with cells of its own on them, and takes nothing from the first', () => {
  const setup = withPanel();
  const added = done(setup, addCell(pageOf(setup, 'takes'), 'button', area(1, 1), idFor).edit);
  const copy = copyDevice(added, 'panel');
  if (!copy) throw new Error('no copy');
  const now = done(added, copy.edit);
  const [page] = now.pages.filter(({ device }) => device === copy.id);
  const device = now.devices.find(({ id }) => id === copy.id);
  if (!page || !device) throw new Error('no copy');
  expect(controlsOn(device, page.id, []).map(({ name }) => name)).toEqual(['Cell 13']);
  const without = done(now, { kind: 'remove', at: itemAt.page(page.id) });
  expect(controlsOn(pageOf(without).device, 'takes', [])).toHaveLength(1);
});

test('a cell made a fader is one; what it did when pressed goes', () => {
  const setup = withPanel();
  const [first] = pageOf(setup).device.controls;
  if (!first) throw new Error('no cell');
  const now = done(setup, together(cellAs('panel', first, 'fader')));
  expect(Object.keys(now.profiles.everywhere?.bindings ?? {})).toEqual([]);
  expect(cellAs('panel', first, 'button')).toEqual([]);
});

test('areas are moved, grown and aligned with the first', () => {
  const areas = [area(1, 1, 2, 1), area(4, 2)];
  expect(changedAreas(areas, { column: -1 })).toEqual([area(0, 1, 2, 1), area(3, 2)]);
  expect(changedAreas(areas, { column: -2 })).toBeNull();
  expect(changedAreas(areas, { columns: -1 })).toBeNull();
  expect(alignedAreas(areas, 'left')[1]).toEqual(area(1, 2));
  expect(alignedAreas(areas, 'right')[1]).toEqual(area(2, 2));
  expect(alignedAreas(areas, 'top')[1]).toEqual(area(4, 1));
  expect(alignedAreas(areas, 'same-width')[1]).toEqual(area(4, 2, 2, 1));
});

test('what cannot be hit, read or does nothing is told', () => {
  const setup = withPanel();
  const fine = done(
    setup,
    together(changeGrid(setup, pageOf(setup, 'takes'), { columns: 16, rows: 12 }).edits),
  );
  const small = done(fine, addCell(pageOf(fine, 'takes'), 'button', area(0, 0, 1, 1), idFor).edit);
  const low = done(small, {
    kind: 'set',
    at: itemAt.control('panel', 'cell-1'),
    fields: { 'cell.labelSize': 2 },
  });
  const { device } = pageOf(low);
  const problems = (page: string | null) =>
    checkPanelPage(low, device, page, 'everywhere').map((each) => each.problems.map(({ kind }) => kind));
  expect(problems('takes')).toEqual([['does-nothing']]);
  expect(problems(null)[0]).toEqual(['label-low']);
  const phone = done(low, { kind: 'set', at: itemAt.device('panel'), fields: { width: 138, height: 64 } });
  const [cell] = checkPanelPage(phone, pageOf(phone).device, 'takes', 'everywhere');
  expect(cell?.problems[0]).toMatchObject({ kind: 'small' });
  // 16 minutes of arc at 600 mm are 2.79 mm (ISO 9241-303).
  expect(leastCapitals(600)).toBeCloseTo(2.793, 3);
  expect(readableFrom(2.793)).toBeCloseTo(600, 0);
});

test('the template has the grid, each cell where it is, and names that cannot break out of it', () => {
  const setup = done(withPanel(), {
    kind: 'set',
    at: itemAt.control('panel', 'cell-2'),
    fields: { name: '<Take & go>' },
  });
  const svg = templateSvg(pageOf(setup));
  expect(svg).toContain('width="248mm" height="142mm" viewBox="0 0 248 142"');
  expect(svg.match(/<line /g)).toHaveLength(7 + 4);
  expect(svg).toContain('2 &lt;Take &amp; go&gt;');
  const [first] = pageOf(setup).device.controls;
  const { left, top } = shapeBox(first?.shape ?? { kind: 'circle', cx: 0, cy: 0, r: 1 });
  expect(svg).toContain(`<rect id="cell-1" x="${left}" y="${top}"`);
  expect(templateSvg(pageOf(setup, 'takes'))).not.toContain('<text');
});

test('a touch panel of before is divided by a grid that its cells fit as they lie; what they do stays', () => {
  const before = demoBeforePages();
  const old = before.devices.find(({ id }) => id === 'wall-panel');
  if (!old) throw new Error('no panel');
  const edits = gridForPanel(old);
  const now = done(before, together(edits ?? []));
  expect(now.profiles).toEqual(before.profiles);
  const { controls = [], panel } = now.devices.find(({ id }) => id === 'wall-panel') ?? {};
  expect(panel?.grid.rows).toBe(3);
  // Beside each other as before: in the same order across and down.
  const order = (all: typeof controls, side: 'left' | 'top') =>
    all.map(
      ({ shape }) => all.filter((other) => shapeBox(other.shape)[side] < shapeBox(shape)[side] - 1).length,
    );
  expect(order(controls, 'left')).toEqual(order(old.controls, 'left'));
  expect(order(controls, 'top')).toEqual(order(old.controls, 'top'));
  expect(gridForPanel(wallPanel('panel'))).toBeNull();
});

test('a panel from nothing has a name of its own and no cells', () => {
  const first = newPanel({ devices: [] }, 'Panel', idFor);
  const setup = done(smallSetup(), newPanel(smallSetup(), 'Panel', () => 'panel-2').edit);
  expect(first.id).toBe('panel');
  // The small rig has a device with that id.
  expect(setup.devices.at(-1)).toMatchObject({
    id: 'panel-2',
    name: 'Panel',
    controls: [],
    width: 218,
    height: 136,
  });
});

test('the cells of a page are taken, but for some', () => {
  const { device } = pageOf(withPanel());
  expect(takenAreas(device, null)).toHaveLength(14);
  expect(takenAreas(device, null, ['cell-1'])).toHaveLength(13);
  expect(takenAreas(device, 'takes')).toEqual([]);
});
