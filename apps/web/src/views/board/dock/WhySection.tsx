import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import { OFF } from '@nimble-lever/core/setup';
import { whyThisOne } from '@nimble-lever/core/words';
import { X } from 'lucide-react';
import { resolutionAt } from '../lookUp.ts';
import { WORDS } from '../words.ts';
import type { CellEdits } from './useCellEdits.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  padding: '12px 16px',
  minWidth: 0,
  display: 'flex',
  flexDirection: 'column',
  '& header': { display: 'flex', alignItems: 'flex-start', justifyContent: 'space-between', gap: 4 },
  '& header button': { width: 24, height: 24, margin: '-2px -8px 0 0' },
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, lineHeight: 1.45, color: vars?.palette.text.secondary },
  '& p b': { color: vars?.palette.text.primary, fontWeight: 650 },
  '& .why': { marginTop: 8, flex: 1, overflow: 'auto' },
  '& .choices': {
    display: 'flex',
    gap: 6,
    marginTop: 8,
    '& button': { flex: 1, minWidth: 0, paddingInline: 6 },
  },
}));

interface Props {
  readonly edits: CellEdits;
  /** Puts the dock away. */
  readonly onClose: () => void;
}

/** Which cell this is, why it does what it does, and the three ways of not sending anything of one's own. */
export function WhySection({ edits, onClose }: Props) {
  const { cell, setup, binding, setBehaviour } = edits;
  const { row, column, slot } = cell;
  // Looked up anew: the matrix keeps only what is shown, and here every place that was looked at is told.
  const resolution = resolutionAt(setup, slot);
  const page = setup.pages.find(({ id }) => id === slot.layer);
  // No binding here is what "Inherit" means; it is nothing that could be stored.
  const kind = binding?.behaviour.kind ?? 'inherit';
  const choice = (name: string, own: 'inherit' | 'native' | 'off', choose: () => void) => (
    <Button variant={kind === own ? 'contained' : 'outlined'} aria-pressed={kind === own} onClick={choose}>
      {name}
    </Button>
  );
  return (
    <Box aria-label={`${row.name} in ${column.name}`}>
      <header>
        <h2>{row.name}</h2>
        <IconButton aria-label={WORDS.closeDock} title={`${WORDS.closeDock} (Esc)`} onClick={onClose}>
          <X size={15} aria-hidden />
        </IconButton>
      </header>
      <p>
        {row.device.name}
        {page && (
          <>
            , {page.kind} <b>{page.name}</b>
          </>
        )}
        , in <b>{column.name}</b>
      </p>
      <p className="why">
        <b>{WORDS.why}</b> {whyThisOne(setup, resolution, slot.profile)}
      </p>
      <div className="choices">
        {choice(WORDS.inherit, 'inherit', () => setBehaviour(null))}
        {choice(WORDS.native, 'native', () => setBehaviour({ kind: 'native' }))}
        {choice(WORDS.off, 'off', () => setBehaviour(OFF))}
      </div>
    </Box>
  );
}
