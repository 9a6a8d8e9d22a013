import { BACK_FACE, type FolderRefusal, openerFace, opening, pageAction } from '../pages/index.ts';
import { ok, type Result, refuse } from '../result.ts';
import {
  BASE_LAYER,
  bindingChanges,
  type Edit,
  itemAt,
  newPage,
  type Page,
  type Setup,
  type SingleEdit,
  together,
} from '../setup/index.ts';
import { firstFree, type PanelPage, takenAreas } from './areas.ts';
import { addCell, cellToPage, type IdFor } from './cellEdits.ts';

/** A folder that can be made of some cells, with the cell that opens it and the one that leads back. */
export interface CellFolder {
  readonly edit: Edit;
  readonly page: Page;
  readonly opener: string;
  /** Null where no place is free on it. */
  readonly back: string | null;
}

/**
 * Makes a folder of cells of a page, in one step: they move in with what they do, each to its own place; a new cell where
 * the first of them was opens it, and one at a free place leads back.
 *
 * @param profile in which the new cells do that
 * @param given the new page's id and name
 */
export function folderOfCells(
  setup: Setup,
  panel: PanelPage,
  profile: string,
  cells: readonly string[],
  given: Pick<Page, 'id' | 'name'>,
  idFor: IdFor,
): Result<CellFolder, FolderRefusal> {
  const { device, page } = panel;
  const own = page?.id ?? null;
  const moving = device.controls.filter(({ id, cell }) => cells.includes(id) && cell?.page === own);
  const [first] = moving;
  const owner = setup.profiles[profile];
  if (!first?.cell || !owner) return refuse('no-controls');
  const folder = newPage({
    ...given,
    device: device.id,
    kind: 'folder',
    program: owner.program,
    within: own,
    grid: page?.grid ?? null,
  });
  const added: SingleEdit = {
    kind: 'add',
    at: itemAt.page(folder.id),
    item: folder,
    after: setup.pages.at(-1)?.id ?? null,
  };
  const moved = moving.flatMap((control) => cellToPage(setup, device.id, control, folder.id));
  const open = addCell(panel, 'button', { ...first.cell.area }, idFor);
  const taken = moving.flatMap(({ cell }) => (cell ? [cell.area] : []));
  const free = firstFree(panel.grid, [...taken, ...onEveryPage(panel)], { columns: 1, rows: 1 });
  const inside = { ...panel, page: folder, device: withCell(panel, open.edit) };
  const leave = free && addCell(inside, 'button', free, idFor);
  const slot = (control: string, layer: string) =>
    ({ profile, layer, device: device.id, control, trigger: 'press' }) as const;
  const edit = together([
    added,
    ...moved,
    open.edit,
    ...bindingChanges(
      slot(open.id, own ?? BASE_LAYER),
      null,
      opening(pageAction('open', folder.id), openerFace(folder)),
    ),
    ...(leave ? [leave.edit] : []),
    ...(leave ? bindingChanges(slot(leave.id, folder.id), null, opening(pageAction('back'), BACK_FACE)) : []),
  ]);
  return ok({ edit, page: folder, opener: open.id, back: leave?.id ?? null });
}

/** The places of cells that show on every page. */
function onEveryPage({ device }: PanelPage) {
  return takenAreas({ controls: device.controls.filter(({ cell }) => cell?.everyPage) }, null);
}

/** The panel with a cell that is being added, so that the next one gets another name. */
function withCell({ device }: PanelPage, edit: SingleEdit): PanelPage['device'] {
  if (edit.kind !== 'add') return device;
  return { ...device, controls: [...device.controls, edit.item as PanelPage['device']['controls'][number]] };
}
