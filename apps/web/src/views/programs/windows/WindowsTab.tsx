import { styled } from '@mui/material/styles';
import type { FrontWindow } from '@nimble-lever/core/resolve';
import { useState } from 'react';
import { OpenWindows } from './OpenWindows.tsx';
import { RuleLists } from './RuleLists.tsx';

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 1fr) 340px',
  '@media (max-width: 1180px)': { gridTemplateColumns: 'minmax(0, 1fr) 280px' },
  '& > *': { minHeight: 0, overflow: 'auto', padding: '14px 16px' },
  '& > * + *': { borderLeft: `1px solid ${vars?.palette.divider}` },
}));

/** By which windows a program is known, and beside that the windows there are, with what each gets and why. */
export function WindowsTab({ program }: { readonly program: string }) {
  // The window that is looked at: each rule tells whether it fits it.
  const [looked, setLooked] = useState<FrontWindow | null>(null);
  return (
    <Box>
      <RuleLists program={program} looked={looked} />
      <OpenWindows program={program} looked={looked} onLook={setLooked} />
    </Box>
  );
}
