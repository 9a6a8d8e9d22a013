import { styled } from '@mui/material/styles';

/** One thing among others on a page: a heading, what it is, what can be done. */
export const Card = styled('section')(({ theme: { vars } }) => ({
  maxWidth: 760,
  display: 'flex',
  flexDirection: 'column',
  gap: 16,
  padding: 20,
  borderRadius: 12,
  border: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& + section': { marginTop: 16 },
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& h3': { margin: 0, fontSize: 12, fontWeight: 650, color: vars?.palette.text.secondary },
  '& p': { margin: 0, maxWidth: 620, color: vars?.palette.text.secondary },
  '& h3 + p': { margin: '2px 0 8px', fontSize: 12 },
}));
