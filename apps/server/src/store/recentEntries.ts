import type { LogEntry } from '@nimble-lever/core/setup';

/** How much is kept at hand: characters, entries. */
const MOST_TEXT = 4_000_000;
/** About a day's work of one person. Pages that were away for longer read the set-up instead. */
const MOST_ENTRIES = 1000;

/**
 * An entry as pages are told of it. What takes it back is left out: whoever applies the edit finds it, and it can be
 * a thousand times as large.
 */
export function entryText({ inverse: _inverse, ...entry }: LogEntry): string {
  return JSON.stringify(entry);
}

/** The newest entries as JSON, made once for all who are told. */
export class RecentEntries {
  #texts: string[] = [];
  #length = 0;

  add(texts: readonly string[]): void {
    for (const text of texts) {
      this.#texts.push(text);
      this.#length += text.length;
    }
    while (this.#texts.length > MOST_ENTRIES || (this.#length > MOST_TEXT && this.#texts.length > 1)) {
      this.#length -= this.#texts.shift()?.length ?? 0;
    }
  }

  /** Those after a revision, where the newest has the revision `newest`; null where some are no longer at hand. */
  after(revision: number, newest: number): readonly string[] | null {
    const count = newest - revision;
    if (count < 0 || count > this.#texts.length) return null;
    return count === 0 ? [] : this.#texts.slice(-count);
  }

  clear(): void {
    this.#texts = [];
    this.#length = 0;
  }
}
