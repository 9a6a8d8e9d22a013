import type { CellKind } from '@nimble-lever/core/devices';
import { type Alignment, type PanelPage, panelPage } from '@nimble-lever/core/panels';
import { type DragEvent, useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { type AppThunk, useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { hasFiles, usePictureTaking } from '../../../editors/usePictureTaking.ts';
import { controlAt } from '../useContentDrag.ts';
import * as acts from './cellActs.ts';
import { NEW_CELL } from './gestures.ts';
import { pictureEdit } from './pagePicture.ts';
import { useGridHands } from './useGridHands.ts';

interface Given {
  readonly panel: PanelPage;
  readonly selected: readonly string[];
  readonly onSelected: (selected: readonly string[]) => void;
  readonly onSaid: (said: string) => void;
  readonly onFolder: () => void;
  /** What the selected cell does is to be said. */
  readonly onEdit: () => void;
}

/** Brings the keys to a cell, else to the drawing's own stop. */
function focusOn(cell: string | undefined): void {
  const drawing = '[data-page-drawing] svg[role=group]';
  const at = cell === undefined ? '[data-control][tabindex="0"]' : `[data-control="${cell}"]`;
  const found = document.querySelector<SVGElement>(`${drawing} ${at}`);
  (found ?? document.querySelector<SVGElement>(drawing))?.focus();
}

/** The page of a panel that is edited; null for a device that is no panel. */
export function usePanelPage(device: string, page: string | null): PanelPage | null {
  const setup = useAppSelector(selectSetup);
  return panelPage(setup, device, page);
}

/** Everything that is done to the cells of a page by hand. */
export function usePanelEdits({ panel, selected, onSelected, onSaid, onFolder, onEdit }: Given) {
  const dispatch = useAppDispatch();
  const [kind, setKind] = useState<CellKind>('button');
  const run = (act: AppThunk<acts.Done>) => {
    const done = dispatch(act);
    onSaid(done.said);
    if (!done.selected) return;
    onSelected(done.selected);
    // Keys go on where the hand is: at the new cell, or where the one that went was.
    setTimeout(() => focusOn(done.selected?.[0]));
  };
  const hands = useGridHands({
    panel,
    selected,
    onSelect: (control, adds) => {
      if (control === null) onSelected([]);
      else if (!adds) onSelected([control]);
      else if (selected.includes(control)) onSelected(selected.filter((id) => id !== control));
      else onSelected([...selected, control]);
    },
    onDraw: (placing) => {
      const area = placing.areas.get(NEW_CELL);
      if (area) run(acts.draw(panel, kind, area));
    },
    onPlace: (placing) => placing && run(acts.place(panel, placing)),
    onCopyTo: (ids, placing) => run(acts.copy(panel, ids, placing)),
    onTake: (ids, page, copies) => run(acts.takeToPage(panel, ids, page, copies)),
    onCopy: () => run(acts.copy(panel, selected)),
    onNew: () => run(acts.drawFree(panel, kind, selected)),
    onRemove: () => run(acts.remove(panel, selected)),
    onFolder,
    onEdit,
  });
  // A picture that is let go beside the cells lies under them.
  const taking = usePictureTaking(
    () =>
      ({ picture }) =>
        picture && dispatch(makeEdit(pictureEdit(panel, picture))),
    false,
    'page',
  );
  const beside = (event: DragEvent) => hasFiles(event) && controlAt(event.target) === null;
  const pictureHandlers = {
    onDragOver: (event: DragEvent) => {
      if (beside(event)) event.preventDefault();
    },
    onDrop: (event: DragEvent) => {
      if (!beside(event)) return;
      event.preventDefault();
      taking.take(event.dataTransfer.files);
    },
  };
  return {
    kind,
    setKind,
    hands,
    pictureHandlers,
    wrong: taking.wrong,
    align: (how: Alignment) => run(acts.align(panel, selected, how)),
  };
}
