import { styled } from '@mui/material/styles';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useRef } from 'react';
import { GridPart } from '../../../pieces/GridPart.tsx';

const LINE = 34;

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  fontSize: 13,
  '& .line': { display: 'grid', borderBottom: `1px solid ${vars?.palette.divider}` },
  '& .head': {
    position: 'sticky',
    top: 0,
    zIndex: 1,
    height: 32,
    fontSize: 12,
    fontWeight: 650,
    color: vars?.palette.text.secondary,
    backgroundColor: vars?.palette.tokens.sheet,
  },
  '& .own': { position: 'absolute', top: 0, left: 0, width: '100%', height: LINE },
  '& .line > *': {
    minWidth: 0,
    display: 'flex',
    alignItems: 'center',
    gap: 6,
    padding: '0 12px',
    overflow: 'hidden',
    whiteSpace: 'nowrap',
  },
  '& .line > * + *': { borderLeft: `1px solid ${vars?.palette.divider}` },
  '& .what': {
    flex: 1,
    minWidth: 0,
    height: 26,
    display: 'flex',
    alignItems: 'center',
    gap: 6,
    padding: '0 6px',
    margin: '0 -6px',
    border: 0,
    borderRadius: 6,
    font: 'inherit',
    textAlign: 'left',
    color: vars?.palette.text.primary,
    background: 'none',
    cursor: 'pointer',
  },
  '& .what:hover': { backgroundColor: vars?.palette.tokens.sunk },
  '& .words': { minWidth: 36, overflow: 'hidden', textOverflow: 'ellipsis' },
  '& kbd': { flex: 'none' },
  // Where it comes from gives way first.
  '& small': {
    minWidth: 0,
    flexShrink: 9,
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    fontSize: 11,
    color: vars?.palette.text.secondary,
  },
  '& .soft': { color: vars?.palette.text.secondary },
}));

interface Props {
  readonly label: string;
  readonly heads: readonly string[];
  readonly count: number;
  readonly keyAt: (index: number) => string;
  /** The cells of a line, as many as there are heads. */
  readonly cellsAt: (index: number) => readonly ReactNode[];
}

/** Lines with a column for each profile; only those near the part that is seen are drawn. */
export function CompareGrid({ label, heads, count, keyAt, cellsAt }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const lines = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => LINE,
    overscan: 10,
    scrollMargin: 32,
  });
  const grid = {
    gridTemplateColumns: `minmax(200px, 1.2fr) repeat(${heads.length - 1}, minmax(150px, 1fr))`,
  };
  return (
    // Its lines' buttons can be reached; without any it scrolls by keys all the same.
    <Box ref={scroller} role="table" aria-label={label} aria-rowcount={count + 1} tabIndex={0}>
      <GridPart role="rowgroup" className="head">
        <GridPart role="row" className="line" style={{ ...grid, height: 32 }}>
          {heads.map((head, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a column is its place.
            <GridPart key={i} role="columnheader">
              <span className="words">{head}</span>
            </GridPart>
          ))}
        </GridPart>
      </GridPart>
      <GridPart role="rowgroup" style={{ position: 'relative', height: lines.getTotalSize() }}>
        {lines.getVirtualItems().map(({ index, start }) => (
          <GridPart
            key={keyAt(index)}
            role="row"
            aria-rowindex={index + 2}
            className="line own"
            style={{ ...grid, transform: `translateY(${start - 32}px)` }}
          >
            {cellsAt(index).map((cell, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a column is its place.
              <GridPart key={i} role="cell">
                {cell}
              </GridPart>
            ))}
          </GridPart>
        ))}
      </GridPart>
    </Box>
  );
}
