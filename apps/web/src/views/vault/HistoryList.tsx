import { styled } from '@mui/material/styles';
import type { LogEntry, Setup } from '@nimble-lever/core/setup';
import { capital } from '@nimble-lever/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, memo, type ReactNode, useEffect, useId, useMemo, useRef } from 'react';
import { dayWords, timeWords } from '../../app/moment.ts';
import { type HistoryRow, spanWords, wordsOf } from './rows.ts';
import { WORDS } from './words.ts';

/** Heights: pixels. */
const ROW = 32;
const HEAD = 46;

const Box = styled('div')(({ theme: { vars, typography } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  '&:focus-visible': { outlineOffset: -3 },
  '& .all': { position: 'relative' },
  '& .row': { position: 'absolute', left: 0, right: 0, display: 'flex', alignItems: 'center', gap: 10 },
  '& .sitting': {
    alignItems: 'flex-end',
    padding: '0 20px 6px',
    fontSize: 12,
    color: vars?.palette.text.secondary,
    '& b': { fontSize: 13, fontWeight: 650, color: vars?.palette.text.primary },
  },
  '& .edit': { margin: '0 12px', padding: '0 8px', borderRadius: 7, cursor: 'default', fontSize: 13 },
  '& .edit[aria-selected=true]': { backgroundColor: vars?.palette.tokens.accentTint },
  '& time': {
    flex: 'none',
    width: 66,
    fontFamily: typography.mono,
    fontSize: 12,
    color: vars?.palette.text.secondary,
  },
  '& .what': { flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& .who': { flex: 'none', fontSize: 12, color: vars?.palette.text.secondary },
  '& .end': { padding: '12px 20px 24px', fontSize: 12, color: vars?.palette.text.secondary },
}));

const Row = styled('div')({});

interface Props {
  readonly setup: Setup;
  readonly rows: readonly HistoryRow[];
  /** Those that were read. */
  readonly entries: ReadonlyMap<number, LogEntry>;
  /** The edit that is chosen, by its number. */
  readonly chosen: number | null;
  readonly onChoose: (revision: number) => void;
  /** Edits of these numbers are seen. */
  readonly onSeen: (from: number, to: number) => void;
  /** Under the last line. */
  readonly children: ReactNode;
}

/** Edits by day and sitting, newest first. One list has the keys for all of them. */
export const HistoryList = memo(function HistoryList({
  setup,
  rows,
  entries,
  chosen,
  onChoose,
  onSeen,
  children,
}: Props) {
  const list = useRef<HTMLDivElement>(null);
  const base = useId();
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: (i) => (rows[i]?.kind === 'sitting' ? HEAD : ROW),
    getItemKey: (i) => rows[i]?.key ?? i,
    overscan: 10,
  });
  const place = rows.findIndex(({ key }) => key === chosen);
  useEffect(() => {
    if (place >= 0) virtual.scrollToIndex(place, { align: 'auto' });
  }, [place, virtual]);
  const items = virtual.getVirtualItems();
  const seen = items.flatMap(({ index }) => {
    const row = rows[index];
    return row?.kind === 'edit' ? [row.moment.revision] : [];
  });
  const [newest, oldest] = [seen[0], seen.at(-1)];
  useEffect(() => {
    if (newest !== undefined && oldest !== undefined) onSeen(oldest, newest);
  }, [newest, oldest, onSeen]);
  const edits = useMemo(() => rows.flatMap((row) => (row.kind === 'edit' ? [row.key] : [])), [rows]);
  const onKeyDown = (event: KeyboardEvent) => {
    const at = chosen === null ? -1 : edits.indexOf(chosen);
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: edits.length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    const next = edits[Math.max(0, Math.min(edits.length - 1, to))];
    if (next !== undefined) onChoose(next);
  };
  return (
    <Box
      ref={list}
      role={rows.length === 0 ? 'group' : 'listbox'}
      aria-label={WORDS.history}
      aria-description={WORDS.keys}
      aria-activedescendant={chosen !== null && place >= 0 ? `${base}${chosen}` : undefined}
      tabIndex={0}
      onKeyDown={onKeyDown}
    >
      <div className="all" role="presentation" style={{ height: virtual.getTotalSize() }}>
        {items.map(({ index, start, key }) => {
          const row = rows[index];
          if (!row) return null;
          const style = { transform: `translateY(${start}px)` };
          if (row.kind === 'sitting') {
            return (
              <div key={key} className="row sitting" role="presentation" style={{ ...style, height: HEAD }}>
                <b>{dayWords(new Date(row.newest.at).toISOString())}</b> {spanWords(row.oldest, row.newest)} ·{' '}
                {WORDS.count(row.count)}
              </div>
            );
          }
          const { revision, at, author } = row.moment;
          const entry = entries.get(revision);
          const words = entry ? capital(wordsOf(setup, entry)) : WORDS.reading;
          const iso = new Date(at).toISOString();
          return (
            <Row
              key={key}
              id={`${base}${row.key}`}
              className="row edit"
              role="option"
              aria-selected={row.key === chosen}
              style={{ ...style, height: ROW }}
              onPointerDown={() => onChoose(row.key)}
            >
              <time dateTime={iso}>{timeWords(iso)}</time>
              <span className="what" title={words}>
                {words}
              </span>
              <span className="who">{author.name}</span>
            </Row>
          );
        })}
      </div>
      <div className="end">{children}</div>
    </Box>
  );
});
