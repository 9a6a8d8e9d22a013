import type { Theme } from '@mui/material/styles';

/** Heights of rows and headings, widths of the row heads and the least of a column: pixels. */
export const ROW = 31;
/** Of the head, with the line that marks the program in front. */
export const HEAD_HEIGHT = ROW + 3;
export const GROUP = 30;
/** From the left and right edge to what stands in a heading. */
export const GROUP_INSET = 10;
export const HEAD = 228;
export const COLUMN = 196;

/** Where a column is drawn. */
export interface ColumnPlace {
  /** Its place among all columns. */
  readonly index: number;
  /** Pixels from the left edge of the grid. */
  readonly left: number;
  /** Pinned: it stays there while the others scroll. */
  readonly sticky: boolean;
}

/** How the matrix looks: lines rather than boxes; heads and pinned columns stay in sight. */
export function matrixStyles({ theme: { vars } }: { readonly theme: Theme }) {
  const line = `1px solid ${vars?.palette.divider}`;
  const head = { backgroundColor: vars?.palette.tokens.background };
  return {
    fontSize: 13,
    minWidth: '100%',
    '& .head': {
      position: 'sticky',
      top: 0,
      zIndex: 3,
      height: HEAD_HEIGHT,
      display: 'flex',
      fontWeight: 650,
      ...head,
      borderBottom: line,
    },
    '& .corner, & .rowhead': { position: 'sticky', left: 0, zIndex: 2, flex: 'none', ...head },
    '& .corner': { display: 'flex', alignItems: 'center', padding: '0 10px' },
    '& .column': {
      top: 0,
      height: HEAD_HEIGHT,
      display: 'flex',
      alignItems: 'center',
      gap: 6,
      padding: '0 4px 0 10px',
      borderBottom: '3px solid transparent',
      whiteSpace: 'nowrap',
      overflow: 'hidden',
      ...head,
    },
    '& .column.front': { borderBottomColor: vars?.palette.tokens.accent },
    '& .column small': { fontSize: 11, fontWeight: 400, color: vars?.palette.text.secondary },
    '& .column .name': { overflow: 'hidden', textOverflow: 'ellipsis' },
    '& .row, & .group': { position: 'absolute', top: 0, left: 0, width: '100%', display: 'flex' },
    '& .row': { height: ROW },
    '& .group': {
      height: GROUP,
      alignItems: 'center',
      fontSize: 12,
      fontWeight: 650,
      color: vars?.palette.text.secondary,
      ...head,
      borderBottom: line,
      '& > span, & .device': { position: 'sticky', left: GROUP_INSET },
      '& .device': { display: 'flex', alignItems: 'center', gap: 9, '& > span': { flex: 'none' } },
    },
    '& .rowhead': {
      display: 'flex',
      alignItems: 'center',
      gap: 4,
      padding: '0 4px 0 10px',
      borderBottom: line,
      borderRight: line,
      '& .name': { flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
      '&.flash': { backgroundColor: vars?.palette.tokens.accentTint },
      '&.current': { fontWeight: 650 },
      '&.under .name': { paddingLeft: 14, color: vars?.palette.text.secondary },
    },
    '& .quiet': {
      flex: 'none',
      minWidth: 24,
      height: 24,
      display: 'inline-flex',
      alignItems: 'center',
      justifyContent: 'center',
      gap: 2,
      padding: '0 4px',
      border: 0,
      borderRadius: 6,
      font: 'inherit',
      fontSize: 11,
      fontWeight: 400,
      color: vars?.palette.text.secondary,
      background: 'none',
      cursor: 'pointer',
      '&:hover': { backgroundColor: vars?.palette.tokens.sunk, color: vars?.palette.text.primary },
    },
    // Menus of rows and columns show where the hand or the keys are.
    '& .menu': { opacity: 0 },
    '& .row:hover .menu, & .column:hover .menu, & .menu:focus-visible, & .menu[aria-expanded=true]': {
      opacity: 1,
    },
    '& .cell': {
      height: ROW,
      borderBottom: line,
      borderRight: line,
      cursor: 'default',
      userSelect: 'none',
      backgroundColor: vars?.palette.tokens.sheet,
      '&:focus-visible': { outlineOffset: -2 },
      '&[aria-selected=true]': { backgroundColor: vars?.palette.tokens.accentTint },
      '&[data-cut=true]': { outline: `1px dashed ${vars?.palette.text.secondary}`, outlineOffset: -3 },
      '&[data-over=true]': {
        outline: `2px solid ${vars?.palette.tokens.accent}`,
        outlineOffset: -2,
        backgroundColor: vars?.palette.tokens.accentTint,
      },
      '&[data-current=true]': {
        backgroundColor: vars?.palette.tokens.sheet,
        outline: `2px solid ${vars?.palette.text.primary}`,
        outlineOffset: -2,
        borderRadius: 2,
      },
      '&[data-recording=true]': { outlineColor: vars?.palette.tokens.accent },
    },
    '& .sticky': { zIndex: 1 },
  } as const;
}

/** The place of a column's head or cell as CSS. */
export function placeStyle({ left, sticky }: ColumnPlace, width: number) {
  return sticky
    ? ({ position: 'sticky', left, width, flex: 'none' } as const)
    : ({ position: 'absolute', left, width } as const);
}
