import { styled } from '@mui/material/styles';

/** Things one under the other, each with what can be done with it. */
export const List = styled('ul')(({ theme: { vars } }) => ({
  margin: 0,
  padding: 0,
  listStyle: 'none',
  '& li': {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) auto',
    gap: '2px 12px',
    alignItems: 'center',
    padding: '8px 0',
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
  '& b': { fontWeight: 650, overflowWrap: 'anywhere' },
  '& small': { gridColumn: 1, fontSize: 12, color: vars?.palette.text.secondary, overflowWrap: 'anywhere' },
  '& .acts': { gridRow: '1 / span 2', gridColumn: 2, display: 'flex', gap: 6 },
}));
