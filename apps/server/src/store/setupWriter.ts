import {
  type Entry,
  type LogEntry,
  putEntry,
  type Recorded,
  type Refusal,
  turnedIn,
} from '@nimble-lever/core/setup';
import type { Moment } from '@nimble-lever/core/vault';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { inTransaction, isAway, isRepeated, type Queryable } from './database.ts';
import { allMoments, entriesAbout, entriesAfter, savedAmong, toRow } from './editLog.ts';
import type { Keeper } from './keeper.ts';
import { HISTORY, type History, loadSetup, type StoredSetup } from './loadSetup.ts';
import { catchUp, logEntry } from './logEntries.ts';
import { entryText, RecentEntries } from './recentEntries.ts';
import { rowChanges } from './rows.ts';
import { writeStatement } from './writeStatement.ts';

/** What became of an entry. */
export type EntryOutcome =
  | { readonly kind: 'saved'; readonly id: string; readonly revision: number }
  | { readonly kind: 'refused'; readonly id: string; readonly refusal: Refusal }
  /** It met an error nobody expected, by itself; the others went on. */
  | { readonly kind: 'failed'; readonly id: string };

/** What became of entries, and the revision the set-up has now. */
export interface Appended {
  readonly outcomes: readonly EntryOutcome[];
  /** The newest revision after the last of them. */
  readonly revision: number;
}

/**
 * Tells of saved entries, in order: those that lead from one revision to another, as JSON. With none, there are more
 * than can be told, and whoever is behind must ask.
 */
export type OnSaved = (setUp: string, from: number, to: number, texts: readonly string[]) => void;

/** Edits that wait their turn. Those that wait together are written in one transaction. */
interface Job {
  readonly entries: readonly Entry[];
  /** Null where the set-up is gone. */
  readonly done: (appended: Appended | null) => void;
  readonly failed: (error: unknown) => void;
}

/** What became of each entry that was sent, by its id. */
type Outcomes = ReadonlyMap<string, EntryOutcome>;

/** What one try to write led to. */
interface Attempt {
  readonly outcomes: Outcomes;
  /** What was written, in order; other pages are told of these. */
  readonly written: readonly LogEntry[];
  /** The state it led to; null where the database had moved on and nothing was written. */
  readonly after: StoredSetup | null;
}

/** Entries that are written at once, however many senders they come from. */
const MOST_AT_ONCE = 500;
/** After so many tries in which other copies of the server were faster, the set-up's row is locked first. */
const FREE_TRIES = 3;
/** With the row locked nobody is faster: that it is tried once more is for an entry that was saved meanwhile. */
const MOST_TRIES = 10;

function isSame(a: History | null, b: History | null): boolean {
  return a?.made === b?.made && a?.last === b?.last;
}

/**
 * The one way a set-up is written by this process. Entries that wait are put onto the newest state in turn and
 * written together, so that many senders cost one commit. The state is kept in memory and is good as long as the
 * database has the same revision, which the writing statement checks; what other copies wrote is caught up with.
 */
export class SetupWriter {
  #head: StoredSetup | null = null;
  /** Which history the state in memory is of. */
  #history: History | null = null;
  /** The database was out of sight: another may be in its place. */
  #doubted = false;
  /** The newest revision that was told of; null until the set-up was read once. */
  #told: number | null = null;
  readonly #recent = new RecentEntries();
  /** When each edit was made; null until somebody asks. */
  #moments: Moment[] | null = null;
  readonly #waiting: Job[] = [];
  #busy: Promise<void> | null = null;

  constructor(
    private readonly id: string,
    private readonly pool: Pool,
    private readonly onSaved: OnSaved,
    private readonly keeper: Keeper,
    private readonly log: Logger,
  ) {}

  /** The newest state, as the database has it now; null where there is no such set-up. */
  read(): Promise<StoredSetup | null> {
    return this.#alone(() => this.#newest(this.pool));
  }

