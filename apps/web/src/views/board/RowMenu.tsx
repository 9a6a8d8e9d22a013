import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { Ellipsis } from 'lucide-react';
import { useState } from 'react';
import { useAppSelector } from '../../app/store.ts';
import type { BoardRow } from './boardModel.ts';
import type { CopyFrom } from './copyFrom.ts';
import { selectCell } from './useBoard.ts';
import { WORDS } from './words.ts';

interface Props {
  readonly row: BoardRow;
  readonly onCopy: (from: CopyFrom) => void;
}

/** What can be done with a row as a whole. */
export function RowMenu({ row, onCopy }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { device, control, trigger, name, layer } = row;
  const choose = (from: CopyFrom) => {
    setAnchor(null);
    onCopy(from);
  };
  const place = { device: device.id, control: control.id, trigger };
  const cell = useAppSelector(selectCell);
  // Only a cell of this row that has something of its own can be copied from here.
  const own = cell?.face.source === 'set' && cell.row === row ? cell : null;
  return (
    <>
      <button
        type="button"
        className="quiet menu"
        tabIndex={-1}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        aria-label={WORDS.rowMenu(`${device.name}, ${name}`)}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        <Ellipsis size={14} aria-hidden />
      </button>
      {anchor && (
        <Menu anchorEl={anchor} open onClose={() => setAnchor(null)}>
          {own && (
            <MenuItem
              onClick={() =>
                choose({
                  what: 'cell',
                  from: own.slot,
                  name: `${device.name}, ${name} in ${own.column.name}`,
                })
              }
            >
              {WORDS.copyCell}
            </MenuItem>
          )}
          <MenuItem
            onClick={() => choose({ what: 'row', layer, from: place, name: `${device.name}, ${name}` })}
          >
            {WORDS.copyRow}
          </MenuItem>
          <MenuItem onClick={() => choose({ what: 'device', from: device.id, name: device.name })}>
            {WORDS.copyDevice(device.name)}
          </MenuItem>
        </Menu>
      )}
    </>
  );
}
