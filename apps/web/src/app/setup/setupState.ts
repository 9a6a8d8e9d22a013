import {
  type Applied,
  type Author,
  applyEdit,
  type Edit,
  type Entry,
  historyOf,
  type LogEntry,
  type NewsEntry,
  overwrittenBy,
  putEntry,
  type Refusal,
  type Setup,
  sameJson,
  turnedIn,
} from '@nimble-lever/core/setup';
import { type AsideEntry, isPassing, type Notice, withNotice } from './notices.ts';

/** An entry made here and not yet known to be saved, with the edit it came to and what that gives. */
export type PendingEntry = Entry & {
  readonly of: string | null;
  readonly edit: Edit;
  readonly inverse: Edit;
  readonly after: Setup;
};

/** Whether everything is saved, under way, or waits for a server that is away. */
export type Saving = 'saved' | 'saving' | 'waiting';

/** The set-up as this page has it: what is saved, what waits to be saved, and both together. */
export interface SetupState extends AsItWas {
  readonly id: string | null;
  /** Who makes edits here. */
  readonly me: Author;
  /** The newest revision the server has told. */
  readonly revision: number;
  /** As the server has it, without what is still to be saved. */
  readonly savedSetup: Setup | null;
  /** As the person sees it: with their own edits on top. */
  readonly setup: Setup | null;
  /** This author's own saved entries, oldest first; older ones may be read when they are needed. */
  readonly log: readonly LogEntry[];
  /** Whether there are older edits than those at hand. */
  readonly hasOlder: boolean;
  /** Made here and not saved yet, oldest first. */
  readonly pending: readonly PendingEntry[];
  /** Entries that the server could not save, kept in the browser. */
  readonly aside: readonly AsideEntry[];
  /** What the person should know, newest last. */
  readonly notices: readonly Notice[];
  readonly saving: Saving;
  /** Why what waits is not saved yet, in words. */
  readonly waitingFor: string | null;
  /** When the newest edit was saved, ISO 8601. */
  readonly savedAt: string | null;
  /** The set-up could not be read; in words. */
  readonly failed: string | null;
  /** The saved set-up and what was heard of it do not fit together: it must be read anew. */
  readonly outOfStep: boolean;
  /** The server is of another version than this page. */
  readonly outdated: boolean;
}

/** What the server said of an entry it refused. */
export interface RefusedEntry {
  readonly id: string;
  readonly code: string;
  readonly detail: string;
}

/** Before the set-up was read. */
export const NO_SETUP: SetupState = {
  id: null,
  me: { id: '00000000-0000-0000-0000-000000000000', name: 'This browser' },
  revision: 0,
  savedSetup: null,
  setup: null,
  log: [],
  hasOlder: false,
  pending: [],
  aside: [],
  notices: [],
  saving: 'saved',
  waitingFor: null,
  savedAt: null,
  failed: null,
  outOfStep: false,
  outdated: false,
  asItWas: null,
  binnedAt: null,
};

/** Whether a set-up is shown as it was. */
export interface AsItWas {
  /** When the last edit before was made: ISO 8601; null for how it began. Null where it is shown as it is now. */
  readonly asItWas: { readonly at: string | null } | null;
  /** Since when it is in the bin: ISO 8601; null where it is not. */
  readonly binnedAt: string | null;
}

/** A set-up as it was read, with what this browser has kept of it. */
export interface Loaded extends AsItWas {
  readonly id: string;
  readonly revision: number;
  readonly setup: Setup;
  readonly history: { readonly entries: readonly LogEntry[]; readonly more: boolean };
  /** Entries kept from before a reload or a crash. */
  readonly kept: readonly Entry[];
}

/** The set-up was read: entries that waited are made again on top of it. */
export function loaded(
  state: SetupState,
  { id, revision, setup, history, kept, asItWas, binnedAt }: Loaded,
): SetupState {
  const known = new Set(state.pending.map((entry) => entry.id));
  const waiting = [...state.pending, ...kept.filter((entry) => !known.has(entry.id))];
  const saved = new Set(history.entries.map((entry) => entry.id));
  const base = {
    ...state,
    id,
    revision,
    savedSetup: setup,
    asItWas,
    binnedAt,
    log: history.entries,
    hasOlder: history.more,
    savedAt: history.entries.at(-1)?.at ?? state.savedAt,
    failed: null,
    outOfStep: false,
  };
  return replay(
    base,
    waiting.filter((entry) => !saved.has(entry.id)),
  );
}

/** The revision before which older entries of this author may be read. */
export function oldestKnown({ log, revision }: SetupState): number {
  return log[0]?.revision ?? revision + 1;
}

/** What was read of this author before a revision. */
export interface OlderEntries {
  readonly before: number;
  readonly entries: readonly LogEntry[];
  readonly more: boolean;
}

/** Older entries were read. Where others were read meanwhile these do not fit and are passed over. */
export function olderRead(state: SetupState, { before, entries, more }: OlderEntries): SetupState {
  if (before !== oldestKnown(state)) return state;
  return { ...state, log: [...entries, ...state.log], hasOlder: more };
}

/** An entry made here: shown at once, to be saved. A refused one changes nothing and leaves a notice. */
export function edited(state: SetupState, entry: Entry): SetupState {
  const next = put(state, entry, false);
  // What was refused before is mended by now, or no longer wanted.
  const isMended = next.pending !== state.pending && next.notices.some(isPassing);
  return isMended ? { ...next, notices: next.notices.filter((notice) => !isPassing(notice)) } : next;
}

