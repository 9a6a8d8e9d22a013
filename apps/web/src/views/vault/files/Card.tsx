import { styled } from '@mui/material/styles';

/** One thing that can be done with files. */
export const Card = styled('section')(({ theme: { vars } }) => ({
  maxWidth: 860,
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  padding: 20,
  borderRadius: 12,
  border: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2': { margin: 0, fontSize: 15, fontWeight: 650 },
  '& p, & ul': { margin: 0, color: vars?.palette.text.secondary },
  '& ul': { paddingLeft: 18, maxHeight: 240, overflow: 'auto' },
  '& .row': { display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  '& .drop': {
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    gap: 10,
    padding: '28px 20px',
    borderRadius: 10,
    border: `2px dashed ${vars?.palette.divider}`,
    textAlign: 'center',
  },
  '& .drop.over': {
    borderColor: vars?.palette.tokens.accent,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
  '& [role=alert]': { color: vars?.palette.tokens.brick },
}));
