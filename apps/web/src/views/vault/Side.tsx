import { styled } from '@mui/material/styles';

/** Beside a list: what is known of the chosen one, and what can be done. */
export const Side = styled('aside')(({ theme: { vars } }) => ({
  width: 336,
  flex: 'none',
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  padding: 20,
  overflow: 'auto',
  borderLeft: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2, & h3': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, lineHeight: 1.5, color: vars?.palette.text.secondary },
  '& .what': { fontSize: 15, lineHeight: 1.4, fontWeight: 650, color: vars?.palette.text.primary },
  '& ul': { margin: '4px 0 0', padding: '0 0 0 18px', fontSize: 12, lineHeight: 1.6 },
  '& .acts': { display: 'flex', flexDirection: 'column', gap: 8, alignItems: 'flex-start' },
}));
