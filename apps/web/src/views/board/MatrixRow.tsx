import { ChevronDown, ChevronRight } from 'lucide-react';
import { memo } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { GridPart } from '../../pieces/GridPart.tsx';
import { type BoardModel, type BoardRow, rowWord } from './boardModel.ts';
import { triggersFolded } from './boardSlice.ts';
import type { CopyFrom } from './copyFrom.ts';
import { MatrixCell } from './MatrixCell.tsx';
import { type ColumnPlace, HEAD } from './matrixLayout.ts';
import { RowMenu } from './RowMenu.tsx';
import { WORDS } from './words.ts';

interface Props {
  readonly model: BoardModel;
  /** Its place in the matrix. */
  readonly index: number;
  readonly row: BoardRow;
  /** Pixels from the first row. */
  readonly top: number;
  /** The columns that are near enough to be drawn. */
  readonly places: readonly ColumnPlace[];
  readonly width: number;
  /** The column of the selected cell, if it is in this row. */
  readonly selected: number | null;
  /** Columns of cells that are selected together, and of those that are cut, joined by commas. */
  readonly chosen: string;
  readonly cut: string;
  /** Tab comes to the first cell of this row, as none is selected. */
  readonly reachable: boolean;
  readonly recording: boolean;
  /** Its control was just used. */
  readonly flashing: boolean;
  /** The intent under the pointer. */
  readonly intent: string | null;
  readonly onIntent: (intent: string | null) => void;
  readonly onCopy: (from: CopyFrom) => void;
  /** Opens the selected cell's menu at an element. */
  readonly onMenu: (at: HTMLElement) => void;
}

/** A row of the matrix: a control's trigger in every program. */
export const MatrixRow = memo(function MatrixRow(props: Props) {
  const { model, index, row, top, places, width, selected, reachable, recording, flashing, intent } = props;
  const dispatch = useAppDispatch();
  const { device, control, more, unfolded } = row;
  const above = model.rows[index - 1];
  // Further triggers of a control stand under its name and need only say how they are used.
  const under = unfolded && above?.control === control && above.group === row.group;
  // Folding is remembered by control: the row of its main trigger stands for all.
  const fold = () => dispatch(triggersFolded({ control: `${device.id}/${control.id}`, open: !unfolded }));
  const [chosen, cut] = [props.chosen.split(','), props.cut.split(',')];
  const name = rowWord(row, under && control.kind !== 'wheel');
  return (
    <GridPart
      className="row"
      role="row"
      aria-rowindex={index + 2}
      style={{ transform: `translateY(${top}px)` }}
    >
      <GridPart
        role="rowheader"
        className={`rowhead${flashing ? ' flash' : ''}${selected === null ? '' : ' current'}${under ? ' under' : ''}`}
        style={{ width: HEAD }}
        title={`${device.name}: ${row.name}`}
      >
        <span className="name">{name}</span>
        {more > 0 && (
          <button
            type="button"
            className="quiet"
            tabIndex={-1}
            aria-expanded={unfolded}
            aria-label={WORDS.showTriggers(control.name)}
            title={`${WORDS.showTriggers(control.name)} (T)`}
            onClick={fold}
          >
            {unfolded ? <ChevronDown size={13} aria-hidden /> : <ChevronRight size={13} aria-hidden />}
            {unfolded ? WORDS.fold : WORDS.moreTriggers(more)}
          </button>
        )}
        <RowMenu row={row} onCopy={props.onCopy} />
      </GridPart>
      {places.map((place) => {
        const column = model.columns[place.index];
        const face = model.face(index, place.index);
        if (!column || !face) return null;
        const isSelected = selected === place.index;
        return (
          <MatrixCell
            key={column.profile.id}
            row={row}
            column={column}
            face={face}
            left={place.left}
            sticky={place.sticky}
            width={width}
            at={place.index}
            index={index}
            selected={isSelected}
            reachable={isSelected || (reachable && place.index === 0)}
            chosen={chosen.includes(String(place.index))}
            cut={cut.includes(String(place.index))}
            recording={isSelected && recording}
            same={intent !== null && face.intent === intent}
            onIntent={props.onIntent}
            onMenu={props.onMenu}
          />
        );
      })}
    </GridPart>
  );
});
