import type { Slot } from '@nimble-lever/core/setup';
import { memo, useEffect, useRef, useState } from 'react';
import { type AppThunk, useAppDispatch } from '../../app/store.ts';
import { Cell, type CellFace, cellWords } from '../../pieces/Cell.tsx';
import { GridPart } from '../../pieces/GridPart.tsx';
import { type BoardColumn, type BoardRow, slotAt } from './boardModel.ts';
import { cellSelected, viewChanged } from './boardSlice.ts';
import { CARRIED_CELL, carriedSlot, cellToggled, dropCell, rangeTo } from './cellMoves.ts';
import { placeStyle } from './matrixLayout.ts';

/** A click on a cell: it alone is selected, and the dock comes. */
const clicked =
  (slot: Slot): AppThunk =>
  (dispatch) => {
    dispatch(cellSelected(slot));
    dispatch(viewChanged({ docked: true }));
  };

interface Props {
  readonly row: BoardRow;
  readonly column: BoardColumn;
  readonly face: CellFace;
  /** Pixels from the left edge of the grid. */
  readonly left: number;
  /** It stays in sight while the others scroll. */
  readonly sticky: boolean;
  readonly width: number;
  /** The column's place, and the row's. */
  readonly at: number;
  /** Its row in the matrix. */
  readonly index: number;
  /** The one cell that is worked in, and has the keys. */
  readonly selected: boolean;
  /** Selected together with others. */
  readonly chosen: boolean;
  /** It goes away from here when it is pasted elsewhere. */
  readonly cut: boolean;
  /** Tab comes here. */
  readonly reachable: boolean;
  /** A shortcut for it is being recorded. */
  readonly recording: boolean;
  /** The same intent as the cell under the pointer. */
  readonly same: boolean;
  /** The pointer came over it. */
  readonly onIntent: (intent: string | null) => void;
  /** Opens the cell's menu, at the cell. */
  readonly onMenu: (at: HTMLElement) => void;
}

/** One cell of the matrix; selecting it takes the keys. */
export const MatrixCell = memo(function MatrixCell(props: Props) {
  const { row, column, face, left, sticky, width, at, selected, reachable, recording, same } = props;
  const dispatch = useAppDispatch();
  const element = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // The keys follow the selection, but never out of a field in which something is being typed.
    if (!selected) return;
    if (document.activeElement === document.body || document.activeElement?.closest('[role=grid]')) {
      // Where it is scrolled to, the matrix decides: the browser knows nothing of its fixed head.
      element.current?.focus({ preventScroll: true });
    }
  }, [selected]);
  const slot = slotAt(row, column);
  const [over, setOver] = useState(false);
  const modified = useRef(false);
  // Reached by Tab or by a click alike: what has the focus is what is selected.
  const select = () => {
    if (!selected && !modified.current) dispatch(cellSelected(slot));
  };
  return (
    <GridPart
      ref={element}
      role="gridcell"
      className={sticky ? 'cell sticky' : 'cell'}
      style={placeStyle({ index: at, left, sticky }, width)}
      tabIndex={reachable ? 0 : -1}
      aria-colindex={at + 2}
      aria-selected={selected || props.chosen}
      data-current={selected}
      data-first={reachable}
      data-cut={props.cut}
      data-over={over}
      aria-label={`${row.device.name}, ${row.name} in ${column.name}: ${cellWords(face)}`}
      data-recording={recording}
      data-same={same}
      title={face.name}
      onFocus={select}
      // The focus comes with the press; with a modifier held it must not begin a new selection.
      onMouseDown={({ shiftKey, ctrlKey, metaKey }) => {
        modified.current = shiftKey || ctrlKey || metaKey;
      }}
      onClick={({ shiftKey, ctrlKey, metaKey }) => {
        modified.current = false;
        if (shiftKey) dispatch(rangeTo(props.index, at));
        else if (ctrlKey || metaKey) dispatch(cellToggled(slot));
        // A click asks for the cell itself; the arrow keys only go by.
        else dispatch(clicked(slot));
      }}
      onContextMenu={(event) => {
        event.preventDefault();
        if (!selected && !props.chosen) dispatch(cellSelected(slot));
        props.onMenu(event.currentTarget);
      }}
      draggable={face.source === 'set'}
      onDragStart={({ dataTransfer }) => {
        dataTransfer.setData(CARRIED_CELL, JSON.stringify(slot));
        dataTransfer.effectAllowed = 'copyMove';
      }}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes(CARRIED_CELL)) return;
        event.preventDefault();
        event.dataTransfer.dropEffect = event.ctrlKey ? 'copy' : 'move';
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const from = carriedSlot(event.dataTransfer.getData(CARRIED_CELL));
        if (!from) return;
        dispatch(dropCell(from, slot, event.ctrlKey));
        dispatch(cellSelected(slot));
      }}
      onMouseEnter={() => props.onIntent(face.intent)}
    >
      <Cell face={face} />
    </GridPart>
  );
});
