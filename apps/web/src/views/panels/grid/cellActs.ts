import {
  type CellArea,
  type CellKind,
  type Control,
  cellKindOf,
  type Device,
} from '@nimble-lever/core/devices';
import { newPageName } from '@nimble-lever/core/pages';
import {
  type Alignment,
  addCell,
  alignedAreas,
  cellAs,
  cellToPage,
  copyCells,
  firstFree,
  folderOfCells,
  gridForPanel,
  newPanel,
  type PanelPage,
  panelPage,
  placeCells,
  takenAreas,
} from '@nimble-lever/core/panels';
import { itemAt, layerOfCell } from '@nimble-lever/core/setup';
import { pageName } from '@nimble-lever/core/words';
import { makeEdit, makeEdits } from '../../../app/setup/edits.ts';
import { newId } from '../../../app/setup/newId.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import type { AppThunk } from '../../../app/store.ts';
import { fit, type Placing } from './gestures.ts';
import { WORDS } from './words.ts';

/** What came of it: what is said, and what is selected then, if that changes. */
export interface Done {
  readonly said: string;
  readonly selected?: readonly string[];
}

const cellId = (name: string) => newId(name, 'cell');

/** The cells of a page itself, of those that are asked for. Cells of every page are changed on their own. */
export function ownCells({ device, page }: PanelPage, ids: readonly string[]): readonly Control[] {
  const own = page?.id ?? null;
  return device.controls.filter(({ id, cell }) => ids.includes(id) && cell?.page === own);
}

/** Draws a cell of a kind. */
export const draw =
  (panel: PanelPage, kind: CellKind, area: CellArea): AppThunk<Done> =>
  (dispatch) => {
    if (!fit(panel, new Map([['', area]]), [])) return { said: WORDS.taken };
    const { edit, id } = addCell(panel, kind, area, cellId);
    dispatch(makeEdit(edit));
    return { said: WORDS.drew(WORDS.kinds[kind], area.columns, area.rows), selected: [id] };
  };

/** Draws a cell at the first free place, behind what is selected. */
export const drawFree =
  (panel: PanelPage, kind: CellKind, selected: readonly string[]): AppThunk<Done> =>
  (dispatch) => {
    const [last] = ownCells(panel, selected).toReversed();
    const from = last?.cell?.area ?? { column: 0, row: 0 };
    const taken = takenAreas(panel.device, panel.page?.id ?? null);
    const area = firstFree(panel.grid, taken, { columns: 1, rows: 1 }, from);
    return area ? dispatch(draw(panel, kind, area)) : { said: WORDS.noRoom };
  };

/** Puts cells where they were dragged or stepped to. */
export const place =
  (panel: PanelPage, placing: Placing): AppThunk<Done> =>
  (dispatch) => {
    if (!placing.fits) return { said: WORDS.taken };
    const changed = [...placing.areas].filter(([id, area]) => {
      const before = panel.device.controls.find((control) => control.id === id)?.cell?.area;
      return JSON.stringify(before) !== JSON.stringify(area);
    });
    if (changed.length === 0) return { said: '' };
    dispatch(makeEdits(placeCells(panel.device.id, new Map(changed))));
    const [first] = changed;
    const { column = 0, row = 0, columns = 1, rows = 1 } = first?.[1] ?? {};
    return { said: WORDS.placed(changed.length, column + 1, row + 1, columns, rows) };
  };

/** Copies cells to where there is room, or to where they were dragged. */
export const copy =
  (panel: PanelPage, ids: readonly string[], to?: Placing): AppThunk<Done> =>
  (dispatch, getState) => {
    if (to && !to.fits) return { said: WORDS.taken };
    const copied = copyCells(selectSetup(getState()), panel, ids, cellId);
    if (!copied.ok) return { said: WORDS.noRoom };
    const { edits, ids: made } = copied.value;
    const areas = new Map(
      [...(to?.areas ?? [])].flatMap(([id, area]) => [[made.get(id) ?? id, area] as const]),
    );
    dispatch(makeEdits([...edits, ...placeCells(panel.device.id, areas)]));
    return { said: WORDS.copied(made.size), selected: [...made.values()] };
  };

/** Takes cells off the page, with what they do. */
export const remove =
  (panel: PanelPage, ids: readonly string[]): AppThunk<Done> =>
  (dispatch) => {
    const chosen = panel.device.controls.filter(({ id, cell }) => cell && ids.includes(id));
    // Those of a page this one is based on are that page's to lose.
    const own = chosen.filter(({ cell }) => !panel.bases.includes(cell?.page ?? ''));
    if (own.length === 0) return { said: WORDS.notHere };
    dispatch(makeEdits(own.map(({ id }) => ({ kind: 'remove', at: itemAt.control(panel.device.id, id) }))));
    return { said: WORDS.removed(own.map(({ name }) => name)), selected: [] };
  };