  /** When each edit was made, and by whom, oldest first; null where there is no such set-up. Read once, and kept. */
  moments(): Promise<readonly Moment[] | null> {
    return this.#alone(async () => {
      const head = await this.#newest(this.pool);
      if (!head) return null;
      this.#moments ??= await allMoments(this.pool, this.id);
      // What another copy of the server saves meanwhile is caught up with later, and told then.
      return this.#moments.slice(0, head.revision);
    });
  }

  /** Saves entries, each by itself: what is refused keeps none of the others. Null for an unknown set-up. */
  append(entries: readonly Entry[]): Promise<Appended | null> {
    return new Promise((done, failed) => {
      this.#waiting.push({ entries, done, failed });
      if (this.#waiting.length === 1) this.#alone(() => this.#writeWaiting()).catch(failed);
    });
  }

  /** The entries after a revision as JSON, where they are few and new enough to be at hand; else null. */
  recentAfter(revision: number): readonly string[] | null {
    return this.#head ? this.#recent.after(revision, this.#head.revision) : null;
  }

  /** The state in memory is compared with the database before anything is written on top of it. */
  doubt(): void {
    this.#doubted = true;
  }

  /** Catches up with what other copies of the server have written, and tells of it. */
  async heard(revision: number | null): Promise<void> {
    await this.#alone(async () => {
      if (this.#told === null || (revision !== null && revision <= this.#told)) return;
      await this.#newest(this.pool);
    });
  }

  /** One thing after the other. */
  async #alone<Value>(work: () => Promise<Value>): Promise<Value> {
    while (this.#busy) await this.#busy;
    const running = work();
    this.#busy = running.then(
      () => undefined,
      () => undefined,
    );
    try {
      return await running;
    } catch (error) {
      this.#head = null;
      throw error;
    } finally {
      this.#busy = null;
    }
  }

  /** Whatever came while the last batch was written is the next one. */
  async #writeWaiting(): Promise<void> {
    while (this.#waiting.length > 0) {
      const jobs = this.#take();
      try {
        const outcomes = await this.#write(jobs.flatMap(({ entries }) => entries));
        for (const job of jobs) {
          job.done(
            outcomes &&
              this.#appended(job.entries.map(({ id }) => outcomes.get(id) ?? { kind: 'failed', id })),
          );
        }
      } catch (error) {
        this.#head = null;
        if (isAway(error)) for (const job of jobs) job.failed(error);
        else await this.#writeEach(jobs, error);
      }
    }
  }

  #appended(outcomes: readonly EntryOutcome[]): Appended {
    return { outcomes, revision: this.#head?.revision ?? this.#told ?? 0 };
  }

  /** As many as may wait in one statement; the others are the next batch. */
  #take(): readonly Job[] {
    let count = 0;
    let jobs = 0;
    for (const { entries } of this.#waiting) {
      if (jobs > 0 && count + entries.length > MOST_AT_ONCE) break;
      count += entries.length;
      jobs += 1;
    }
    return this.#waiting.splice(0, jobs);
  }

  /** Something in a batch cannot be written: each entry is tried by itself, so that only that one fails. */
  async #writeEach(jobs: readonly Job[], cause: unknown): Promise<void> {
    this.log.error({ err: cause }, 'Edits could not be written together; each is tried by itself.');
    for (const job of jobs) {
      try {
        const outcomes: EntryOutcome[] = [];
        for (const entry of job.entries) outcomes.push(await this.#writeAlone(entry));
        job.done(this.#appended(outcomes));
      } catch (error) {
        job.failed(error);
      }
    }
  }

  /** After a batch that failed: one entry that cannot be written must not keep the others from being. */
  async #writeAlone(entry: Entry): Promise<EntryOutcome> {
    try {
      return (await this.#write([entry]))?.get(entry.id) ?? { kind: 'failed', id: entry.id };
    } catch (error) {
      this.#head = null;
      if (isAway(error)) throw error;
      this.log.error({ err: error, entry: entry.id }, 'An edit could not be written.');
      return { kind: 'failed', id: entry.id };
    }
  }

  /**
   * Null where there is no such set-up. Where the database has another revision by now, somebody was faster, and it is
   * tried on that; after a few such tries with the row locked, so that it comes to an end.
   */
  async #write(entries: readonly Entry[]): Promise<Outcomes | null> {
    let saved: ReadonlyMap<string, number> = new Map();
    for (let tries = 1; tries <= MOST_TRIES; tries++) {
      try {
        const attempt =
          tries > FREE_TRIES
            ? await inTransaction(this.pool, 'BEGIN', async (client) => {
                // States are kept beside it, which refer to the row.
                await client.query('SELECT 1 FROM set_ups WHERE id = $1 FOR NO KEY UPDATE', [this.id]);
                await this.#newest(client);
                return this.#attempt(client, entries, saved);
              })
            : await this.#attempt(this.pool, entries, saved);
        if (!attempt) return null;
        if (attempt.after) {
          if (attempt.written.length > 0) this.#moveOn(attempt.after, attempt.written);
          return attempt.outcomes;
        }
        await this.#newest(this.pool);
      } catch (error) {
        if (!isRepeated(error)) throw error;
        saved = await this.#savedAmong(this.pool, entries);
      }
    }
    throw new Error(`The set-up “${this.id}” has another revision each time it is written.`);
  }

  /** An entry that is sent twice, since its answer was lost, is found here and kept once. */
  #savedAmong(database: Queryable, entries: readonly Pick<Entry, 'id'>[]) {
    return savedAmong(
      database,
      this.id,
      entries.map(({ id }) => id),
    );
  }

  /** Puts entries onto the state in memory and writes them, where the database still has that state. */
  async #attempt(
    database: Queryable,
    entries: readonly Entry[],
    saved: ReadonlyMap<string, number>,
  ): Promise<Attempt | null> {
    const head = (this.#doubted ? null : this.#head) ?? (await this.#newest(database));
    if (!head) return null;
    const about = entries.flatMap((entry) => (entry.role === 'do' ? [] : [entry.of]));
    const log: Recorded[] = [...(await entriesAbout(database, this.id, about, head.setup))];
    const outcomes = new Map<string, EntryOutcome>();
    const written: LogEntry[] = [];
    const at = new Date().toISOString();
    let { setup } = head;
    const states: StoredSetup[] = [];
    for (const entry of entries) {
      const before = saved.get(entry.id);
      if (before !== undefined) outcomes.set(entry.id, { kind: 'saved', id: entry.id, revision: before });
      if (outcomes.has(entry.id)) continue;
      const put = putEntry(setup, entry, entry.role === 'do' ? null : turnedIn(log, entry.of));
      if (!put.ok) {
        outcomes.set(entry.id, { kind: 'refused', id: entry.id, refusal: put.problem });
        continue;
      }
      states.push({ ...head, setup, revision: head.revision + written.length });
      setup = put.value.setup;
      const revision = head.revision + written.length + 1;
      const made = logEntry(entry, put.value, revision, at);
      written.push(made);
      log.push(made);
      outcomes.set(entry.id, { kind: 'saved', id: entry.id, revision });
    }
    await this.#keepRepeated(database, outcomes);
    const after = { ...head, setup, revision: head.revision + written.length };
    if (written.length === 0) return { outcomes, written, after };
    await this.keeper.beforeSaving(states, written);
    const isSaved = await this.#save(database, head, after, written);
    if (isSaved) await this.keeper.afterSaving([...states.slice(1), after], written);
    return { outcomes, written, after: isSaved ? after : null };
  }

  /** What is refused now may have been saved before, with the answer lost on the way. */
  async #keepRepeated(database: Queryable, outcomes: Map<string, EntryOutcome>): Promise<void> {
    const refused = [...outcomes.values()].filter(({ kind }) => kind === 'refused');
    for (const [id, revision] of await this.#savedAmong(database, refused)) {
      outcomes.set(id, { kind: 'saved', id, revision });
    }
  }

  async #save(
    database: Queryable,
    head: StoredSetup,
    { setup, revision }: StoredSetup,
    written: readonly LogEntry[],
  ): Promise<boolean> {
    const statement = writeStatement({
      setUp: this.id,
      base: head.revision,
      revision,
      head: setup,
      changes: rowChanges(head.setup, setup),
      edits: written.map(toRow),
    });
    return (await database.query(statement)).rows.length > 0;
  }

  /** Takes a newer state over, and tells of what led to it. */
  #moveOn(after: StoredSetup, entries: readonly LogEntry[]): void {
    const from = after.revision - entries.length;
    const texts = entries.map(entryText);
    if (this.#history) this.#history = { ...this.#history, last: entries.at(-1)?.id ?? null };
    this.#head = after;
    this.#told = after.revision;
    this.#recent.add(texts);
    const known = this.#moments?.length ?? Number.POSITIVE_INFINITY;
    const made = entries.filter(({ revision }) => revision > known);
    for (const { revision, at, author } of made)
      this.#moments?.push({ revision, at: Date.parse(at), author });
    this.onSaved(this.id, from, after.revision, texts);
  }

  /** The state in memory brought up to the database's revision, or read anew. */
  async #newest(database: Queryable): Promise<StoredSetup | null> {
    const head = this.#head && (await this.#broughtUp(database, this.#head));
    if (head) {
      this.#doubted = false;
      return head;
    }
    const loaded = await loadSetup(this.pool, this.id);
    this.#doubted = false;
    this.#recent.clear();
    this.#moments = null;
    const [told, known] = [this.#told, this.#history];
    this.#head = loaded?.stored ?? null;
    this.#history = loaded?.history ?? null;
    this.#told = this.#head?.revision ?? null;
    // What led here is not at hand: whoever is behind must ask.
    if (this.#head && told !== null && (told !== this.#told || !isSame(this.#history, known))) {
      this.onSaved(this.id, this.#head.revision, this.#head.revision, []);
    }
    return this.#head;
  }

  /**
   * The state in memory with what the database has beyond it. Null where the database has less, or came to the same
   * revision another way: then nothing in memory counts.
   */
  async #broughtUp(database: Queryable, head: StoredSetup): Promise<StoredSetup | null> {
    const { rows } = await database.query(`SELECT revision, ${HISTORY} FROM set_ups WHERE id = $1`, [
      this.id,
      head.revision,
    ]);
    const [there] = rows as (History & { revision: number })[];
    if (!there || there.revision < head.revision || !isSame(there, this.#history)) return null;
    if (there.revision === head.revision) return head;
    const { entries, more } = await entriesAfter(database, this.id, head.revision, head.setup);
    const caughtUp = more ? null : catchUp(head, entries);
    if (caughtUp && entries.length > 0) this.#moveOn(caughtUp, entries);
    return caughtUp;
  }
}
