import { freeId } from '@nimble-lever/core/devices';
import { BIN_DAYS, type Entry, type SetUpHead, type Setup } from '@nimble-lever/core/setup';
import type { Moment, Storage } from '@nimble-lever/core/vault';
import type { Pool, PoolClient } from 'pg';
import type { Logger } from 'pino';
import { inTransaction } from './database.ts';
import { entriesAfter, entriesBefore, type LogPage } from './editLog.ts';
import { packOld } from './editPacks.ts';
import { Keeper } from './keeper.ts';
import type { StoredSetup } from './loadSetup.ts';
import { entryText } from './recentEntries.ts';
import { rowChanges } from './rows.ts';
import { type Appended, type OnSaved, SetupWriter } from './setupWriter.ts';
import { type Keeping, Snapshots } from './snapshots.ts';
import { MARK_EVERY, stateAt } from './stateAt.ts';
import { keepFor, readStorage } from './storage.ts';
import { firstWrite } from './writeStatement.ts';

/** What came after a revision, as JSON texts, and the revision it leads to; null texts where it is too much. */
export interface Missed {
  /** The newest revision at the moment of asking. */
  readonly to: number;
  /** Null where it is more than is kept at hand. */
  readonly texts: readonly string[] | null;
}

/** As many set-ups as a server keeps, those in its bin among them. */
const MOST_SET_UPS = 200;

/** Writes a set-up that is new. */
async function writeFirst(client: PoolClient, id: string, setup: Setup): Promise<void> {
  await client.query('INSERT INTO set_ups (id, name, revision) VALUES ($1, $2, 0)', [id, setup.name]);
  await client.query(firstWrite(id, setup, rowChanges(null, setup)));
}

/** Set-ups and their edit logs in the database. */
export class SetupStore {
  readonly #writers = new Map<string, SetupWriter>();
  readonly snapshots: Snapshots;
  readonly #keeper: Keeper;

  constructor(
    private readonly pool: Pool,
    private readonly onSaved: OnSaved,
    private readonly log: Logger,
  ) {
    this.snapshots = new Snapshots(pool);
    this.#keeper = new Keeper(this.snapshots, log);
  }

  /** What is kept beside the edits is kept. */
  settled(): Promise<void> {
    return this.#keeper.settled();
  }

  /** All set-ups, oldest first, those in the bin among them. */
  async list(): Promise<readonly SetUpHead[]> {
    const { rows } = await this.pool.query(
      'SELECT id, name, revision, binned_at AS "binnedAt" FROM set_ups ORDER BY created_at, id',
    );
    return (rows as (Omit<SetUpHead, 'binnedAt'> & { binnedAt: Date | null })[]).map((row) => ({
      ...row,
      binnedAt: row.binnedAt?.toISOString() ?? null,
    }));
  }

  /** Adds a set-up at revision 0 if there is none at all; says whether it did. */
  async createFirst(id: string, setup: Setup): Promise<boolean> {
    return inTransaction(this.pool, 'BEGIN', async (client) => {
      await client.query('LOCK TABLE set_ups IN EXCLUSIVE MODE');
      const { rows } = await client.query('SELECT 1 FROM set_ups LIMIT 1');
      if (rows.length > 0) return false;
      await writeFirst(client, id, setup);
      return true;
    });
  }

  /**
   * Adds a set-up at revision 0, under an id from its name.
   *
   * @returns the id; null where there are as many as there may be
   */
  async create(setup: Setup): Promise<string | null> {
    return inTransaction(this.pool, 'BEGIN', async (client) => {
      await client.query('LOCK TABLE set_ups IN EXCLUSIVE MODE');
      const { rows } = await client.query('SELECT id FROM set_ups');
      const taken = new Set((rows as { id: string }[]).map((row) => row.id));
      if (taken.size >= MOST_SET_UPS) return null;
      const id = freeId(setup.name, taken, 'set-up');
      await writeFirst(client, id, setup);
      return id;
    });
  }

  /**
   * Puts a set-up into the bin, or takes it out. It can be opened and edited as before; after 30 days there it goes.
   *
   * @returns 'last' where it is the only one that is not in the bin; null where there is no such set-up
   */
  async putInBin(id: string, isBinned: boolean): Promise<'done' | 'last' | null> {
    return inTransaction(this.pool, 'BEGIN', async (client) => {
      await client.query('LOCK TABLE set_ups IN EXCLUSIVE MODE');
      const { rows } = await client.query('SELECT id, binned_at IS NULL AS out FROM set_ups');
      const all = rows as { id: string; out: boolean }[];
      const own = all.find((row) => row.id === id);
      if (!own) return null;
      if (isBinned && all.every((row) => row.id === id || !row.out)) return 'last';
      await client.query(
        'UPDATE set_ups SET binned_at = CASE WHEN $2 THEN COALESCE(binned_at, now()) END WHERE id = $1',
        [id, isBinned],
      );
      return 'done';
    });
  }

  /** Since when a set-up is in the bin; null where it is not. */
  async binnedAt(id: string): Promise<Date | null> {
    const { rows } = await this.pool.query('SELECT binned_at AS at FROM set_ups WHERE id = $1', [id]);
    return (rows as { at: Date | null }[])[0]?.at ?? null;
  }

