import Checkbox from '@mui/material/Checkbox';
import { styled } from '@mui/material/styles';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useId, useRef } from 'react';
import type { ListedPart, PartRow } from './partRows.ts';
import { WORDS } from './words.ts';

/** Heights: pixels. */
const HEAD = 44;
const ROW = 34;
const LINE = 18;
/** So many lines of what is otherwise are shown. */
const LINES = 5;

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  '& .all': { position: 'relative' },
  '& .row': { position: 'absolute', left: 0, right: 0, padding: '0 20px 0 14px' },
  '& .head': { display: 'flex', alignItems: 'flex-end', gap: 4, paddingBottom: 4 },
  '& .head b': { fontSize: 13, fontWeight: 650, lineHeight: '28px' },
  '& .part': { display: 'flex', alignItems: 'flex-start', gap: 8 },
  '& label': {
    flex: 1,
    minWidth: 0,
    display: 'flex',
    alignItems: 'flex-start',
    gap: 4,
    paddingLeft: 14,
    cursor: 'pointer',
  },
  '& .MuiCheckbox-root': { padding: 4 },
  '& .name': { minWidth: 0, fontSize: 13, lineHeight: '26px', overflowWrap: 'anywhere' },
  '& .what': { flex: 1, minWidth: 0 },
  '& .lines': { fontSize: 12, lineHeight: `${LINE}px`, color: vars?.palette.text.secondary },
  '& .lines div': { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& .chip': {
    flex: 'none',
    marginTop: 3,
    padding: '0 8px',
    borderRadius: 10,
    fontSize: 11,
    lineHeight: '20px',
    color: vars?.palette.text.secondary,
    border: `1px solid ${vars?.palette.divider}`,
  },
}));

interface Props {
  readonly label: string;
  readonly rows: readonly PartRow[];
  readonly chosen: ReadonlySet<string>;
  /** False: they can only be looked at. */
  readonly canChoose: boolean;
  readonly onChoose: (keys: readonly string[], on: boolean) => void;
  /** What else can be chosen of a part, before how it stands. */
  readonly more?: (part: ListedPart) => ReactNode;
}

/** Parts of a set-up under headings; each, and each heading's, can be chosen. */
export function PartList({ label, rows, chosen, canChoose, onChoose, more }: Props) {
  const list = useRef<HTMLDivElement>(null);
  const base = useId();
  const heightOf = (row: PartRow | undefined) => {
    if (row?.kind !== 'part') return HEAD;
    const { length } = row.lines;
    return ROW + (length > 0 ? LINE * Math.min(LINES + (length > LINES ? 1 : 0), length) + 4 : 0);
  };
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: (i) => heightOf(rows[i]),
    getItemKey: (i) => rows[i]?.key ?? i,
    overscan: 12,
  });
  return (
    // A field inside can have the focus; where there is none, the list itself is scrolled by keys.
    <Box ref={list} role="group" aria-label={label} tabIndex={0}>
      <div className="all" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start, key }) => {
          const row = rows[index];
          if (!row) return null;
          const style = { transform: `translateY(${start}px)`, height: heightOf(row) };
          if (row.kind === 'section') {
            const count = row.keys.filter((own) => chosen.has(own)).length;
            return (
              <div key={key} className="row head" style={style}>
                {canChoose && (
                  <Checkbox
                    size="small"
                    checked={count === row.keys.length}
                    indeterminate={count > 0 && count < row.keys.length}
                    onChange={({ target }) => onChoose(row.keys, target.checked)}
                    slotProps={{ input: { 'aria-label': WORDS.allOf(row.name) } }}
                  />
                )}
                <b>{row.name}</b>
              </div>
            );
          }
          const { name, lines, chip } = row;
          return (
            <div key={key} className="row part" style={style}>
              <label htmlFor={`${base}${row.key}`}>
                {canChoose && (
                  <Checkbox
                    size="small"
                    id={`${base}${row.key}`}
                    checked={chosen.has(row.key)}
                    onChange={({ target }) => onChoose([row.key], target.checked)}
                  />
                )}
                <span className="what">
                  <span className="name">{name}</span>
                  <span className="lines">
                    {lines.slice(0, LINES).map((line) => (
                      <div key={line} title={line}>
                        {line}
                      </div>
                    ))}
                    {lines.length > LINES && <div>{WORDS.moreParts(lines.length - LINES)}</div>}
                  </span>
                </span>
              </label>
              {more?.(row)}
              <span className="chip">{chip}</span>
            </div>
          );
        })}
      </div>
    </Box>
  );
}
