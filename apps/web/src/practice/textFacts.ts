import type { TextFacts } from '@nimble-lever/core/macros';
import type { RootState } from '../app/store.ts';
import { selectPrograms } from './programsSlice.ts';

/** Under which the desk keeps its counters, by their names. */
const KEPT = 'nimble-lever.counters';

/** What the practice desk knows when text is typed there: its clipboard is what was copied last in Quillboard. */
export function textFacts(state: RootState): TextFacts {
  return {
    now: new Date(),
    clipboard: selectPrograms(state).quillboard.copied,
    count: (name, from) => {
      const counters = readCounters();
      const next = (counters[name] ?? from - 1) + 1;
      localStorage.setItem(KEPT, JSON.stringify({ ...counters, [name]: next }));
      return next;
    },
  };
}

/** Counters that were kept; none where what is kept is no such thing. */
function readCounters(): Readonly<Record<string, number>> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEPT) ?? '{}');
    if (typeof kept !== 'object' || kept === null) return {};
    return Object.fromEntries(Object.entries(kept).filter(([, value]) => Number.isSafeInteger(value)));
  } catch {
    return {};
  }
}
