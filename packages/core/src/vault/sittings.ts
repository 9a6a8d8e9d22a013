import type { LogEntry } from '../setup/index.ts';

/** Work that stops for longer than this goes on in another sitting: milliseconds. */
export const SITTING_GAP_MS = 30 * 60_000;

/** Edits that were made in one go. */
export interface Sitting {
  /** As the caller calls its day. */
  readonly day: string;
  /** Newest first, at least one. */
  readonly entries: readonly LogEntry[];
}

/**
 * Edits by sitting: those of one day without a long pause between them.
 *
 * @param entries newest first
 * @param dayOf the day of an edit where the person is, as text
 */
export function sittingsOf(
  entries: readonly LogEntry[],
  dayOf: (entry: LogEntry) => string,
): readonly Sitting[] {
  const sittings: { day: string; entries: LogEntry[] }[] = [];
  let before = Number.POSITIVE_INFINITY;
  for (const entry of entries) {
    const at = Date.parse(entry.at);
    const day = dayOf(entry);
    const last = sittings.at(-1);
    if (last && last.day === day && before - at <= SITTING_GAP_MS) last.entries.push(entry);
    else sittings.push({ day, entries: [entry] });
    before = at;
  }
  return sittings;
}
