import { styled } from '@mui/material/styles';
import { keyOf } from '@nimble-lever/core/setup';
import { type KeyboardEvent, memo, type RefObject } from 'react';
import { WORDS } from '../words.ts';
import { DockEdge } from './DockEdge.tsx';
import { DoesSection } from './DoesSection.tsx';
import { FaceSection } from './FaceSection.tsx';
import { NoteSection } from './NoteSection.tsx';
import { useCellEdits } from './useCellEdits.ts';
import { WhySection } from './WhySection.tsx';

const Box = styled('aside')(({ theme: { vars } }) => ({
  flex: 'none',
  position: 'relative',
  display: 'grid',
  gridTemplateColumns: 'minmax(210px, 1fr) minmax(330px, 1.75fr) minmax(284px, 1.15fr) minmax(170px, 0.85fr)',
  gridTemplateRows: 'minmax(0, 1fr)',
  '@media (max-width: 1120px)': {
    gridTemplateColumns: '214px minmax(270px, 1.6fr) minmax(216px, 1fr) 164px',
  },
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  overflow: 'auto hidden',
}));

interface Props {
  /** Pixels. */
  readonly height: number;
  readonly onHeight: (height: number) => void;
  /** The list's field, so that Enter on a cell can go there. */
  readonly chooserRef: RefObject<HTMLInputElement | null>;
  /** The keys go back to the cell. */
  readonly onDone: () => void;
  /** Puts the dock away. */
  readonly onClose: () => void;
}

/**
 * The editing dock: what the selected cell does, how it is sent, its face and note, and why. Drawn only when
 * that changes: drawn anew between typing and choosing, the list of commands forgets the place in it.
 */
export const Dock = memo(function Dock({ height, onHeight, chooserRef, onDone, onClose }: Props) {
  const edits = useCellEdits();
  if (!edits) return null;
  const place = `${edits.cell.slot.profile} ${keyOf(edits.cell.slot)}`;
  const onKeyDown = (event: KeyboardEvent) => {
    // Escape in a field leaves that field; only what is left unused puts the dock away.
    if (event.key !== 'Escape' || event.defaultPrevented) return;
    if (event.target instanceof HTMLElement && event.target.closest('input, textarea, [role=textbox]'))
      return;
    onClose();
  };
  return (
    <Box aria-label={WORDS.dock} style={{ height }} onKeyDown={onKeyDown}>
      <DockEdge height={height} onHeight={onHeight} />
      <WhySection edits={edits} onClose={onClose} />
      <DoesSection edits={edits} chooserRef={chooserRef} onDone={onDone} />
      <FaceSection key={`face ${place}`} edits={edits} />
      <NoteSection key={`note ${place}`} edits={edits} />
    </Box>
  );
});