  /** Takes set-ups away for good that were in the bin for 30 days; says how many. */
  async emptyBin(now: Date): Promise<number> {
    const { rowCount } = await this.pool.query(
      `DELETE FROM set_ups WHERE binned_at <= $1::timestamptz - make_interval(days => ${BIN_DAYS})`,
      [now],
    );
    return rowCount ?? 0;
  }

  /** A set-up as it is now; null when there is none. */
  async read(id: string): Promise<StoredSetup | null> {
    const stored = await this.#writer(id).read();
    if (!stored) this.#writers.delete(id);
    return stored;
  }

  /**
   * Saves entries on top of what is there now. Null when there is no such set-up.
   *
   * @param kind of an import the state before it is kept, however small it is
   */
  async append(
    id: string,
    entries: readonly Entry[],
    kind: 'edit' | 'import' = 'edit',
  ): Promise<Appended | null> {
    const done = kind === 'import' ? this.#keeper.expectImport(entries) : null;
    try {
      const appended = await this.#writer(id).append(entries);
      if (!appended) this.#writers.delete(id);
      return appended;
    } finally {
      done?.();
    }
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
    if (after === revision) return { to: revision, texts: [] };
    const recent = this.#writer(id).recentAfter(after);
    return recent ? { to: after + recent.length, texts: recent } : this.missed(id, after);
  }

  /** Too much to tell is not told: the page reads the set-up anew. */
  async #missedIn(id: string, after: number, stored: StoredSetup): Promise<Missed> {
    if (after === stored.revision) return { to: stored.revision, texts: [] };
    // Whoever asks knows of edits that a database put in this one's place does not have.
    if (after > stored.revision) return { to: stored.revision, texts: null };
    const recent = this.#writer(id).recentAfter(after);
    if (recent) return { to: stored.revision, texts: recent };
    const { entries, more } = await entriesAfter(this.pool, id, after, stored.setup);
    if (more || entries.some(({ edit }) => !edit)) return { to: stored.revision, texts: null };
    return { to: entries.at(-1)?.revision ?? stored.revision, texts: entries.map(entryText) };
  }

  /** The newest entries before a revision, of an author or (null) of everyone; null when there is no such set-up. */
  async entriesBefore(
    id: string,
    revision: number,
    author: string | null,
    count?: number,
  ): Promise<LogPage | null> {
    const stored = await this.read(id);
    return stored && entriesBefore(this.pool, id, revision, author, stored.setup, count);
  }

  /** A set-up as it was right after an edit; 'unknown' where there is no way there, null where there is no such set-up. */
  async stateAt(id: string, revision: number): Promise<StoredSetup | 'unknown' | null> {
    const head = await this.read(id);
    if (!head) return null;
    if (revision > head.revision) return 'unknown';
    return (await stateAt(this.pool, this.snapshots, head, revision)) ?? 'unknown';
  }

  /** When an edit was made; null for how the set-up began. */
  async madeAt(id: string, revision: number): Promise<Date | null> {
    const { rows } = await this.pool.query('SELECT at FROM edits WHERE set_up = $1 AND revision = $2', [
      id,
      revision,
    ]);
    return (rows as { at: Date }[])[0]?.at ?? null;
  }

  /** What is kept on the disk, for how long, and when it was backed up last. */
  storage(): Promise<Storage> {
    return readStorage(this.pool);
  }

  /** How long snapshots that are made by themselves are kept; false when there is no such set-up. */
  keepFor(id: string, days: number | null): Promise<boolean> {
    return keepFor(this.pool, id, days);
  }

  /** Keeps a set-up as it is now; null when there is no such set-up. */
  async keepNow(id: string, keeping: Keeping): Promise<string | null> {
    const head = await this.read(id);
    return head && this.snapshots.keep(head, keeping);
  }

  /** Keeps states where the log is from before they were kept, so that none is far from one. */
  async markAll(): Promise<void> {
    for (const { id, revision } of await this.list()) {
      if (revision <= MARK_EVERY) continue;
      const [kept] = await this.snapshots.around(id, 0);
      if (!kept || kept.revision > MARK_EVERY) await this.stateAt(id, 0);
    }
  }

  /** When each edit after a revision was made, and by whom; null when there is no such set-up. */
  async momentsAfter(id: string, revision: number): Promise<readonly Moment[] | null> {
    const moments = await this.#writer(id).moments();
    if (!moments) this.#writers.delete(id);
    return moments?.slice(revision) ?? null;
  }

  /** Packs what is old of every log; says how many entries. */
  async packAll(): Promise<number> {
    let packed = 0;
    for (const { id, revision } of await this.list()) packed += await packOld(this.pool, id, revision);
    return packed;
  }

  /** The database is out of sight: what is there when it is back may be another. */
  lost(): void {
    for (const writer of this.#writers.values()) writer.doubt();
  }

  /** Another copy of the server has saved something; with null, anything may have happened. */
  async heard(id: string | null, revision: number | null): Promise<void> {
    for (const [own, writer] of this.#writers) if (id === null || own === id) await writer.heard(revision);
  }

  /** One a set-up, so that nothing is written past it. */
  #writer(id: string): SetupWriter {
    const known = this.#writers.get(id);
    if (known) return known;
    const made = new SetupWriter(id, this.pool, this.onSaved, this.#keeper, this.log);
    this.#writers.set(id, made);
    return made;
  }
}
