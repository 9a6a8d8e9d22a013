import { movePage, reachedPages, wayBack } from '@nimble-lever/core/pages';
import { EVERYWHERE, type Page, profileOf, type Setup } from '@nimble-lever/core/setup';
import { programName } from '@nimble-lever/core/words';
import { createSelector } from '@reduxjs/toolkit';
import { Folder, SquareStack, TriangleAlert } from 'lucide-react';
import { type DragEvent, useState } from 'react';
import { makeEdits } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { type AppThunk, useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { FACE_ICONS } from '../../../pieces/faceIcons.ts';
import { CARRIED_CELL, carriedSlot, dropCell } from '../cellMoves.ts';
import { WORDS } from '../words.ts';
import { onTabKey } from './tabKeys.ts';

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
  const wrong = useAppSelector((state) => wrongWith(setup, selectReached(state), page));
  const [over, setOver] = useState(false);
  const { id, name, kind, program, face } = page;
  const Own = face?.icon ? FACE_ICONS[face.icon]?.icon : undefined;
  const Icon = Own ?? (kind === 'folder' ? Folder : SquareStack);
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
      <Icon size={13} aria-hidden /> {name}
      {wrong !== null && <TriangleAlert size={13} role="img" aria-label={wrong} className="wrong" />}
    </button>
  );
}

/** Pages that something leads to, found once for all tabs. */
const selectReached = createSelector([selectSetup], reachedPages);

/** Why a page cannot be used as it is; null where it can. */
function wrongWith(setup: Setup, reached: ReadonlySet<string>, page: Page): string | null {
  if (!reached.has(page.id)) return WORDS.pageUnreached;
  return page.kind === 'folder' && wayBack(setup, page, profileFor(setup, page)) === null
    ? WORDS.pageNoWayBack
    : null;
}

/** The profile that a page is used with. */
export function profileFor(setup: Setup, { program }: Page): string {
  return (program !== null && profileOf(setup, program)?.id) || EVERYWHERE;
}

/** A page one place on among those it stands beside, or back. */
export const stepPage =
  (page: Page, by: 1 | -1): AppThunk =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const { pages } = setup;
    const beside = pages.filter(
      (other) => other.device === page.device && other.within === page.within && other.kind === page.kind,
    );
    const at = beside.findIndex(({ id }) => id === page.id);
    const target = beside[at + by];
    if (target) dispatch(putPage(page, target, by > 0));
  };

/** A page right after another or right before it, in what that one stands in. */
const putPage =
  (page: Page, target: Page, isAfter: boolean): AppThunk =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const own = setup.pages.filter(({ id, device }) => device === page.device && id !== page.id);
    const at = own.findIndex(({ id }) => id === target.id);
    const after = isAfter ? target.id : (own[at - 1]?.id ?? null);
    const within = page.kind === 'set' ? null : target.within;
    const edits = movePage(setup, page, { within, after });
    if (edits && edits.length > 0) dispatch(makeEdits(edits));
  };

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
