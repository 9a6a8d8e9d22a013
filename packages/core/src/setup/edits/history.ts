import { z } from 'zod';
import { nameSchema } from '../../devices/index.ts';
import { isWithin } from './address.ts';
import { editSchema, partsOf } from './edit.ts';

/** Ids are compared as text, so upper case is folded. */
const uuid = z.uuid().toLowerCase();

/** The largest number the database keeps in a revision. */
export const MOST_REVISION = 2 ** 31 - 1;
/** How many entries a set-up has taken. */
export const revisionSchema = z.number().int().min(0).max(MOST_REVISION);

/** Who made an edit: a browser, under a name the person chose. */
export const authorSchema = z.strictObject({ id: uuid, name: nameSchema });
/** Who edits: a page's own id, and the name others see. */
export type Author = z.infer<typeof authorSchema>;

/** What every entry has. */
const common = {
  /** The sender's own, so that an entry sent twice is kept once. */
  id: uuid,
  author: authorSchema,
  /** The newest revision the author had seen. */
  base: revisionSchema,
};

/** An edit as anyone may send it: parts that cannot be read are only ever removed. To put them back, undo brings them. */
const sentEditSchema = editSchema.check(({ value, issues }) => {
  const forbidden = partsOf(value).some(({ kind, at }) => kind !== 'remove' && isWithin(at, UNREADABLE));
  if (forbidden) issues.push({ code: 'custom', input: value, params: { code: 'only-removed' } });
});
/** Stands for an edit of a version this one cannot read; it is kept, and cannot be undone. */
const UNREADABLE = 'unreadable';

/**
 * What is sent to be saved: an edit, or that an earlier entry is taken back (`undo`) or brought back (`redo`); which
 * edit that is, the log knows.
 */
export const entrySchema = z.discriminatedUnion('role', [
  z.strictObject({ ...common, role: z.literal('do'), edit: sentEditSchema }),
  z.strictObject({ ...common, role: z.enum(['undo', 'redo']), of: uuid }),
]);
/** An edit with who made it, and on what. */
export type Entry = z.infer<typeof entrySchema>;

/** An entry as the log keeps it: under the set-up's next revision. */
export const logEntrySchema = z.strictObject({
  ...common,
  role: z.enum(['do', 'undo', 'redo']),
  of: uuid.nullable(),
  revision: revisionSchema.min(1),
  /** What was applied, and what takes it back; null where they cannot be read any more. */
  edit: editSchema.nullable(),
  inverse: editSchema.nullable(),
  /** When it was saved: ISO 8601, UTC. */
  at: z.iso.datetime(),
});
/** An entry with its place in the log. */
export type LogEntry = z.infer<typeof logEntrySchema>;

/** What history needs of an entry. */
export type Recorded = Pick<LogEntry, 'id' | 'edit' | 'inverse' | 'role' | 'of'>;

/**
 * What of a person's edits can be undone and done again, found from the log alone, so that every page finds the same.
 */
export interface History<Item> {
  /** Entries that can be undone, newest last. */
  readonly undo: readonly Item[];
  /** Entries that can be done again, the next one last. */
  readonly redo: readonly Item[];
  /** Whether entries speak of older ones that are not among them. */
  readonly needsOlder: boolean;
}

/**
 * What one author can undo and do again after a run of that author's entries, oldest first. A new edit drops what was
 * undone. What cannot be read cannot be undone either.
 */
export function historyOf<Item extends Recorded>(entries: readonly Item[]): History<Item> {
  const known = new Set<string>();
  const undo = new Map<string, Item>();
  let redo = new Map<string, Item>();
  let needsOlder = false;
  for (const entry of entries) {
    const { role, of } = entry;
    if (role === 'do') {
      known.add(entry.id);
      if (entry.edit && entry.inverse) undo.set(entry.id, entry);
      redo = new Map();
      needsOlder = false;
    } else if (of !== null && !known.has(of)) {
      needsOlder = true;
    } else if (role === 'undo') {
      turn(undo, redo, of);
    } else {
      turn(redo, undo, of, entry.inverse);
    }
  }
  return { undo: [...undo.values()], redo: [...redo.values()], needsOlder };
}

/** An entry goes from what can be undone to what can be done again, or back. */
function turn<Item extends Recorded>(
  from: Map<string, Item>,
  to: Map<string, Item>,
  of: string | null,
  inverse: Item['inverse'] | undefined = undefined,
): void {
  const entry = of === null ? undefined : from.get(of);
  if (!entry || of === null) return;
  from.delete(of);
  to.set(of, inverse === undefined ? entry : { ...entry, inverse });
}
