import { styled } from '@mui/material/styles';
import { Fragment, memo, useEffect, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Cell, type CellFace, cellWords } from '../../pieces/Cell.tsx';
import { type BoardColumn, type BoardModel, type BoardRow, rowKey, slotAt } from './boardModel.ts';
import { cellSelected } from './boardSlice.ts';
import { selectCell, useMatrixKeys } from './useBoard.ts';
import { groupName, WORDS } from './words.ts';

const ROW = 33;
const HEAD = 212;
const COLUMN = 196;

const Scroller = styled('div')({ overflow: 'auto', minHeight: 0, flex: 1, scrollPaddingTop: ROW + 8 });

const Table = styled('table')(({ theme: { vars } }) => {
  const line = `1px solid ${vars?.palette.divider}`;
  return {
    borderCollapse: 'separate',
    borderSpacing: 0,
    tableLayout: 'fixed',
    minWidth: '100%',
    fontSize: 13,
    '& th': { textAlign: 'left', fontWeight: 400, padding: '0 10px' },
    '& thead th': {
      position: 'sticky',
      top: 0,
      zIndex: 2,
      height: ROW + 3,
      fontWeight: 650,
      backgroundColor: vars?.palette.tokens.background,
      borderBottom: line,
    },
    '& thead th.front': { borderBottom: `3px solid ${vars?.palette.tokens.accent}` },
    '& thead th small': { fontSize: 11, fontWeight: 400, color: vars?.palette.text.secondary, marginLeft: 6 },
    '& tbody th': {
      position: 'sticky',
      left: 0,
      zIndex: 1,
      backgroundColor: vars?.palette.tokens.background,
      borderBottom: line,
      borderRight: line,
      height: ROW,
    },
    '& thead th:first-of-type': { left: 0, zIndex: 3 },
    '& tbody th.group': {
      height: 26,
      fontSize: 12,
      fontWeight: 650,
      color: vars?.palette.text.secondary,
      borderRight: 0,
    },
    '& tbody th.flash': { backgroundColor: vars?.palette.tokens.accentTint },
    '& tbody th.current': { fontWeight: 650 },
    '& td': {
      padding: 0,
      height: ROW,
      borderBottom: line,
      borderRight: line,
      cursor: 'default',
      backgroundColor: vars?.palette.tokens.sheet,
    },
    '& td:focus-visible': { outlineOffset: -2 },
    '& td[aria-selected=true]': {
      outline: `2px solid ${vars?.palette.text.primary}`,
      outlineOffset: -2,
      borderRadius: 2,
    },
    '& td[data-recording=true]': { outlineColor: vars?.palette.tokens.accent },
  };
});

interface Props {
  readonly model: BoardModel;
  /** The `device/control/trigger` rows that were just used. */
  readonly flashing: ReadonlySet<string>;
  /** The profile that is in front now. */
  readonly front: string;
  readonly onChoose: () => void;
  readonly onHelp: () => void;
}

/** Controls × programs. One cell is selected and takes the keys. */
export function Matrix({ model, flashing, front, onChoose, onHelp }: Props) {
  const cell = useAppSelector(selectCell);
  const recording = useAppSelector((state) => state.board.recording);
  const [intent, setIntent] = useState<string | null>(null);
  const onKeyDown = useMatrixKeys(model, onChoose, onHelp);
  return (
    <Scroller>
      <Table role="grid" aria-label={WORDS.matrix} onKeyDown={onKeyDown} onMouseLeave={() => setIntent(null)}>
        <colgroup>
          <col style={{ width: HEAD }} />
          {model.columns.map(({ profile }) => (
            <col key={profile.id} style={{ width: COLUMN }} />
          ))}
        </colgroup>
        <thead>
          <tr>
            <th scope="col">{WORDS.control}</th>
            {model.columns.map(({ profile, name }) => (
              <th key={profile.id} scope="col" className={profile.id === front ? 'front' : undefined}>
                {name}
                {profile.id === front && <small>{WORDS.inFront}</small>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {model.rows.map((row, r) => (
            <Fragment key={rowKey(row)}>
              {row.device !== model.rows[r - 1]?.device && (
                <tr>
                  <th scope="colgroup" className="group" colSpan={model.columns.length + 1}>
                    {groupName(row)}
                  </th>
                </tr>
              )}
              <tr>
                <th scope="row" className={headClass(flashing.has(rowKey(row)), cell?.at.row === r)}>
                  {row.name}
                </th>
                {model.columns.map((column, c) => {
                  const face = model.faces[r]?.[c];
                  const selected = cell?.at.row === r && cell.at.column === c;
                  if (!face) return null;
                  return (
                    <MatrixCell
                      key={column.profile.id}
                      row={row}
                      column={column}
                      face={face}
                      selected={selected}
                      reachable={selected || (!cell && r === 0 && c === 0)}
                      recording={selected && recording}
                      same={intent !== null && face.intent === intent}
                      onIntent={setIntent}
                    />
                  );
                })}
              </tr>
            </Fragment>
          ))}
        </tbody>
      </Table>
    </Scroller>
  );
}

interface CellProps {
  readonly row: BoardRow;
  readonly column: BoardColumn;
  readonly face: CellFace;
  readonly selected: boolean;
  /** Tab comes here. */
  readonly reachable: boolean;
  readonly recording: boolean;
  readonly same: boolean;
  readonly onIntent: (intent: string | null) => void;
}

const MatrixCell = memo(function MatrixCell(props: CellProps) {
  const { row, column, face, selected, reachable, recording, same, onIntent } = props;
  const dispatch = useAppDispatch();
  const element = useRef<HTMLTableCellElement>(null);
  useEffect(() => {
    if (!selected) return;
    element.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    if (document.activeElement === document.body || document.activeElement?.closest('[role=grid]')) {
      element.current?.focus({ preventScroll: true });
    }
  }, [selected]);
  const select = () => {
    if (!selected) dispatch(cellSelected(slotAt(row, column)));
  };
  return (
    <td
      ref={element}
      // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a cell of a grid is interactive.
      role="gridcell"
      tabIndex={reachable ? 0 : -1}
      aria-selected={selected}
      aria-label={`${row.name} in ${column.name}: ${cellWords(face)}`}
      data-recording={recording}
      data-same={same}
      title={face.name}
      onFocus={select}
      onMouseEnter={() => onIntent(face.intent)}
    >
      <Cell face={face} same={same} />
    </td>
  );
});

function headClass(flashing: boolean, current: boolean): string {
  return `${flashing ? 'flash ' : ''}${current ? 'current' : ''}`;
}
