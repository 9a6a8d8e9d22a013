import { type Edit, type LogEntry, partsOf, type Setup } from '@nimble-lever/core/setup';
import { aboutOf, sittingsOf } from '@nimble-lever/core/vault';
import { editWords, stepName } from '@nimble-lever/core/words';
import { dayWords, timeWords } from '../../app/moment.ts';
import { WORDS } from './words.ts';

/** A line of the history: the head of a sitting, or an edit. */
export type HistoryRow =
  | {
      readonly kind: 'sitting';
      readonly key: string;
      readonly day: string;
      readonly time: string;
      readonly count: number;
    }
  | { readonly kind: 'edit'; readonly key: string; readonly entry: LogEntry };

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
/** The days of edits, which do not change. */
const days = new WeakMap<LogEntry, string>();

/** An edit in words; one that takes back or brings back another says so. */
export function entryWords(setup: Setup, entry: LogEntry): string {
  const known = found.get(entry);
  if (known?.setup === setup) return known.words;
  const words = wordsOf(setup, entry);
  found.set(entry, { setup, words });
  return words;
}

function wordsOf(setup: Setup, { edit, inverse, role }: LogEntry): string {
  if (!edit) return WORDS.unreadable;
  const names = { step: stepName, gone: goneIn(inverse ?? edit) };
  switch (role) {
    case 'do':
      return editWords(setup, edit, names);
    case 'undo':
      // What was taken back is called as it was done.
      return WORDS.undid(editWords(setup, inverse ?? edit, names));
    case 'redo':
      return WORDS.again(editWords(setup, edit, names));
  }
}

/** What an edit took away stands by its name in what brings it back. */
function goneIn(inverse: Edit): (at: string) => string | null {
  return (at) => {
    const back = partsOf(inverse).find((part) => part.kind === 'add' && part.at === at);
    const { name } = (back?.kind === 'add' ? back.item : {}) as { readonly name?: unknown };
    return typeof name === 'string' ? name : null;
  };
}

function dayOf(entry: LogEntry): string {
  const day = days.get(entry) ?? dayWords(entry.at);
  days.set(entry, day);
  return day;
}

/** The lines of a history, newest first, that a filter leaves. */
export function rowsOf(setup: Setup, entries: readonly LogEntry[], filter: Filter): readonly HistoryRow[] {
  const wanted = filter.search.trim().toLowerCase();
  const left = entries.filter(
    (entry) =>
      (filter.by === null || entry.author.id === filter.by) &&
      (filter.about === null || isAbout(setup, entry, filter.about)) &&
      (wanted === '' || `${entryWords(setup, entry)} ${entry.author.name}`.toLowerCase().includes(wanted)),
  );
  return sittingsOf(left, dayOf).flatMap(({ day, entries: own }): HistoryRow[] => {
    const [newest] = own;
    const oldest = own.at(-1);
    if (!newest || !oldest) return [];
    const [from, to] = [timeWords(oldest.at), timeWords(newest.at)];
    const head = {
      kind: 'sitting',
      key: `sitting ${newest.id}`,
      day,
      time: from === to ? from : `${from} – ${to}`,
      count: own.length,
    } as const;
    return [head, ...own.map((entry): HistoryRow => ({ kind: 'edit', key: entry.id, entry }))];
  });
}

function isAbout(setup: Setup, { edit }: LogEntry, what: string): boolean {
  if (!edit) return false;
  const [kind = '', id = ''] = what.split('/');
  const about = aboutOf(setup, edit);
  return kind === 'devices' || kind === 'programs' || kind === 'macros' ? about[kind].has(id) : false;
}
