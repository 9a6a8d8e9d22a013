import type { LogEntry, Setup } from '@nimble-lever/core/setup';
import { aboutOf, entryWords, type Moment, sittingsOf } from '@nimble-lever/core/vault';
import { timeWords } from '../../app/moment.ts';

/** A line of the history: the head of a sitting, or an edit. */
export type HistoryRow =
  | {
      readonly kind: 'sitting';
      readonly key: string;
      readonly newest: Moment;
      readonly oldest: Moment;
      readonly count: number;
    }
  | { readonly kind: 'edit'; readonly key: number; readonly moment: Moment };

/** What is kept of an edit to look for it by. */
export interface Digest {
  /** In small letters. */
  readonly words: string;
  /** `devices/…`, `programs/…` and `macros/…`. */
  readonly about: readonly string[];
}

/** What of the history is shown. */
export interface Filter {
  readonly search: string;
  /** `devices/…`, `programs/…` or `macros/…`; null for anything. */
  readonly about: string | null;
  /** The id of who made it; null for anyone. */
  readonly by: string | null;
}

/** Words that were found already, for the set-up as it is: a long history is put into words as it is looked at. */
const found = new WeakMap<LogEntry, { readonly setup: Setup; readonly words: string }>();

/** An edit in words; one that takes back or brings back another says so. */
export function wordsOf(setup: Setup, entry: LogEntry): string {
  const known = found.get(entry);
  if (known?.setup === setup) return known.words;
  const words = entryWords(setup, entry);
  found.set(entry, { setup, words });
  return words;
}

/** What is kept of an edit to look for it by. */
export function digestOf(setup: Setup, entry: LogEntry): Digest {
  const about = entry.edit ? aboutOf(setup, entry.edit) : null;
  return {
    words: `${wordsOf(setup, entry)} ${entry.author.name}`.toLowerCase(),
    about: about ? KINDS.flatMap((kind) => [...about[kind]].map((id) => `${kind}/${id}`)) : [],
  };
}

const KINDS = ['devices', 'programs', 'macros'] as const;

/** Whether a filter needs to know edits themselves; without that, who made them and when does. */
export function needsEdits({ search, about }: Filter): boolean {
  return search.trim() !== '' || about !== null;
}

/** The lines of a history, newest first, that a filter leaves; of edits that were not read yet it knows nothing. */
export function rowsOf(
  moments: readonly Moment[],
  digests: ReadonlyMap<number, Digest>,
  filter: Filter,
): readonly HistoryRow[] {
  const wanted = filter.search.trim().toLowerCase();
  const asks = needsEdits(filter);
  const left: Moment[] = [];
  for (let i = moments.length - 1; i >= 0; i--) {
    const moment = moments[i];
    if (!moment || (filter.by !== null && moment.author.id !== filter.by)) continue;
    if (asks) {
      const digest = digests.get(moment.revision);
      if (!digest?.words.includes(wanted)) continue;
      if (filter.about !== null && !digest.about.includes(filter.about)) continue;
    }
    left.push(moment);
  }
  return sittingsOf(left, localDay).flatMap(({ moments: own }): HistoryRow[] => {
    const [newest] = own;
    const oldest = own.at(-1);
    if (!newest || !oldest) return [];
    const head = {
      kind: 'sitting',
      key: `sitting ${newest.revision}`,
      newest,
      oldest,
      count: own.length,
    } as const;
    return [head, ...own.map((moment): HistoryRow => ({ kind: 'edit', key: moment.revision, moment }))];
  });
}

/** The day of a moment where the person is, as a number. */
function localDay(at: number): number {
  const date = new Date(at);
  return date.getFullYear() * 400 + date.getMonth() * 31 + date.getDate();
}

/** When a sitting was: from the first edit to the last. */
export function spanWords(oldest: Moment, newest: Moment): string {
  const [from, to] = [oldest, newest].map(({ at }) => timeWords(new Date(at).toISOString()));
  return from === to ? String(from) : `${from} – ${to}`;
}
