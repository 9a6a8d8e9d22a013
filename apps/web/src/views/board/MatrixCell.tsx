import { memo, useEffect, useRef } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { Cell, type CellFace, cellWords } from '../../pieces/Cell.tsx';
import { type BoardColumn, type BoardRow, slotAt } from './boardModel.ts';
import { cellSelected } from './boardSlice.ts';
import { GridPart } from './GridPart.ts';
import { placeStyle } from './matrixLayout.ts';

interface Props {
  readonly row: BoardRow;
  readonly column: BoardColumn;
  readonly layer: string;
  readonly face: CellFace;
  readonly left: number;
  readonly sticky: boolean;
  readonly width: number;
  /** The column's place. */
  readonly at: number;
  readonly selected: boolean;
  /** Tab comes here. */
  readonly reachable: boolean;
  readonly recording: boolean;
  readonly same: boolean;
  readonly onIntent: (intent: string | null) => void;
}

/** One cell of the matrix; selecting it takes the keys. */
export const MatrixCell = memo(function MatrixCell(props: Props) {
  const { row, column, layer, face, left, sticky, width, at, selected, reachable, recording, same } = props;
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
  // Reached by Tab or by a click alike: what has the focus is what is selected.
  const select = () => {
    if (!selected) dispatch(cellSelected(slotAt(row, column, layer)));
  };
  return (
    <GridPart
      ref={element}
      role="gridcell"
      className={sticky ? 'cell sticky' : 'cell'}
      style={placeStyle({ index: at, left, sticky }, width)}
      tabIndex={reachable ? 0 : -1}
      aria-colindex={at + 2}
      aria-selected={selected}
      aria-label={`${row.device.name}, ${row.name} in ${column.name}: ${cellWords(face)}`}
      data-recording={recording}
      data-same={same}
      title={face.name}
      onFocus={select}
      onMouseEnter={() => props.onIntent(face.intent)}
    >
      <Cell face={face} same={same} />
    </GridPart>
  );
});
