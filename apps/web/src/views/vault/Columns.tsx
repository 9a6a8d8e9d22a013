import { styled } from '@mui/material/styles';

/** A bar and what is under it on the left, the chosen one on the right. */
export const Columns = styled('div')(({ theme: { vars } }) => ({
  height: '100%',
  display: 'flex',
  minHeight: 0,
  '& > .left': { flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' },
  '& .bar': {
    flex: 'none',
    display: 'flex',
    alignItems: 'center',
    gap: 10,
    padding: '10px 20px',
    fontSize: 12,
    color: vars?.palette.text.secondary,
    borderBottom: `1px solid ${vars?.palette.divider}`,
    backgroundColor: vars?.palette.tokens.sheet,
  },
  '& .bar .count': { whiteSpace: 'nowrap' },
  '& .bar .search': { flex: '0 1 280px' },
  '& .said': { margin: 0, padding: '8px 20px', fontSize: 12 },
  '& .failed': { display: 'flex', alignItems: 'center', gap: 10 },
}));
