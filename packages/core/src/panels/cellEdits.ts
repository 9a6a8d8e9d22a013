import {
  type CellArea,
  type CellKind,
  type Control,
  cellKindOf,
  type Grid,
  isInside,
  newCell,
  triggersOf,
  usesOfCell,
} from '../devices/index.ts';
import { ok, type Result, refuse } from '../result.ts';
import {
  BASE_LAYER,
  bindingChanges,
  itemAt,
  keyOf,
  layerOfCell,
  type Page,
  type Setup,
  type SingleEdit,
} from '../setup/index.ts';
import { firstFree, isFree, type PanelPage, takenAreas } from './areas.ts';

/** What cells of a kind are called, before a number. */
const NAMES = {
  button: 'Cell',
  fader: 'Fader',
  'xy-pad': 'XY pad',
  dial: 'Dial',
  jog: 'Jog strip',
  words: 'Words',
  picture: 'Picture',
} as const satisfies Record<CellKind, string>;

/** A name with a number that no control has yet. */
function nextName(controls: readonly Control[], word: string): string {
  const taken = new Set(controls.map(({ name }) => name));
  let i = 1;
  while (taken.has(`${word} ${i}`)) i++;
  return `${word} ${i}`;
}

/** Gives something new an id from its name, which nobody else takes who makes the same at the same time. */
export type IdFor = (name: string) => string;

/** Adds a cell to a page of a panel: the edit, and the id it gets. */
export function addCell(
  { device, page, grid }: PanelPage,
  kind: CellKind,
  area: CellArea,
  idFor: IdFor,
): { readonly edit: SingleEdit; readonly id: string } {
  const name = nextName(device.controls, NAMES[kind]);
  const id = idFor(name);
  const item = newCell({ id, name, kind }, device, grid, { page: page?.id ?? null, area });
  const after = device.controls.at(-1)?.id ?? null;
  return { edit: { kind: 'add', at: itemAt.control(device.id, id), item, after }, id };
}

/** Puts cells at other areas of their page. */
export function placeCells(device: string, areas: ReadonlyMap<string, CellArea>): readonly SingleEdit[] {
  return [...areas].map(([id, area]) => ({
    kind: 'set',
    at: itemAt.control(device, id),
    fields: { 'cell.area': area },
  }));
}

/** Makes a cell one of another kind; what was bound to ways of use it no longer has goes with them. */
export function cellAs(device: string, control: Control, kind: CellKind): readonly SingleEdit[] {
  if (cellKindOf(control) === kind) return [];
  return [{ kind: 'set', at: itemAt.control(device, control.id), fields: { ...usesOfCell(kind) } }];
}

/** Cells that were copied, by the ids they were copied from. */
export interface CellCopies {
  readonly edits: readonly SingleEdit[];
  readonly ids: ReadonlyMap<string, string>;
}

/**
 * Copies cells of a page, with what they do in every profile, beside themselves or wherever there is room, or to another
 * page of the panel; refused where there is none.
 */
export function copyCells(
  setup: Setup,
  { device, page, grid }: PanelPage,
  cells: readonly string[],
  idFor: IdFor,
): Result<CellCopies, 'no-room'> {
  const own = page?.id ?? null;
  const taken = [...takenAreas(device, own)];
  const controls = [...device.controls];
  const ids = new Map<string, string>();
  const edits: SingleEdit[] = [];
  for (const id of cells) {
    const from = device.controls.find((control) => control.id === id);
    if (!from?.cell) continue;
    const { area } = from.cell;
    const beside = { column: Math.min(area.column + area.columns, grid.columns - 1), row: area.row };
    const same = from.cell.page !== own && isFree(grid, taken, area) ? area : null;
    const to = same ?? firstFree(grid, taken, area, beside);
    if (!to) return refuse('no-room');
    taken.push(to);
    const kind = cellKindOf(from);
    const name = nextName(controls, kind ? NAMES[kind] : from.name);
    const copy = {
      ...from,
      id: idFor(name),
      name: kind === 'words' ? from.name : name,
      heardAs: [],
      cell: { ...from.cell, page: own, everyPage: false, area: to },
    };
    const after = controls.at(-1)?.id ?? null;
    controls.push(copy);
    ids.set(id, copy.id);
    edits.push({ kind: 'add', at: itemAt.control(device.id, copy.id), item: copy, after });
    edits.push(...boundAlso(setup, device.id, from, { control: copy.id, layer: own ?? BASE_LAYER }));
  }
  return ok({ edits, ids });
}

/** What a cell does where it belongs, in every profile, done by another control or on another page, too. */
function boundAlso(
  setup: Setup,
  device: string,
  from: Control,
  to: { readonly control: string; readonly layer: string },
): readonly SingleEdit[] {
  const layer = layerOfCell(from);
  return Object.values(setup.profiles).flatMap(({ id: profile, bindings }) =>
    triggersOf(from).flatMap((trigger) => {
      const binding = bindings[keyOf({ profile, layer, device, control: from.id, trigger })];
      return binding ? bindingChanges({ profile, device, trigger, ...to }, null, binding) : [];
    }),
  );
}

/**
 * Takes a cell to another page, with what it does there; or (null) to the panel's own. It keeps its place, which must be
 * free there.
 *
 * @param everyPage on the panel's own: it shows on every other page, too
 */
export function cellToPage(
  setup: Setup,
  device: string,
  control: Control,
  page: string | null,
  everyPage = false,
): readonly SingleEdit[] {
  const at = itemAt.control(device, control.id);
  const fields = { 'cell.page': page, 'cell.everyPage': page === null && everyPage };
  const moved: SingleEdit = { kind: 'set', at, fields };
  const layer = layerOfCell(control);
  const next = page ?? BASE_LAYER;
  if (layer === next) return [moved];
  const bound = Object.values(setup.profiles).flatMap(({ id: profile, bindings }) =>
    triggersOf(control).flatMap((trigger) => {
      const slot = { profile, device, control: control.id, trigger };
      const binding = bindings[keyOf({ ...slot, layer })];
      const there = bindings[keyOf({ ...slot, layer: next })] ?? null;
      return binding
        ? [
            ...bindingChanges({ ...slot, layer }, binding, null),
            ...bindingChanges({ ...slot, layer: next }, there, binding),
          ]
        : [];
    }),
  );
  return [moved, ...bound];
}

/** Another grid for a page, and the cells that would not fit. */
export interface GridChange {
  /** They go with it: in the same edit, so that an undo brings both back. */
  readonly edits: readonly SingleEdit[];
  readonly lost: readonly Control[];
}

/**
 * Divides a page of a panel otherwise. Cells keep their columns and rows; those that would reach beyond are taken away.
 * The panel's own grid is also that of every page without one.
 */
export function changeGrid(setup: Setup, { device, page }: PanelPage, grid: Grid): GridChange {
  const follows = (id: string | null) => {
    const other: Page | undefined = setup.pages.find((each) => each.id === id);
    return page === null ? id === null || other?.grid === null : id === page.id;
  };
  const lost = device.controls.filter(({ cell }) => cell && follows(cell.page) && !isInside(grid, cell.area));
  const set: SingleEdit =
    page === null
      ? { kind: 'set', at: itemAt.device(device.id), fields: { 'panel.grid': grid } }
      : { kind: 'set', at: itemAt.page(page.id), fields: { grid } };
  const removed = lost.map(
    ({ id }): SingleEdit => ({
      kind: 'remove',
      at: itemAt.control(device.id, id),
    }),
  );
  return { edits: [...removed, set], lost };
}
