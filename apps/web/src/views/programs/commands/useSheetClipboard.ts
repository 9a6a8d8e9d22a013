import { blockText, cellText, readBlock, type SheetColumn } from '@nimble-lever/core/programs';
import type { ClipboardEvent } from 'react';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { COLUMNS, isEdited, NEW_ROW, type Range } from './sheetState.ts';
import type { Row } from './useRows.ts';
import type { SheetEdits } from './useSheetEdits.ts';

/** What is selected, and what can be done to it. */
interface Selected {
  readonly isEditing: boolean;
  readonly range: Range | null;
  /** All lines in the order shown, the one in which a command is begun last. */
  readonly order: readonly string[];
  readonly byId: ReadonlyMap<string, Row>;
  /** The selected commands, and the columns of them that are edited. */
  readonly chosen: readonly string[];
  readonly columns: readonly SheetColumn[];
  readonly edits: SheetEdits;
  /** A list that is no block of cells, to be looked at before it is taken in. */
  readonly onList: (text: string) => void;
}

/** Blocks of cells from and to a spreadsheet. While a cell is typed into, the clipboard is the field's. */
export function useSheetClipboard(selected: Selected) {
  const { isEditing, range, order, byId, chosen, columns, edits, onList } = selected;
  const { say, sayWrong } = useSay();
  const onCopy = (event: ClipboardEvent) => {
    const block = chosen.flatMap((id) => {
      const row = byId.get(id);
      return row ? [columns.map((column) => cellText(row.command, column))] : [];
    });
    if (isEditing || block.length === 0 || columns.length === 0) return;
    event.preventDefault();
    event.clipboardData.setData('text/plain', blockText(block));
    say(WORDS.copiedCells(block.length * columns.length));
  };
  const onCut = (event: ClipboardEvent) => {
    onCopy(event);
    if (!isEditing) edits.clear(chosen, columns);
  };
  const onPaste = (event: ClipboardEvent) => {
    if (isEditing || !range) return;
    event.preventDefault();
    const text = event.clipboardData.getData('text/plain');
    const block = readBlock(text);
    const column = COLUMNS[range.columns[0]];
    if (block.length === 0 || !column || !isEdited(column)) return sayWrong(WORDS.nothingPasted);
    const [first] = block;
    // A list of another form, put where commands are begun, is looked at first.
    if (order[range.rows[0]] === NEW_ROW && block.every((line) => line.length < 2)) return onList(text);
    const isOne = block.length === 1 && first?.length === 1;
    // One cell goes into all that are selected, as in every spreadsheet.
    const whole = isOne ? chosen.map(() => columns.map(() => first[0] ?? '')) : block;
    edits.paste(whole, { order: order.slice(0, -1), row: range.rows[0], column });
  };
  return { onCopy, onCut, onPaste };
}
