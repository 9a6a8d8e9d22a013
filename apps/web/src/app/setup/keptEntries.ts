import { type Author, type Entry, entrySchema, type Setup } from '@nimble-lever/core/setup';
import { z } from 'zod';
import { bare } from './setupState.ts';

/**
 * Edits that are not saved yet are kept by the browser too, one key an entry, so that closing the page loses
 * nothing.
 */
export const PREFIX = 'nimble-lever:waiting:';

/**
 * What a page keeps, in the order it was made. Version 1 kept a bare list of entries with whole items; in version 2
 * layers could be shown as pages.
 */
const keptSchema = z.strictObject({
  version: z.literal(3),
  entries: z.array(z.strictObject({ made: z.number(), entry: entrySchema })),
});
/** How the second version kept them. */
const kept2Schema = z.object({
  version: z.literal(2),
  entries: z.array(z.object({ made: z.number(), entry: z.looseObject({}) })),
});
/** How the first version kept them: all in one list. */
const kept1Schema = z.array(
  z.object({
    id: z.uuid(),
    edit: z.unknown(),
    role: z.enum(['do', 'undo', 'redo']),
    of: z.uuid().nullable(),
  }),
);

/** When each entry was made here: milliseconds, never twice the same. */
const made = new Map<string, number>();
// Two edits within a millisecond keep their order.
let latest = 0;

/** The moment an entry was made, as its order among those of all pages. */
function madeAt(id: string): number {
  const known = made.get(id);
  if (known !== undefined) return known;
  latest = Math.max(Date.now(), latest + 0.001);
  made.set(id, latest);
  return latest;
}

/**
 * Entries that wait to be saved, kept in the browser so that a closed page loses none. Each page writes under a name
 * of its own; a new page takes up what closed ones left. The server keeps an entry sent twice only once.
 */
export function keepEntries(setUp: string, page: string, entries: readonly Entry[]): void {
  const name = `${PREFIX}${setUp}:${page}`;
  try {
    if (entries.length === 0) {
      localStorage.removeItem(name);
      made.clear();
    } else {
      const kept = entries.map((entry) => ({ made: madeAt(entry.id), entry: bare(entry) }));
      localStorage.setItem(name, JSON.stringify({ version: 3, entries: kept }));
    }
  } catch {
    // A full or forbidden store: the entries are still in memory and still sent.
  }
}

/**
 * Takes up what closed pages left, in the order in which it was made, whichever page made it. `open` names the pages
 * that are open still. What cannot be read is left where it is.
 */
export async function takeKeptEntries(
  setUp: string,
  open: ReadonlySet<string>,
  author: Author,
  setup: Setup,
): Promise<readonly Entry[]> {
  const taken = new Map<string, { made: number; entry: Entry }>();
  for (const name of Object.keys(localStorage).filter((key) => key.startsWith(`${PREFIX}${setUp}:`))) {
    if (open.has(name.slice(`${PREFIX}${setUp}:`.length))) continue;
    const text = localStorage.getItem(name);
    const entries = await readKept(readJson(text), author, setup);
    // Meanwhile the page it belongs to may have written something else.
    if (!entries || localStorage.getItem(name) !== text) continue;
    for (const each of entries) {
      taken.set(each.entry.id, each);
      made.set(each.entry.id, each.made);
    }
    localStorage.removeItem(name);
  }
  return [...taken.values()].sort((a, b) => a.made - b.made).map(({ entry }) => entry);
}

/** What an earlier version of the page kept, brought up to date; null where it cannot be read. */
async function readKept(json: unknown, author: Author, setup: Setup) {
  const kept = keptSchema.safeParse(json);
  if (kept.success) return kept.data.entries;
  const kept2 = kept2Schema.safeParse(json).data;
  if (kept2) {
    const { editWithPages } = await import('@nimble-lever/core/setup/version2');
    const entries = kept2.entries.map(({ made: at, entry }) => ({
      made: at,
      entry: 'edit' in entry ? { ...entry, edit: editWithPages(setup, entry.edit) } : entry,
    }));
    return keptSchema.safeParse({ version: 3, entries }).data?.entries ?? null;
  }
  const old = kept1Schema.safeParse(json);
  if (!old.success) return null;
  const { upcastPair } = await import('@nimble-lever/core/setup/version1');
  const entries = old.data.map(({ id, edit, role, of }): Entry | null => {
    const common = { id: id.toLowerCase(), author, base: 0 };
    if (role !== 'do') return of === null ? null : { ...common, role, of };
    const pair = upcastPair(setup, { edit, inverse: null });
    return pair && { ...common, role, edit: pair.edit };
  });
  if (entries.includes(null)) return null;
  return entries.flatMap((entry, i) => (entry ? [{ made: i, entry }] : []));
}

/** JSON that may be damaged: null. */
function readJson(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
}
