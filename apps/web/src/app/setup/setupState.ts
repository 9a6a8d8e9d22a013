import {
  applyEdit,
  type Edit,
  type Entry,
  historyOf,
  type LogEntry,
  type Refusal,
  type Setup,
} from '@nimble-lever/core/setup';

/** An edit made here and not yet known to be saved, with what it gives and what takes it back. */
export interface PendingEntry extends Entry {
  readonly inverse: Edit;
  readonly after: Setup;
}

/** Something the person must know: an edit that could not be kept, and why. */
export interface Notice {
  readonly id: string;
  readonly edit: Edit;
  readonly refusal: Refusal | null;
  /** What the server said, where the refusal is its own. */
  readonly detail: string | null;
}

export type Saving = 'saved' | 'saving' | 'waiting';

/** The set-up as this page has it: what is saved, what waits to be saved, and both together. */
export interface SetupState {
  readonly id: string | null;
  readonly revision: number;
  readonly savedSetup: Setup | null;
  readonly setup: Setup | null;
  readonly log: readonly LogEntry[];
  readonly pending: readonly PendingEntry[];
  readonly notices: readonly Notice[];
  readonly saving: Saving;
  /** When the newest edit was saved, ISO 8601. */
  readonly savedAt: string | null;
  /** The set-up could not be read; in words. */
  readonly failed: string | null;
  /** The saved set-up and what was heard of it do not fit together: it must be read anew. */
  readonly outOfStep: boolean;
}

export const NO_SETUP: SetupState = {
  id: null,
  revision: 0,
  savedSetup: null,
  setup: null,
  log: [],
  pending: [],
  notices: [],
  saving: 'saved',
  savedAt: null,
  failed: null,
  outOfStep: false,
};

/** How many saved entries are kept for undo. */
const LOG_KEPT = 200;

export interface Loaded {
  readonly id: string;
  readonly revision: number;
  readonly setup: Setup;
  readonly log: readonly LogEntry[];
  /** Edits kept from before a reload or a crash. */
  readonly kept: readonly Entry[];
}

/** The set-up was read: edits that waited are made again on top of it. */
export function loaded(state: SetupState, { id, revision, setup, log, kept }: Loaded): SetupState {
  const waiting = [
    ...state.pending,
    ...kept.filter(({ id: own }) => !state.pending.some((p) => p.id === own)),
  ];
  const saved = new Set(log.map((entry) => entry.id));
  const base = { ...state, id, revision, savedSetup: setup, log, failed: null, outOfStep: false };
  const savedAt = log.at(-1)?.at ?? null;
  return replay(
    { ...base, savedAt },
    waiting.filter((entry) => !saved.has(entry.id)),
  );
}

/** An edit made here: shown at once, to be saved. A refused one changes nothing and leaves a notice. */
export function edited(state: SetupState, entry: Entry): SetupState {
  if (!state.setup) return state;
  const applied = applyEdit(state.setup, entry.edit);
  if (!applied.ok) return withNotice(state, entry, applied.problem, null);
  const { setup, inverse } = applied.value;
  const pending = [...state.pending, { ...entry, inverse, after: setup }];
  return { ...state, setup, pending };
}

/** Entries the server has saved, own ones and others', oldest first; those known already are passed over. */
export function received(state: SetupState, entries: readonly LogEntry[]): SetupState {
  let { revision, savedSetup, pending, setup } = state;
  if (!savedSetup) return state;
  const news: LogEntry[] = [];
  for (const entry of entries) {
    if (entry.revision <= revision) {
      if (pending.some(({ id }) => id === entry.id)) {
        pending = pending.filter(({ id }) => id !== entry.id);
        setup = null;
      }
      continue;
    }
    if (entry.revision !== revision + 1) return { ...state, outOfStep: true };
    const [first] = pending;
    if (first?.id === entry.id) {
      savedSetup = first.after;
      pending = pending.slice(1);
    } else {
      const applied = applyEdit(savedSetup, entry.edit);
      if (!applied.ok) return { ...state, outOfStep: true };
      savedSetup = applied.value.setup;
      pending = pending.filter(({ id }) => id !== entry.id);
      setup = null;
    }
    revision = entry.revision;
    news.push(entry);
  }
  if (news.length === 0 && pending === state.pending) return state;
  const log = [...state.log, ...news].slice(-LOG_KEPT);
  const next = { ...state, revision, savedSetup, log, savedAt: news.at(-1)?.at ?? state.savedAt };
  return setup ? { ...next, setup, pending } : replay(next, pending);
}

/** The server refused an entry: it is taken back, said, and what was made after it is made again. */
export function refused(state: SetupState, entryId: string, detail: string): SetupState {
  const entry = state.pending.find(({ id }) => id === entryId);
  if (!entry) return state;
  const others = state.pending.filter(({ id }) => id !== entryId);
  return replay(withNotice(state, entry, null, detail), others);
}

function replay(state: SetupState, entries: readonly Entry[]): SetupState {
  let next: SetupState = { ...state, setup: state.savedSetup, pending: [] };
  for (const { id, edit, role, of } of entries) {
    if (role !== 'do' && !stillTurns(next, role, of)) continue;
    next = edited(next, { id, edit, role, of });
  }
  return next;
}

/** Whether what an undo or redo is about can still be undone or done again; another page may have been first. */
function stillTurns(state: SetupState, role: 'undo' | 'redo', of: string | null): boolean {
  return historyIn(state)[role].some(({ id }) => id === of);
}

/** What can be undone and done again now, saved or not. */
export function historyIn({ log, pending }: SetupState) {
  return historyOf<LogEntry | PendingEntry>([...log, ...pending]);
}

function withNotice(
  state: SetupState,
  entry: Entry,
  refusal: Refusal | null,
  detail: string | null,
): SetupState {
  const others = state.notices.filter(({ id }) => id !== entry.id);
  return { ...state, notices: [...others, { id: entry.id, edit: entry.edit, refusal, detail }].slice(-5) };
}
