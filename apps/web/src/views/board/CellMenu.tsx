import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { OFF } from '@nimble-lever/core/setup';
import type { UnknownAction } from '@reduxjs/toolkit';
import { type AppThunk, useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Keycap } from '../../pieces/Keycap.tsx';
import { recordingStarted, selectBoardState } from './boardSlice.ts';
import { clearCells, pasteCells, takeCells } from './cellMoves.ts';
import type { CopyFrom } from './copyFrom.ts';
import { setCells } from './setCells.ts';
import { type SelectedCell, selectCells } from './useBoard.ts';
import { WORDS } from './words.ts';

interface Props {
  /** The cell itself, where the menu opens. */
  readonly anchor: HTMLElement;
  readonly cell: SelectedCell;
  readonly onChoose: () => void;
  readonly onCopy: (from: CopyFrom) => void;
  readonly onClose: () => void;
}

/** What can be done with the selected cell, or with all that are selected; each with the key that does the same. */
export function CellMenu({ anchor, cell, onChoose, onCopy, onClose }: Props) {
  const dispatch = useAppDispatch();
  const copied = useAppSelector((state) => selectBoardState(state).copied);
  const cells = useAppSelector(selectCells);
  const { row, column, slot, face } = cell;
  // The menu closes first, so that the keys go back to the cell before something else takes them.
  const then = (act: () => void) => () => {
    onClose();
    setTimeout(act);
  };
  const item = (words: string, key: string | null, act: () => void, disabled = false) => (
    <MenuItem
      key={words}
      disabled={disabled}
      onClick={then(act)}
      sx={{ gap: 4, justifyContent: 'space-between' }}
    >
      {words} {key && <Keycap shortcut={key} />}
    </MenuItem>
  );
  const does = (action: AppThunk | UnknownAction) => () => void dispatch(action as UnknownAction);
  const name = `${row.device.name}, ${row.name} in ${column.name}`;
  const isSet = face.source === 'set' || cells.length > 1;
  return (
    <Menu
      anchorEl={anchor}
      open
      onClose={onClose}
      slotProps={{ list: { 'aria-label': WORDS.cellMenu(name), dense: true } }}
    >
      {item(WORDS.chooseIt, 'Enter', onChoose)}
      {item(WORDS.recordIt, 'R', does(recordingStarted()))}
      <Divider />
      {item(WORDS.cut, 'Ctrl+X', does(takeCells('cut')), !isSet)}
      {item(WORDS.copy, 'Ctrl+C', does(takeCells('copy')))}
      {item(WORDS.paste, 'Ctrl+V', does(pasteCells()), copied.length === 0)}
      {item(WORDS.copyTo, null, () => onCopy({ what: 'cell', from: slot, name }), face.source !== 'set')}
      <Divider />
      {item(WORDS.inherit, 'Delete', does(clearCells()), !isSet)}
      {item(WORDS.native, null, does(setCells({ kind: 'native' })))}
      {item(WORDS.off, null, does(setCells(OFF)))}
    </Menu>
  );
}