/** Brings several cells to one side or size: that of the one selected first. */
export const align =
  (panel: PanelPage, ids: readonly string[], how: Alignment): AppThunk<Done> =>
  (dispatch) => {
    const cells = ids.flatMap((id) => ownCells(panel, [id]));
    const areas = alignedAreas(
      cells.flatMap(({ cell }) => (cell ? [cell.area] : [])),
      how,
    );
    const next = new Map(cells.map(({ id }, i) => [id, areas[i] as CellArea]));
    const fits = fit(panel, next, [...next.keys()]);
    return dispatch(place(panel, { kind: 'move', areas: next, fits }));
  };

/** Takes cells to another page of the panel, where their places must be free; or copies them there. */
export const takeToPage =
  (panel: PanelPage, ids: readonly string[], page: string | null, copies: boolean): AppThunk<Done> =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const target = panelPage(setup, panel.device.id, page);
    const cells = panel.device.controls.filter(({ id, cell }) => cell && ids.includes(id));
    if (!target || page === (panel.page?.id ?? null)) return { said: '' };
    const name = page === null ? WORDS.home : pageName(setup, page);
    if (copies) {
      const done = dispatch(copy(target, ids));
      return { said: done.selected ? WORDS.copiedTo(cells.length, name) : done.said };
    }
    const areas = new Map(cells.flatMap(({ id, cell }) => (cell ? [[id, cell.area] as const] : [])));
    if (!fit(target, areas, [])) return { said: WORDS.takenThere(name) };
    dispatch(makeEdits(cells.flatMap((control) => cellToPage(setup, panel.device.id, control, page))));
    return { said: WORDS.takenTo(cells.length, name), selected: [] };
  };

/** Makes a folder of cells in one step; gives its page, if it was made. */
export const folder =
  (
    panel: PanelPage,
    profile: string,
    ids: readonly string[],
  ): AppThunk<Done & { readonly page: string | null }> =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const name = newPageName(setup, panel.device.id, WORDS.folderName);
    const made = folderOfCells(setup, panel, profile, ids, { id: newId(name, 'page'), name }, cellId);
    if (!made.ok) return { said: WORDS.noFolder, page: null };
    dispatch(makeEdit(made.value.edit));
    return { said: WORDS.folderMade(name), selected: [], page: made.value.page.id };
  };

/** Makes cells of another kind; which of what they do goes with that is told. */
export const become =
  (panel: PanelPage, ids: readonly string[], kind: CellKind): AppThunk<Done> =>
  (dispatch) => {
    const cells = panel.device.controls.filter(({ id, cell }) => cell && ids.includes(id));
    dispatch(makeEdits(cells.flatMap((control) => cellAs(panel.device.id, control, kind))));
    return { said: WORDS.became(WORDS.kinds[kind]) };
  };

/** Adds a panel without cells; gives its id. */
export const addPanel = (): AppThunk<string> => (dispatch, getState) => {
  const { id, edit } = newPanel(selectSetup(getState()), WORDS.panelName, (name) => newId(name, 'panel'));
  dispatch(makeEdit(edit));
  return id;
};

/** Divides a touch panel of before by a grid; gives what is said of it. */
export const dividePanel =
  (device: Device): AppThunk<string> =>
  (dispatch) => {
    const edits = gridForPanel(device);
    if (!edits) return WORDS.divideNot;
    dispatch(makeEdits(edits));
    return WORDS.divided;
  };

/** Whether a cell shows on every page of its panel, or only on the panel's own. */
export const showOnEveryPage =
  (panel: PanelPage, control: Control, everyPage: boolean): AppThunk<Done> =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const home = panelPage(setup, panel.device.id, null);
    if (!home || !control.cell) return { said: '' };
    if (layerOfCell(control) === layerOfCell({ ...control, cell: { ...control.cell, page: null } })) {
      dispatch(makeEdits(cellToPage(setup, panel.device.id, control, null, everyPage)));
      return { said: '' };
    }
    const areas = new Map([[control.id, control.cell.area]]);
    if (!fit(home, areas, [])) return { said: WORDS.takenThere(WORDS.home) };
    dispatch(makeEdits(cellToPage(setup, panel.device.id, control, null, everyPage)));
    return { said: WORDS.nowOnEvery };
  };

/** What kind the selected cells are, where they are all the same; null otherwise. */
export function kindOf(cells: readonly Control[]): CellKind | null {
  const kinds = new Set(cells.map(cellKindOf));
  const [only] = kinds;
  return kinds.size === 1 ? (only ?? null) : null;
}
