import { styled } from '@mui/material/styles';
import { keyOf } from '@nimble-lever/core/setup';
import { memo, type RefObject } from 'react';
import { WORDS } from '../words.ts';
import { DoesSection } from './DoesSection.tsx';
import { DOCK_HEIGHT } from './dockHeight.ts';
import { FaceSection } from './FaceSection.tsx';
import { NoteSection } from './NoteSection.tsx';
import { useCellEdits } from './useCellEdits.ts';
import { WhySection } from './WhySection.tsx';

const Box = styled('aside')(({ theme: { vars } }) => ({
  flex: 'none',
  height: DOCK_HEIGHT,
  display: 'grid',
  gridTemplateColumns: 'minmax(210px, 1fr) minmax(330px, 1.75fr) minmax(284px, 1.15fr) minmax(170px, 0.85fr)',
  gridTemplateRows: 'minmax(0, 1fr)',
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  overflow: 'auto hidden',
}));

const Empty = styled('aside')(({ theme: { vars } }) => ({
  flex: 'none',
  height: DOCK_HEIGHT,
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'center',
  gap: 6,
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& small': { fontSize: 12, color: vars?.palette.text.secondary },
}));

interface Props {
  readonly chooserRef: RefObject<HTMLInputElement | null>;
  readonly onDone: () => void;
}

/**
 * The editing dock: what the selected cell does, how it is sent, its face and note, and why. Drawn only when
 * that changes: drawn anew between typing and choosing, the list of commands forgets the place in it.
 */
export const Dock = memo(function Dock({ chooserRef, onDone }: Props) {
  const edits = useCellEdits();
  if (!edits) {
    return (
      <Empty>
        {WORDS.nothingSelected}
        <small>{WORDS.keys}</small>
      </Empty>
    );
  }
  const place = `${edits.cell.slot.profile} ${keyOf(edits.cell.slot)}`;
  return (
    <Box aria-label="Dock">
      <WhySection edits={edits} />
      <DoesSection edits={edits} chooserRef={chooserRef} onDone={onDone} />
      <FaceSection key={`face ${place}`} edits={edits} />
      <NoteSection key={`note ${place}`} edits={edits} />
    </Box>
  );
});
