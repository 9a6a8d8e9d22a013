import { styled } from '@mui/material/styles';
import { Card as PlainCard } from '../../../pieces/Card.tsx';

/** One thing that can be done with files. */
export const Card = styled(PlainCard)(({ theme: { vars } }) => ({
  maxWidth: 860,
  gap: 12,
  '& + section': { marginTop: 0 },
  '& ul': {
    margin: 0,
    paddingLeft: 18,
    maxHeight: 240,
    overflow: 'auto',
    color: vars?.palette.text.secondary,
  },
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
