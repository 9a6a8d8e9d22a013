import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { styled } from '@mui/material/styles';
import type { Macro } from '@nimble-lever/core/setup';
import { ChevronDown } from 'lucide-react';
import { memo, useState } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { WORDS } from '../words.ts';
import { ADDED_FIRST, ADDED_MORE, type AddedKind, newStepOf } from './newSteps.ts';
import { DRAGGED_KIND } from './Score.tsx';

const Bar = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  flexWrap: 'wrap',
  gap: 8,
  padding: '8px 16px',
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& > span': { fontSize: 12, color: vars?.palette.text.secondary },
  '& .MuiButton-root': { minHeight: 30, padding: '2px 12px' },
}));

interface Props {
  readonly macro: Macro;
  /** A hold or a repeat goes round what is selected. */
  readonly several: boolean;
  readonly onAdd: (kind: AddedKind) => void;
}

/** What can be added: by a click behind what is selected, or dragged to its place. */
export const AddBar = memo(function AddBar({ macro, several, onAdd }: Props) {
  const setup = useAppSelector(selectSetup);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <Bar role="toolbar" aria-label={WORDS.add}>
      <span>{WORDS.add}</span>
      {ADDED_FIRST.map((kind) => (
        <Button
          key={kind}
          draggable
          title={several && kind === 'repeat' ? WORDS.wraps : undefined}
          onDragStart={(event) => event.dataTransfer.setData(DRAGGED_KIND, kind)}
          onClick={() => onAdd(kind)}
        >
          {WORDS.addKinds[kind]}
        </Button>
      ))}
      <Button
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        endIcon={<ChevronDown size={14} aria-hidden />}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {WORDS.addMore}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {ADDED_MORE.map((kind) => (
          <MenuItem
            key={kind}
            disabled={newStepOf(kind, setup, macro) === null}
            onClick={() => {
              setAnchor(null);
              onAdd(kind);
            }}
          >
            {WORDS.addKinds[kind]}
          </MenuItem>
        ))}
      </Menu>
    </Bar>
  );
});
