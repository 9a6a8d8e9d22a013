import { useMemo } from 'react';
import { useAppSelector } from '../../app/store.ts';
import { type BoardModel, placeOf } from './boardModel.ts';
import { selectBoardState } from './boardSlice.ts';
import { type CellPlace, selectCells } from './useBoard.ts';

/** Which cells of a row are selected with others, and which are cut: their columns, joined by commas. */
export interface Marks {
  /** By row. */
  readonly chosen: ReadonlyMap<number, string>;
  readonly cut: ReadonlyMap<number, string>;
}

/** The cells that are marked beside the one that is worked in; as texts, so that other rows are not drawn anew. */
export function useMarks(model: BoardModel): Marks {
  const cells = useAppSelector(selectCells);
  const copied = useAppSelector((state) => selectBoardState(state).copied);
  return useMemo(() => {
    const cut = copied.flatMap(({ cut: slot }): CellPlace[] =>
      slot ? [{ slot, at: placeOf(model, slot) }] : [],
    );
    return { chosen: byRow(cells.length > 1 ? cells : []), cut: byRow(cut) };
  }, [model, cells, copied]);
}

/** Rows draw themselves anew only where their own marks changed: so each gets a text that compares by value. */
function byRow(cells: readonly CellPlace[]): ReadonlyMap<number, string> {
  const rows = new Map<number, string>();
  for (const { at } of cells) {
    const before = rows.get(at.row);
    rows.set(at.row, before === undefined ? String(at.column) : `${before},${at.column}`);
  }
  return rows;
}
