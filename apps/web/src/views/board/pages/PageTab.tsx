import type { Page } from '@nimble-lever/core/setup';
import { programName } from '@nimble-lever/core/words';
import { Folder, SquareStack, TriangleAlert } from 'lucide-react';
import { type DragEvent, useState } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { type AppThunk, useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { putPage, stepPage } from '../../../editors/pages/movePages.ts';
import { pageFault } from '../../../editors/pages/pageFault.ts';
import { onTabKey } from '../../../editors/pages/tabKeys.ts';
import { WORDS } from '../../../editors/pages/words.ts';
import { FaceIcon } from '../../../pieces/FaceIcon.tsx';
import { CARRIED_CELL, carriedSlot, dropCell } from '../cellMoves.ts';

/** What a dragged page is carried as. */
const CARRIED = 'application/x-nimble-lever-page';

interface Props {
  readonly page: Page;
  /** How many pages it stands in. */
  readonly depth: number;
  /** Its bindings are what the matrix shows. */
  readonly shown: boolean;
  /** The first of those of its program: it says which. */
  readonly first: boolean;
  /** The page so many tabs to the right; null for the device's own. */
  readonly beside: (by: 1 | -1) => string | null;
  readonly onShow: (page: string | null) => void;
  readonly onRename: () => void;
  readonly onMenu: (at: HTMLElement) => void;
}

/** A page as a tab: arrows go from one to the next, with Alt the page itself goes; dragging does the same. */
export function PageTab({ page, depth, shown, first, beside, onShow, onRename, onMenu }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const wrong = useAppSelector((state) => pageFault(state, page));
  const [over, setOver] = useState(false);
  const { id, name, kind, program, face } = page;
  const of = program === null ? null : programName(setup, program);
  const says = [WORDS.pageMeans[kind], ...(of === null ? [] : [WORDS.pageOf(of)])].join(', ');
  const isCarried = ({ dataTransfer: { types } }: DragEvent) =>
    types.includes(CARRIED) || types.includes(CARRIED_CELL);
  return (
    <button
      type="button"
      role="tab"
      aria-selected={shown}
      aria-label={`${name}, ${says}`}
      data-over={over}
      title={`${says}. ${wrong ?? WORDS.pageMoves}`}
      tabIndex={shown ? 0 : -1}
      onClick={() => onShow(id)}
      onDoubleClick={onRename}
      onContextMenu={(event) => {
        event.preventDefault();
        onShow(id);
        onMenu(event.currentTarget);
      }}
      onKeyDown={(event) =>
        onTabKey(event, {
          show: (by) => onShow(beside(by)),
          move: (by) => dispatch(stepPage(page, by)),
          rename: onRename,
          menu: onMenu,
        })
      }
      draggable
      onDragStart={({ dataTransfer }) => dataTransfer.setData(CARRIED, id)}
      onDragOver={(event) => {
        if (!isCarried(event)) return;
        event.preventDefault();
        const { dataTransfer, ctrlKey } = event;
        const copies = ctrlKey && dataTransfer.types.includes(CARRIED_CELL);
        dataTransfer.dropEffect = copies ? 'copy' : 'move';
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        dispatch(dropOnPage(event.dataTransfer, page, event.ctrlKey));
      }}
    >
      {depth > 0 && <span aria-hidden>{'›'.repeat(depth)}</span>}
      {of !== null && first && <small>{of}</small>}
      <FaceIcon face={face} size={13} fallback={kind === 'folder' ? Folder : SquareStack} /> {name}
      {wrong !== null && <TriangleAlert size={13} role="img" aria-label={wrong} className="wrong" />}
    </button>
  );
}

/** What is dropped on a tab: another page goes to its place, a cell of the same device onto the page. */
const dropOnPage =
  (data: DataTransfer, target: Page, copying: boolean): AppThunk =>
  (dispatch, getState) => {
    const { pages } = selectSetup(getState());
    const page = pages.find(({ id }) => id === data.getData(CARRIED));
    if (page) {
      if (page.device !== target.device || page.id === target.id) return;
      dispatch(putPage(page, target, pages.indexOf(page) < pages.indexOf(target)));
      return;
    }
    const cell = carriedSlot(data.getData(CARRIED_CELL));
    if (cell?.device === target.device) dispatch(dropCell(cell, { ...cell, layer: target.id }, copying));
  };
