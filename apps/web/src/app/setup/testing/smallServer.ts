import {
  demoSetup,
  type Entry,
  type LogEntry,
  type NewsEntry,
  putEntry,
  type SentOutcome,
  type Setup,
  turnedIn,
} from '@nimble-lever/core/setup';

/** The server in small, for tests: it keeps a set-up and a log, and answers as the real one does. */
export class SmallServer {
  setup: Setup = demoSetup();
  readonly log: LogEntry[] = [];

  /** Saves entries, each by itself, once; answers what became of them and what came after a revision. */
  append(after: number, entries: readonly Entry[]): { outcomes: SentOutcome[]; entries: NewsEntry[] } {
    const outcomes = entries.map((entry) => this.#put(entry));
    return { outcomes, entries: this.news(after) };
  }

  /** The entries after a revision, as pages are told of them. */
  news(after: number): NewsEntry[] {
    return this.log.slice(after).map(({ inverse: _inverse, ...entry }) => entry);
  }

  /** The set-up with an author's own history. */
  read(author: string) {
    const entries = this.log.filter((entry) => entry.author.id === author);
    return { revision: this.log.length, setup: this.setup, history: { entries, more: false } };
  }

  #put(entry: Entry): SentOutcome {
    const { id } = entry;
    const before = this.log.find((each) => each.id === id);
    if (before) return { kind: 'saved', id, revision: before.revision };
    const put = putEntry(this.setup, entry, entry.role === 'do' ? null : turnedIn(this.log, entry.of));
    if (!put.ok) return { kind: 'refused', id, code: put.problem.code, detail: put.problem.code };
    const { setup, edit, inverse } = put.value;
    this.setup = setup;
    const { author, base, role } = entry;
    const of = entry.role === 'do' ? null : entry.of;
    const revision = this.log.length + 1;
    this.log.push({ id, author, base, role, of, edit, inverse, revision, at: '2026-01-01T00:00:00.000Z' });
    return { kind: 'saved', id, revision };
  }
}
