import { type Entry, entrySchema } from '@nimble-lever/core/setup';
import { z } from 'zod';

const PREFIX = 'nimble-lever:waiting:';

/**
 * Edits that wait to be saved, kept in the browser so that a closed page loses none. Each page writes under
 * a name of its own; a new page takes up what any page left. The server keeps an edit sent twice only once.
 */
export function keepEntries(setUp: string, page: string, entries: readonly Entry[]): void {
  const name = `${PREFIX}${setUp}:${page}`;
  try {
    if (entries.length === 0) localStorage.removeItem(name);
    else {
      const bare = entries.map(({ id, edit, role, of }) => ({ id, edit, role, of }));
      localStorage.setItem(name, JSON.stringify(bare));
    }
  } catch {
    // A full or forbidden store: the edits are still in memory and still sent.
  }
}

/** Takes up what pages left, oldest page first. What cannot be read is left where it is. */
export function takeKeptEntries(setUp: string): Entry[] {
  const taken: Entry[] = [];
  for (const name of Object.keys(localStorage).filter((key) => key.startsWith(`${PREFIX}${setUp}:`))) {
    const parsed = z.array(entrySchema).safeParse(readJson(localStorage.getItem(name)));
    if (!parsed.success) continue;
    taken.push(...parsed.data.filter(({ id }) => !taken.some((entry) => entry.id === id)));
    localStorage.removeItem(name);
  }
  return taken;
}

function readJson(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
}
