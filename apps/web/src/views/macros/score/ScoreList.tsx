import { styled } from '@mui/material/styles';

/** Of a step with the gap below it, and how far the steps of a block are indented: pixels. */
export const ROW = 40;
export const INDENT = 26;
/** The score: a line downwards, with times at its left and steps at its right. */
export const ScoreList = styled('div')(({ theme: { vars, typography } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  padding: '10px 0 24px',
  '&:focus-visible': { outlineOffset: -3 },
  '& .all': { position: 'relative' },
  '& .row': {
    position: 'absolute',
    left: 0,
    right: 16,
    height: ROW,
    display: 'flex',
    alignItems: 'center',
    cursor: 'default',
    userSelect: 'none',
  },
  '& time': {
    flex: 'none',
    width: 82,
    paddingRight: 10,
    textAlign: 'right',
    fontFamily: typography.mono,
    fontSize: 12,
    whiteSpace: 'nowrap',
    color: vars?.palette.text.secondary,
  },
  '& .line': {
    flex: 'none',
    width: 28,
    alignSelf: 'stretch',
    position: 'relative',
    '&::before': {
      content: '""',
      position: 'absolute',
      left: 8,
      top: 0,
      bottom: 0,
      borderLeft: `2px solid ${vars?.palette.divider}`,
    },
  },
  '& .row[data-gap=true] .line::before': { borderLeft: `2px dashed ${vars?.palette.text.secondary}` },
  '& .dot': {
    position: 'absolute',
    left: 4,
    top: ROW / 2 - 5,
    width: 10,
    height: 10,
    borderRadius: 5,
    border: `2px solid ${vars?.palette.text.secondary}`,
    backgroundColor: vars?.palette.tokens.background,
  },
  '& .row[data-done=true] .dot, & .row[data-now=true] .dot': {
    borderColor: vars?.palette.tokens.accent,
    backgroundColor: vars?.palette.tokens.accent,
  },
  '& .row[data-over=below]::after, & .row[data-over=inside]::after': {
    content: '""',
    position: 'absolute',
    left: 110,
    right: 0,
    bottom: -1,
    borderTop: `2px solid ${vars?.palette.tokens.accent}`,
  },
  '& .row[data-over=inside]::after': { left: 110 + INDENT },
  '&[data-focused=true] .row[data-at=true] > div:last-of-type': {
    outline: `2px solid ${vars?.palette.tokens.accent}`,
    outlineOffset: 1,
  },
  '& .empty': { margin: 0, padding: '18px 24px', color: vars?.palette.text.secondary },
}));
