import type { LogEntry } from '@nimble-lever/core/setup';
import { useCallback, useEffect, useRef, useState } from 'react';
import { readBefore } from '../../app/setup/api.ts';
import { useAppSelector } from '../../app/store.ts';

/** Everyone's edits as far as they were read. */
export interface ReadHistory {
  /** Newest first, without gaps. */
  readonly entries: readonly LogEntry[];
  /** Whether there are older ones. */
  readonly more: boolean;
  /** The newest revision up to which it was read; -1 before. */
  readonly upTo: number;
  readonly reading: boolean;
  /** Why it could not be read, in words; null where it could. */
  readonly failed: string | null;
}

const BEGUN: ReadHistory = { entries: [], more: true, upTo: -1, reading: false, failed: null };

/** Reads the log of the set-up from its end, further back when asked; edits that are saved meanwhile come in front. */
export function useHistory(): ReadHistory & { readonly readOlder: () => void } {
  const id = useAppSelector((state) => state.setup.id);
  const revision = useAppSelector((state) => state.setup.revision);
  const [history, setHistory] = useState(BEGUN);
  const current = useRef(history);
  const change = useCallback((next: Partial<ReadHistory>) => {
    current.current = { ...current.current, ...next };
    setHistory(current.current);
  }, []);

  /** Reads what is before a revision; null: from the newest on, until it meets what is known. */
  const read = useCallback(
    async (newest: number | null) => {
      if (id === null || current.current.reading) return;
      change({ reading: true, failed: null });
      try {
        const known = current.current.entries;
        if (newest === null) {
          const oldest = known.at(-1)?.revision ?? 0;
          const page = await readBefore(id, oldest);
          change({ entries: [...known, ...page.entries.toReversed()], more: page.more });
        } else {
          let fresh: LogEntry[] = [];
          const last = known[0]?.revision ?? 0;
          for (let before = newest + 1, more = true; more; ) {
            const page = await readBefore(id, before);
            fresh = [...fresh, ...page.entries.toReversed()];
            before = fresh.at(-1)?.revision ?? 0;
            more = page.more && known.length > 0 && before > last + 1;
            if (known.length === 0) change({ more: page.more });
          }
          change({ entries: [...fresh.filter((entry) => entry.revision > last), ...known], upTo: newest });
        }
      } catch (error) {
        change({ failed: error instanceof Error ? error.message : '' });
      } finally {
        change({ reading: false });
      }
    },
    [id, change],
  );
  const { reading, failed, upTo } = history;
  useEffect(() => {
    if (!reading && failed === null && upTo < revision) void read(revision);
  }, [reading, failed, upTo, revision, read]);
  const readOlder = useCallback(() => {
    const { upTo: known, more } = current.current;
    if (known < 0) void read(revision);
    else if (more) void read(null);
  }, [read, revision]);
  return { ...history, readOlder };
}
