import type { Moment } from './moments.ts';

/** Work that stops for longer than this goes on in another sitting: milliseconds. */
export const SITTING_GAP_MS = 30 * 60_000;

/** Edits that were made in one go. */
export interface Sitting {
  /** As the caller numbers its day. */
  readonly day: number;
  /** Newest first, at least one. */
  readonly moments: readonly Moment[];
}

/**
 * Edits by sitting: those of one day without a long pause between them.
 *
 * @param moments newest first
 * @param dayOf the day of a moment where the person is, as a number
 */
export function sittingsOf(moments: readonly Moment[], dayOf: (at: number) => number): readonly Sitting[] {
  const sittings: { day: number; moments: Moment[] }[] = [];
  let before = Number.POSITIVE_INFINITY;
  for (const moment of moments) {
    const day = dayOf(moment.at);
    const last = sittings.at(-1);
    if (last && last.day === day && before - moment.at <= SITTING_GAP_MS) last.moments.push(moment);
    else sittings.push({ day, moments: [moment] });
    before = moment.at;
  }
  return sittings;
}
