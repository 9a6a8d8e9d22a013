import type { Theme } from '@mui/material/styles';

/** Heights of lines and of the head: pixels. */
export const ROW = 32;
export const HEAD = 32;

/** How wide the columns are, in the order of `COLUMNS`; where a command is reached needs the most words. */
const WIDTHS =
  'minmax(150px, 1.5fr) minmax(146px, 0.9fr) 70px minmax(84px, 1fr) 56px minmax(52px, 0.6fr) minmax(190px, 2fr)';

/** How the sheet looks: lines rather than boxes; the head stays in sight. */
export function sheetStyles({ theme: { vars, typography } }: { readonly theme: Theme }) {
  const line = `1px solid ${vars?.palette.divider}`;
  // The family's word stands in a column of its own (WCAG 2.2, 1.4.1).
  const bars = Object.entries(vars?.palette.tokens.family ?? {}).map(([family, colour]) => [
    `& .bar[data-family=${family}]`,
    { backgroundColor: colour },
  ]);
  return {
    minWidth: 748,
    fontSize: 13,
    '& .head, & .line': { display: 'grid', gridTemplateColumns: WIDTHS },
    '& .heads': { position: 'sticky', top: 0, zIndex: 2 },
    '& .head': {
      height: HEAD,
      borderBottom: line,
      backgroundColor: vars?.palette.tokens.sheet,
    },
    '& .head button': {
      width: '100%',
      height: '100%',
      display: 'flex',
      alignItems: 'center',
      gap: 4,
      padding: '0 10px',
      border: 0,
      font: 'inherit',
      fontSize: 12,
      fontWeight: 650,
      color: vars?.palette.text.secondary,
      background: 'none',
      cursor: 'pointer',
    },
    '& .head button:hover': { color: vars?.palette.text.primary },
    '& .line': { position: 'absolute', top: 0, left: 0, width: '100%', height: ROW, borderBottom: line },
    '& .line:hover': { backgroundColor: vars?.palette.tokens.background },
    '& .line.active': { backgroundColor: vars?.palette.tokens.accentTint },
    '& .cell': {
      position: 'relative',
      minWidth: 0,
      display: 'flex',
      alignItems: 'center',
      gap: 6,
      padding: '0 10px',
      cursor: 'default',
      whiteSpace: 'nowrap',
      overflow: 'hidden',
      userSelect: 'none',
    },
    '& .cell > .words': { overflow: 'hidden', textOverflow: 'ellipsis' },
    '& .cell.soft, & .cell .soft': { color: vars?.palette.text.secondary },
    '& .cell.inside': { backgroundColor: vars?.palette.tokens.accentTint },
    '& .cell:focus, & .cell.current': {
      outline: `2px solid ${vars?.palette.text.primary}`,
      outlineOffset: -2,
    },
    '& .cell.editing': { padding: 0, overflow: 'visible', outline: 'none', zIndex: 1 },
    '& .cell input.text': {
      width: '100%',
      height: '100%',
      padding: '0 8px',
      font: 'inherit',
      border: `2px solid ${vars?.palette.tokens.accent}`,
      borderRadius: 0,
      outline: 'none',
      color: vars?.palette.text.primary,
      backgroundColor: vars?.palette.tokens.sheet,
    },
    '& .cell input.keys': { fontFamily: typography.mono, fontSize: 12 },
    '& .cell input[aria-invalid=true]': { borderColor: vars?.palette.tokens.brick },
    '& .bar': { flex: 'none', width: 4, height: 18, borderRadius: 2 },
    ...Object.fromEntries(bars),
    '& .tag': {
      flex: 'none',
      padding: '0 6px',
      borderRadius: 4,
      fontSize: 11,
      color: vars?.palette.tokens.brick,
      backgroundColor: vars?.palette.tokens.brickTint,
    },
    '& .flag': { flex: 'none', display: 'inline-flex', color: vars?.palette.tokens.brick },
    '& .place': {
      flex: 'none',
      height: 24,
      padding: '0 8px',
      border: line,
      borderRadius: 6,
      font: 'inherit',
      fontSize: 12,
      color: vars?.palette.text.primary,
      backgroundColor: vars?.palette.tokens.sheet,
      cursor: 'pointer',
    },
    '& .tick': { width: 16, height: 16, margin: 0, accentColor: vars?.palette.tokens.accent },
    // Fifty empty boxes would be seen before the one that is ticked.
    '& .line:not(:hover):not(.active) .tick:not(:checked):not(:focus-visible)': { opacity: 0 },
  };
}
