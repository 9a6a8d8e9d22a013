import { editSchema, entrySchema } from '@nimble-lever/core/setup';
import { z } from 'zod';
import type { AsideEntry } from './notices.ts';

/** An edit that the server could not save, with the reason; kept until the person decides. */
const asideSchema = z.strictObject({
  entry: entrySchema,
  edit: editSchema,
  detail: z.string(),
  at: z.string(),
});
/**
 * One key an entry: two pages of one browser write at the same time, and neither may write over the other's.
 */
const prefixOf = (setUp: string) => `nimble-lever:aside:${setUp}:`;

/**
 * Keeps entries that were set aside in the browser, each under a name of its own so that pages do not overwrite each
 * other's, until the person sends them again or drops them.
 */
export function keepAside(setUp: string, before: readonly AsideEntry[], after: readonly AsideEntry[]): void {
  const [old, now] = [
    new Set(before.map(({ entry }) => entry.id)),
    new Set(after.map(({ entry }) => entry.id)),
  ];
  try {
    for (const id of old) if (!now.has(id)) localStorage.removeItem(prefixOf(setUp) + id);
    for (const each of after) {
      if (!old.has(each.entry.id))
        localStorage.setItem(prefixOf(setUp) + each.entry.id, JSON.stringify(each));
    }
  } catch {
    // A full or forbidden store: they last for this visit.
  }
}

/** What was set aside before, oldest first. What cannot be read is left where it is. */
export function readAside(setUp: string): readonly AsideEntry[] {
  const names = Object.keys(localStorage).filter((name) => name.startsWith(prefixOf(setUp)));
  const found = names.flatMap((name) => {
    try {
      return [asideSchema.parse(JSON.parse(localStorage.getItem(name) ?? 'null'))];
    } catch {
      return [];
    }
  });
  return found.sort((a, b) => (a.at < b.at ? -1 : 1));
}
