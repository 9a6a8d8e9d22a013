import type { LogEntry } from '@nimble-lever/core/setup';
import type { Moment } from '@nimble-lever/core/vault';

/** Where a history is read from. */
export interface HistorySource {
  /** When each edit after a revision was made. */
  readonly moments: (after: number) => Promise<readonly Moment[]>;
  /** The newest edits before a revision, oldest first; at least one where there is any, and at most so many. */
  readonly before: (revision: number, count: number) => Promise<{ readonly entries: readonly LogEntry[] }>;
}

/** What is known of a history. A new one each time something more is. */
export interface KnownHistory<Digest> {
  /** Of every edit, oldest first: the first has revision 1. Null before they are read. */
  readonly moments: readonly Moment[] | null;
  /** Edits that were read, by revision: those that were looked at. */
  readonly entries: ReadonlyMap<number, LogEntry>;
  /** What is kept of every edit that was ever read, by revision: little, for all of them. */
  readonly digests: ReadonlyMap<number, Digest>;
  /** Why it could not be read, in words; null where it could. */
  readonly failed: string | null;
}

/** So many edits are kept at hand; what was read longest ago goes first. */
const MOST_AT_HAND = 5_000;
/** As many at once as a page of the log has; where a hand waits, as many as are seen and some beside. */
const PAGE = 500;
const BESIDE = 40;
/** While all are looked through, who draws is told this often: milliseconds. */
const TOLD_EVERY_MS = 250;

/**
 * Reads a history: all moments at once, edits page by page where they are looked at. One thing after the other, so that a
 * fast hand does not ask for a hundred pages at once.
 */
export class HistoryReader<Digest> {
  readonly #entries = new Map<number, LogEntry>();
  readonly #digests = new Map<number, Digest>();
  #known: KnownHistory<Digest> = {
    moments: null,
    entries: this.#entries,
    digests: this.#digests,
    failed: null,
  };
  readonly #listeners = new Set<() => void>();
  /** The newest revision that is wanted; what was saved since the last reading is read with it. */
  #newest = 0;
  #wanted: { readonly from: number; readonly to: number } | null = null;
  #isLooking = false;
  #toldAt = 0;
  #isBusy = false;
  #isClosed = false;

  constructor(
    private readonly source: HistorySource,
    private readonly digest: (entry: LogEntry) => Digest,
  ) {}

  readonly known = (): KnownHistory<Digest> => this.#known;

  readonly listen = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Edits up to a revision are to be known. */
  upTo(revision: number): void {
    this.#isClosed = false;
    this.#newest = Math.max(this.#newest, revision);
    void this.#work();
  }

  /** These edits are looked at. */
  want(from: number, to: number): void {
    this.#wanted = { from, to };
    void this.#work();
  }

  /** Whether all edits are read in turn, newest first, so that there is something kept of each. */
  lookThrough(isWanted: boolean): void {
    this.#isLooking = isWanted;
    void this.#work();
  }

  /** After a failure: tries again. */
  again(): void {
    this.#tell({ failed: null });
    void this.#work();
  }

  close(): void {
    this.#isClosed = true;
  }

  async #work(): Promise<void> {
    if (this.#isBusy || this.#known.failed !== null) return;
    this.#isBusy = true;
    try {
      for (let step = this.#next(); step && !this.#isClosed; step = this.#next()) {
        await step();
      }
      this.#tellRead();
    } catch (error) {
      this.#tell({ failed: error instanceof Error ? error.message : '' });
    } finally {
      this.#isBusy = false;
    }
  }

  /** What is to be read next: first what is seen. */
  #next(): (() => Promise<void>) | null {
    const { moments } = this.#known;
    if (moments === null || moments.length < this.#newest) return () => this.#readMoments();
    const missing = this.#missing();
    if (missing !== null) return () => this.#readBefore(missing + 1, this.#countSeen());
    const unread = this.#isLooking ? this.#newestWithout(this.#digests, 1, moments.length) : null;
    return unread === null ? null : () => this.#readBefore(unread + 1, PAGE);
  }

  /** The newest edit that is wanted and not at hand. */
  #missing(): number | null {
    if (!this.#wanted) return null;
    const { from, to } = this.#wanted;
    return this.#newestWithout(this.#entries, from, Math.min(to, this.#known.moments?.length ?? 0));
  }

  #newestWithout(map: ReadonlyMap<number, unknown>, from: number, to: number): number | null {
    for (let revision = to; revision >= Math.max(1, from); revision--)
      if (!map.has(revision)) return revision;
    return null;
  }

  async #readMoments(): Promise<void> {
    const moments = this.#known.moments ?? [];
    const more = await this.source.moments(moments.length);
    // What was to be there is not: it is not asked for again and again.
    this.#newest = Math.min(this.#newest, moments.length + more.length);
    this.#tell({ moments: [...moments, ...more] });
  }

  #countSeen(): number {
    const { from, to } = this.#wanted ?? { from: 0, to: 0 };
    return Math.min(PAGE, to - from + 1 + BESIDE);
  }

  async #readBefore(revision: number, count: number): Promise<void> {
    const { entries } = await this.source.before(revision, count);
    // An edit that the log does not have is not asked for again and again.
    if (entries.length === 0) throw new Error('');
    for (const entry of entries) {
      this.#entries.delete(entry.revision);
      this.#entries.set(entry.revision, entry);
      if (!this.#digests.has(entry.revision)) this.#digests.set(entry.revision, this.digest(entry));
    }
    for (const old of this.#entries.keys()) {
      if (this.#entries.size <= MOST_AT_HAND) break;
      this.#entries.delete(old);
    }
    if (count < PAGE || Date.now() - this.#toldAt >= TOLD_EVERY_MS) this.#tellRead();
  }

  /** Who draws them goes by whether it is another map. */
  #tellRead(): void {
    this.#toldAt = Date.now();
    this.#tell({ entries: new Map(this.#entries) });
  }

  #tell(change: Partial<KnownHistory<Digest>>): void {
    this.#known = { ...this.#known, ...change };
    for (const listener of this.#listeners) listener();
  }
}
