import { type MouseEvent, memo, type ReactNode } from 'react';
import { GridPart } from '../../../pieces/GridPart.tsx';
import { WORDS } from '../words.ts';
import { SheetCell } from './SheetCell.tsx';
import { type Cell, COLUMNS, type Column, NEW_ROW } from './sheetState.ts';
import type { Row } from './useRows.ts';

/** What the pointer does on the sheet. */
export interface LineActions {
  readonly onPress: (cell: Cell, event: MouseEvent) => void;
  readonly onOver: (cell: Cell, event: MouseEvent) => void;
  readonly onEdit: (cell: Cell) => void;
  readonly onTick: (row: Row) => void;
  readonly onPlace: (row: Row, anchor: HTMLElement) => void;
}

interface Props {
  /** Null for the line in which a command is begun. */
  readonly row: Row | null;
  /** Its place among those shown, from 0. */
  readonly index: number;
  /** Pixels from the first. */
  readonly top: number;
  /** The column of the active cell, where it is in this line. */
  readonly active: Column | null;
  /** The column that the Tab key finds, where no cell is active yet. */
  readonly reachable: Column | null;
  /** The selected columns, from and to, where more than the active cell is selected. */
  readonly from: number | null;
  readonly to: number | null;
  /** What stands in place of the active cell while it is edited. */
  readonly editor: ReactNode;
  /** A name that has no keys yet, in the line in which a command is begun. */
  readonly begun: string;
  readonly actions: LineActions;
}

/** A line of the sheet: a command, or the place for another. */
export const SheetLine = memo(function SheetLine(props: Props) {
  const { row, index, top, active, reachable, from, to, editor, begun, actions } = props;
  const id = row?.id ?? NEW_ROW;
  return (
    <GridPart
      role="row"
      // The head is the first (WAI-ARIA, aria-rowindex).
      aria-rowindex={index + 2}
      className={active === null ? 'line' : 'line active'}
      style={{ transform: `translateY(${top}px)` }}
    >
      {COLUMNS.map((column, i) => {
        const cell: Cell = { row: id, column };
        const isActive = column === active;
        const isEditing = isActive && editor !== null;
        const isInside = from !== null && to !== null && i >= from && i <= to;
        const classes = ['cell', isActive && 'current', isInside && 'inside', isEditing && 'editing'];
        return (
          <GridPart
            key={column}
            role="gridcell"
            aria-colindex={i + 1}
            aria-selected={isActive || isInside}
            aria-label={row ? undefined : column === 'shortcut' ? WORDS.newKeys : WORDS.newName}
            className={classes.filter(Boolean).join(' ')}
            data-cell={`${id} ${column}`}
            tabIndex={(isActive && !isEditing) || column === reachable ? 0 : -1}
            onMouseDown={(event) => actions.onPress(cell, event)}
            onMouseEnter={(event) => actions.onOver(cell, event)}
            onDoubleClick={() => actions.onEdit(cell)}
          >
            {isEditing ? (
              editor
            ) : row ? (
              <SheetCell
                row={row}
                column={column}
                onTick={() => actions.onTick(row)}
                onPlace={(anchor) => actions.onPlace(row, anchor)}
              />
            ) : (
              <NewCell column={column} begun={begun} />
            )}
          </GridPart>
        );
      })}
    </GridPart>
  );
});

/** The line below the last command. */
function NewCell({ column, begun }: { readonly column: Column; readonly begun: string }) {
  if (column === 'name') return <span className={begun ? 'words' : 'soft'}>{begun || WORDS.newName}</span>;
  if (column === 'shortcut') return <span className="soft">{begun ? WORDS.pressKeys : WORDS.newKeys}</span>;
  return null;
}