/** Puts an entry on top of what there is. Refused, it leaves a notice: `takenBack` where it had been shown before. */
function put(state: SetupState, entry: Entry, takenBack: boolean): SetupState {
  if (!state.setup) return state;
  const about = entry.role === 'do' ? null : turnedIn([...state.log, ...state.pending], entry.of);
  const done = putEntry(state.setup, entry, about);
  if (!done.ok) return withRefusal(state, entry, done.problem, takenBack);
  const { setup, inverse, edit } = done.value;
  const of = entry.role === 'do' ? null : entry.of;
  const pending = [...state.pending, { ...entry, of, edit, inverse, after: setup } as PendingEntry];
  return { ...state, setup, pending };
}

/** An undo that another page was first with needs no words. */
const TURNED: Refusal['code'] = 'turned-already';

/** Everything else that is not kept is said. */
function withRefusal(state: SetupState, entry: Entry, refusal: Refusal, takenBack: boolean): SetupState {
  if (refusal.code === TURNED) return state;
  const edit = entry.role === 'do' ? entry.edit : (turnedIn(state.log, entry.of)?.edit ?? null);
  return withNotice(state, { kind: 'refused', id: entry.id, edit, refusal, detail: null, takenBack });
}

/** Entries the server has saved, own ones and others', oldest first; those known already are passed over. */
export function received(state: SetupState, entries: readonly NewsEntry[]): SetupState {
  let { revision, savedSetup, pending, setup, notices } = state;
  if (!savedSetup) return state;
  const own: LogEntry[] = [];
  let savedAt = state.savedAt;
  for (const entry of entries) {
    if (entry.revision <= revision) {
      if (pending.some(({ id }) => id === entry.id)) {
        pending = pending.filter(({ id }) => id !== entry.id);
        setup = null;
      }
      continue;
    }
    if (entry.revision !== revision + 1 || !entry.edit) return { ...state, outOfStep: true };
    const applied = appliedTo(savedSetup, entry.edit, setup ? pending[0] : undefined, entry.id);
    if (!applied) return { ...state, outOfStep: true };
    if (pending[0]?.after !== applied.setup) setup = null;
    savedSetup = applied.setup;
    pending = pending.filter(({ id }) => id !== entry.id);
    revision = entry.revision;
    savedAt = entry.at;
    if (entry.author.id === state.me.id) own.push({ ...entry, inverse: applied.inverse });
    else notices = withOverwritten(notices, [...state.log, ...own], entry, applied.inverse);
  }
  if (revision === state.revision && pending === state.pending) return state;
  const log = own.length > 0 ? [...state.log, ...own] : state.log;
  const next = { ...state, revision, savedSetup, log, notices, savedAt };
  return setup ? { ...next, setup, pending } : replay(next, pending);
}

/** What an entry gives: known already for the first that waits, where nothing came between. */
function appliedTo(saved: Setup, edit: Edit, first: PendingEntry | undefined, id: string): Applied | null {
  if (first?.id === id && sameJson(first.edit, edit)) return { setup: first.after, inverse: first.inverse };
  const applied = applyEdit(saved, edit);
  return applied.ok ? applied.value : null;
}

/** Says when someone who had not seen an own edit changed the same things after it. */
function withOverwritten(
  notices: readonly Notice[],
  own: readonly LogEntry[],
  theirs: NewsEntry,
  inverse: Edit,
): readonly Notice[] {
  for (const mine of own.toReversed()) {
    if (mine.revision <= theirs.base) break;
    const found = mine.edit && theirs.edit ? overwrittenBy(mine.edit, theirs.edit, inverse) : null;
    if (!found) continue;
    const notice: Notice = { kind: 'overwritten', id: theirs.id, by: theirs.author.name, ...found };
    return [...notices.filter(({ id }) => id !== theirs.id), notice];
  }
  return notices;
}

/** The server refused an entry: it is taken back, said, and what was made after it is made again. */
export function refused(state: SetupState, { id, code, detail }: RefusedEntry): SetupState {
  const entry = state.pending.find((each) => each.id === id);
  if (!entry) return state;
  const said =
    code === TURNED
      ? state
      : withNotice(state, { kind: 'refused', id, edit: entry.edit, refusal: null, detail, takenBack: true });
  return replay(said, without(state.pending, id));
}

/** The server cannot save an entry at all: it is kept aside, said, and the others go on. */
export function setAside(state: SetupState, id: string, detail: string, at: string): SetupState {
  const entry = state.pending.find((each) => each.id === id);
  if (!entry) return state;
  const aside = [...state.aside, { entry: bare(entry), edit: entry.edit, detail, at }];
  const said = withNotice({ ...state, aside }, { kind: 'aside', id, edit: entry.edit, detail });
  return replay(said, without(state.pending, id));
}

/** What is still to be saved when one entry is done with. */
function without(pending: readonly PendingEntry[], id: string) {
  return pending.filter((entry) => entry.id !== id);
}

/** An entry as it is sent and kept. */
export function bare(entry: Entry): Entry {
  const { id, author, base } = entry;
  return entry.role === 'do'
    ? { id, author, base, role: entry.role, edit: entry.edit }
    : { id, author, base, role: entry.role, of: entry.of };
}

/**
 * The saved set-up with one's own edits on it again: edits of others go below those that are not saved yet.
 */
function replay(state: SetupState, entries: readonly Entry[]): SetupState {
  let next: SetupState = { ...state, setup: state.savedSetup, pending: [] };
  for (const entry of entries) next = put(next, bare(entry), true);
  return next;
}

/** What this author can undo and do again now, saved or not. */
export function historyIn({ log, pending }: SetupState) {
  return historyOf<LogEntry | PendingEntry>([...log, ...pending]);
}
