import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { EVERYWHERE, itemAt, moveTo } from '@nimble-lever/core/setup';
import { Ellipsis, Pin } from 'lucide-react';
import { useState } from 'react';
import { makeEdit } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { GridPart } from '../../pieces/GridPart.tsx';
import type { BoardColumn } from './boardModel.ts';
import { selectBoardState, viewChanged } from './boardSlice.ts';
import type { CopyFrom } from './copyFrom.ts';
import { type ColumnPlace, placeStyle } from './matrixLayout.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly column: BoardColumn;
  readonly place: ColumnPlace;
  /** Pixels. */
  readonly width: number;
  /** Its program is in front. */
  readonly front: boolean;
  readonly onCopy: (from: CopyFrom) => void;
  /** Asks how a program reads keys. */
  readonly onReadsKeys: (program: string) => void;
}

/** The head of a column: its program, whether that is in front, and what can be done with the column. */
export function ColumnHead({ column, place, width, front, onCopy, onReadsKeys }: Props) {
  const dispatch = useAppDispatch();
  const { programs } = useAppSelector(selectSetup);
  const { hidden, pinned } = useAppSelector((state) => selectBoardState(state).view);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { profile, name } = column;
  // Everywhere has no program, and stands first: its place is −1, and it cannot be moved.
  const at = programs.findIndex(({ id }) => id === profile.program);
  // A menu closes first, so that the keys go back to where they were before the view changes.
  const choose = (act: () => void) => () => {
    setAnchor(null);
    act();
  };
  // The order of columns is the order of programs in the set-up: everyone who opens it sees the same.
  const move = (by: number) =>
    choose(() => {
      const program = profile.program ?? '';
      dispatch(makeEdit(moveTo(itemAt.program(program), programs, program, at + by)));
    });
  // What stays in sight is a habit of this person on this screen, and is no edit.
  const pin = choose(() =>
    dispatch(
      viewChanged({
        pinned: column.pinned ? pinned.filter((id) => id !== profile.id) : [...pinned, profile.id],
      }),
    ),
  );
  return (
    <GridPart
      role="columnheader"
      aria-colindex={place.index + 2}
      className={`column${front ? ' front' : ''}${place.sticky ? ' sticky' : ''}`}
      style={placeStyle(place, width)}
    >
      {column.pinned && <Pin size={12} aria-hidden />}
      <span className="name">{name}</span>
      {front && <small>{WORDS.inFront}</small>}
      <span style={{ flex: 1 }} />
      <button
        type="button"
        className="quiet menu"
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        aria-label={WORDS.columnMenu(name)}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        <Ellipsis size={14} aria-hidden />
      </button>
      {/* Made when it opens: two hundred heads with a menu each would be two hundred menus. } */}
      {anchor && (
        <Menu anchorEl={anchor} open onClose={() => setAnchor(null)}>
          <MenuItem onClick={pin}>{column.pinned ? WORDS.unpin : WORDS.pin}</MenuItem>
          <MenuItem onClick={choose(() => dispatch(viewChanged({ hidden: [...hidden, profile.id] })))}>
            {WORDS.hide}
          </MenuItem>
          {profile.id !== EVERYWHERE && [
            <MenuItem key="left" disabled={at <= 0} onClick={move(-1)}>
              {WORDS.moveLeft}
            </MenuItem>,
            <MenuItem key="right" disabled={at >= programs.length - 1} onClick={move(1)}>
              {WORDS.moveRight}
            </MenuItem>,
          ]}
          {profile.program && (
            <MenuItem onClick={choose(() => onReadsKeys(profile.program ?? ''))}>{WORDS.readsKeys}</MenuItem>
          )}
          <MenuItem onClick={choose(() => onCopy({ what: 'column', from: profile.id, name }))}>
            {WORDS.copyColumn}
          </MenuItem>
        </Menu>
      )}
    </GridPart>
  );
}
