import { isExact, type MacroEstimate, type Span } from '@nimble-lever/core/macros';
import { durationWords } from '@nimble-lever/core/words';
import { WORDS } from './words.ts';

/** A time as the score shows it: `20 ms`, `~ 410 ms` where it is not exact. */
export function timeShown(span: Span | undefined): string {
  if (!span) return '';
  return isExact(span) ? durationWords(span.least) : `~ ${durationWords(span.about)}`;
}

/** What it may be at least and at most, where it is not exact. */
export function timeBetween(span: Span | undefined): string | undefined {
  if (!span || isExact(span)) return undefined;
  return WORDS.between(durationWords(span.least), durationWords(span.most));
}

/** How long all of it takes. */
export function wholeTime({ total, round }: MacroEstimate): string {
  if (!total) return WORDS.endless(durationWords(round.about));
  return isExact(total) ? durationWords(total.least) : WORDS.about(durationWords(total.about));
}
