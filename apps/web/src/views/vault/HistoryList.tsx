import { styled } from '@mui/material/styles';
import type { Setup } from '@nimble-lever/core/setup';
import { capital } from '@nimble-lever/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, memo, type ReactNode, useEffect, useId, useRef } from 'react';
import { timeWords } from '../../app/moment.ts';
import { entryWords, type HistoryRow } from './rows.ts';
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
  /** The edit that is chosen, by its id. */
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
  /** The end of what was read is seen. */
  readonly onEnd: () => void;
  /** Under the last line. */
  readonly children: ReactNode;
}

/** Edits by day and sitting, newest first. One list has the keys for all of them. */
export const HistoryList = memo(function HistoryList({
  setup,
  rows,
  chosen,
  onChoose,
  onEnd,
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
  const isEnd = (items.at(-1)?.index ?? -1) >= rows.length - 1;
  useEffect(() => {
    if (isEnd) onEnd();
  }, [isEnd, onEnd]);
  const onKeyDown = (event: KeyboardEvent) => {
    const edits = rows.flatMap((row) => (row.kind === 'edit' ? [row.key] : []));
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
                <b>{row.day}</b> {row.time} · {WORDS.count(row.count)}
              </div>
            );
          }
          const { entry } = row;
          const words = capital(entryWords(setup, entry));
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
              <time dateTime={entry.at}>{timeWords(entry.at)}</time>
              <span className="what" title={words}>
                {words}
              </span>
              <span className="who">{entry.author.name}</span>
            </Row>
          );
        })}
      </div>
      <div className="end">{children}</div>
    </Box>
  );
});
