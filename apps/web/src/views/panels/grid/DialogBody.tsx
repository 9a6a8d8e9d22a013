import { styled } from '@mui/material/styles';

/** What a dialog of a panel holds: fields in lines, what they mean under them. */
export const DialogBody = styled('div')(({ theme: { vars } }) => ({
  width: 400,
  maxWidth: '100%',
  padding: '18px 20px',
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  fontSize: 13,
  '& h2, & h3, & p': { margin: 0 },
  '& h2': { fontSize: 15, fontWeight: 650 },
  '& h3': { fontSize: 12, fontWeight: 650, marginTop: 4 },
  '& p': { color: vars?.palette.text.secondary, fontSize: 12, lineHeight: 1.5, overflowWrap: 'anywhere' },
  '& p.wrong': { color: vars?.palette.tokens.brick },
  '& .line': { display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 10 },
  '& a': { color: vars?.palette.text.primary },
  '& label': { display: 'inline-flex', alignItems: 'center', gap: 6 },
  '& code': {
    padding: '8px 10px',
    borderRadius: 8,
    fontSize: 12,
    overflowWrap: 'anywhere',
    backgroundColor: vars?.palette.tokens.sunk,
  },
  '& .end': { display: 'flex', justifyContent: 'flex-end', gap: 8, marginTop: 4 },
}));
