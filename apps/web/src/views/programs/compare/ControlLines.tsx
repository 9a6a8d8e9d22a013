import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { type ComparedCell, type Difference, takeAcross } from '@nimble-lever/core/programs';
import { keyOf } from '@nimble-lever/core/setup';
import { controlUseWords, profileName } from '@nimble-lever/core/words';
import { useState } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { useAppDispatch } from '../../../app/store.ts';
import { Keycap } from '../../../pieces/Keycap.tsx';
import { useToBoard } from '../commands/useToBoard.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { CompareGrid } from './CompareGrid.tsx';
import type { useCompared } from './useCompared.ts';

interface Props {
  readonly beside: ReturnType<typeof useCompared>;
  readonly differences: readonly Difference[];
}

/** What controls do differently, a line each. */
export function ControlLines({ beside, differences }: Props) {
  const [menu, setMenu] = useState<{ anchor: HTMLElement; line: Difference; column: number } | null>(null);
  const { setup, chosen, compared, names } = beside;
  const of = compared[0]?.setup ?? setup;
  return (
    <>
      <CompareGrid
        label={WORDS.differences(differences.length)}
        heads={[WORDS.control, ...names]}
        count={differences.length}
        keyAt={(index) => {
          const slot = differences[index]?.slot;
          return slot ? keyOf(slot) : `${index}`;
        }}
        cellsAt={(index) => {
          const line = differences[index];
          if (!line) return [];
          const place = controlUseWords(of, line.slot);
          return [
            <span key="at" className="words">
              {place}
            </span>,
            ...line.cells.map((cell, column) => {
              const own = chosen[column];
              const words = (
                <CellWords
                  key={names[column]}
                  cell={cell}
                  own={own?.profile ?? ''}
                  beside={beside}
                  column={column}
                />
              );
              // What is in a file is looked at; it is not written.
              return own?.file === null ? (
                <button
                  key={names[column]}
                  type="button"
                  className="what"
                  aria-haspopup="menu"
                  aria-label={WORDS.cellOf(place, names[column] ?? '', nameOf(cell))}
                  onClick={({ currentTarget }) => setMenu({ anchor: currentTarget, line, column })}
                >
                  {words}
                </button>
              ) : (
                words
              );
            }),
          ];
        }}
      />
      {menu && <TakeMenu {...menu} beside={beside} onClose={() => setMenu(null)} />}
    </>
  );
}

function nameOf(cell: ComparedCell): string {
  if (!cell.binding) return WORDS.unset;
  return cell.name ?? (cell.binding.behaviour.kind === 'off' ? WORDS.off : WORDS.native);
}

interface CellProps {
  readonly cell: ComparedCell;
  readonly own: string;
  readonly beside: Props['beside'];
  readonly column: number;
}

function CellWords({ cell, own, beside, column }: CellProps) {
  const of = beside.compared[column]?.setup ?? beside.setup;
  return (
    <>
      <span className={cell.binding ? 'words' : 'words soft'}>{nameOf(cell)}</span>
      {cell.shortcut !== null && cell.shortcut !== cell.name && <Keycap shortcut={cell.shortcut} />}
      {cell.from !== null && cell.from !== own && (
        <small>{WORDS.fromProfile(profileName(of, cell.from))}</small>
      )}
    </>
  );
}

interface TakeProps {
  readonly anchor: HTMLElement;
  readonly line: Difference;
  readonly column: number;
  readonly beside: Props['beside'];
  readonly onClose: () => void;
}

/** What a profile can take of the others for a control. */
function TakeMenu({ anchor, line, column, beside, onClose }: TakeProps) {
  const dispatch = useAppDispatch();
  const toBoard = useToBoard();
  const { say } = useSay();
  const { setup, chosen, compared, names } = beside;
  const profile = chosen[column]?.profile ?? '';
  const target = { ...line.slot, profile };
  const choices = line.cells.flatMap((cell, i) => {
    const source = compared[i];
    const edit = i === column || !source ? null : takeAcross(setup, source, cell, target);
    return edit ? [{ edit, words: WORDS.takeFrom(names[i] ?? '', nameOf(cell)) }] : [];
  });
  return (
    <Menu anchorEl={anchor} open onClose={onClose}>
      {choices.map(({ edit, words }) => (
        <MenuItem
          key={words}
          onClick={() => {
            dispatch(makeEdit(edit));
            say(WORDS.taken(controlUseWords(setup, target), names[column] ?? ''));
            onClose();
          }}
        >
          {words}
        </MenuItem>
      ))}
      {choices.length === 0 && <MenuItem disabled>{WORDS.nothingToTake}</MenuItem>}
      <Divider />
      <MenuItem
        onClick={() => {
          onClose();
          toBoard(target);
        }}
      >
        {WORDS.showOnBoard}
      </MenuItem>
    </Menu>
  );
}
