import type { Entry, Setup } from '@nimble-lever/core/setup';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { inTransaction } from './database.ts';
import { entriesAfter, entriesBefore, type LogPage } from './editLog.ts';
import type { StoredSetup } from './loadSetup.ts';
import { entryText } from './recentEntries.ts';
import { rowChanges } from './rows.ts';
import { type Appended, type OnSaved, SetupWriter } from './setupWriter.ts';
import { firstWrite } from './writeStatement.ts';

/** A set-up by name, for choosing one. */
export interface SetUpHead {
  readonly id: string;
  readonly name: string;
  /** The newest edit's number. */
  readonly revision: number;
}

/** What came after a revision, as JSON texts, and the revision it leads to; null texts where it is too much. */
export interface Missed {
  /** The newest revision at the moment of asking. */
  readonly to: number;
  /** Null where it is more than is kept at hand. */
  readonly texts: readonly string[] | null;
}

/** Set-ups and their edit logs in the database. */
export class SetupStore {
  readonly #writers = new Map<string, SetupWriter>();

  constructor(
    private readonly pool: Pool,
    private readonly onSaved: OnSaved,
    private readonly log: Logger,
  ) {}

  /** All set-ups, by id. */
  async list(): Promise<readonly SetUpHead[]> {
    const { rows } = await this.pool.query('SELECT id, name, revision FROM set_ups ORDER BY id');
    return rows;
  }

  /** Adds a set-up at revision 0 if there is none at all; says whether it did. */
  async createFirst(id: string, setup: Setup): Promise<boolean> {
    return inTransaction(this.pool, 'BEGIN', async (client) => {
      await client.query('LOCK TABLE set_ups IN EXCLUSIVE MODE');
      const { rows } = await client.query('SELECT 1 FROM set_ups LIMIT 1');
      if (rows.length > 0) return false;
      await client.query('INSERT INTO set_ups (id, name, revision) VALUES ($1, $2, 0)', [id, setup.name]);
      await client.query(firstWrite(id, setup, rowChanges(null, setup)));
      return true;
    });
  }

  /** A set-up as it is now; null when there is none. */
  async read(id: string): Promise<StoredSetup | null> {
    const stored = await this.#writer(id).read();
    if (!stored) this.#writers.delete(id);
    return stored;
  }

  /** Saves entries on top of what is there now. Null when there is no such set-up. */
  async append(id: string, entries: readonly Entry[]): Promise<Appended | null> {
    const appended = await this.#writer(id).append(entries);
    if (!appended) this.#writers.delete(id);
    return appended;
  }

  /** A page of the log after a revision; null when there is no such set-up. */
  async entriesAfter(id: string, revision: number): Promise<LogPage | null> {
    const stored = await this.read(id);
    return stored && entriesAfter(this.pool, id, revision, stored.setup);
  }

  /**
   * The entries after a revision as JSON texts, with the revision they lead to. The texts are null where there are too
   * many: whoever asks must read the set-up anew.
   */
  async missed(id: string, after: number): Promise<Missed | null> {
    const stored = await this.read(id);
    return stored && this.#missedIn(id, after, stored);
  }

  /** The same after entries were saved, when the newest state is at hand. */
  async missedAt(id: string, after: number, revision: number): Promise<Missed | null> {
    if (after >= revision) return { to: revision, texts: [] };
    const recent = this.#writer(id).recentAfter(after);
    return recent ? { to: after + recent.length, texts: recent } : this.missed(id, after);
  }

  /** Too much to tell is not told: the page reads the set-up anew. */
  async #missedIn(id: string, after: number, stored: StoredSetup): Promise<Missed> {
    if (after >= stored.revision) return { to: stored.revision, texts: [] };
    const recent = this.#writer(id).recentAfter(after);
    if (recent) return { to: stored.revision, texts: recent };
    const { entries, more } = await entriesAfter(this.pool, id, after, stored.setup);
    if (more || entries.some(({ edit }) => !edit)) return { to: stored.revision, texts: null };
    return { to: entries.at(-1)?.revision ?? stored.revision, texts: entries.map(entryText) };
  }

  /** The newest entries before a revision, of an author or (null) of everyone; null when there is no such set-up. */
  async entriesBefore(id: string, revision: number, author: string | null): Promise<LogPage | null> {
    const stored = await this.read(id);
    return stored && entriesBefore(this.pool, id, revision, author, stored.setup);
  }

  /** Another copy of the server has saved something; with null, anything may have happened. */
  async heard(id: string | null, revision: number | null): Promise<void> {
    for (const [own, writer] of this.#writers) if (id === null || own === id) await writer.heard(revision);
  }

  /** One a set-up, so that nothing is written past it. */
  #writer(id: string): SetupWriter {
    const known = this.#writers.get(id);
    if (known) return known;
    const made = new SetupWriter(id, this.pool, this.onSaved, this.log);
    this.#writers.set(id, made);
    return made;
  }
}
