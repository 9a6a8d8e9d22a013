import { z } from 'zod';
import { editSchema } from './edit.ts';

/**
 * An edit with what it was made for: something new, or taking back (`undo`) or bringing back (`redo`) an
 * earlier entry. `id` is the sender's own, so that an edit sent twice is kept once.
 */
export const entrySchema = z.strictObject({
  id: z.uuid(),
  edit: editSchema,
  role: z.enum(['do', 'undo', 'redo']),
  /** The entry that is undone or done again; null for something new. */
  of: z.uuid().nullable(),
});
export type Entry = z.infer<typeof entrySchema>;

/** An entry as the log keeps it: under the set-up's next revision, with the edit that takes it back. */
export const logEntrySchema = entrySchema.extend({
  revision: z.number().int().positive(),
  inverse: editSchema,
  /** When it was saved: ISO 8601, UTC. */
  at: z.iso.datetime(),
});
export type LogEntry = z.infer<typeof logEntrySchema>;

type Recorded = Pick<LogEntry, 'id' | 'edit' | 'inverse' | 'role' | 'of'>;

export interface History<Item> {
  /** Entries that can be undone, newest last. */
  readonly undo: readonly Item[];
  /** Entries that can be done again, the next one last. */
  readonly redo: readonly Item[];
}

/** What can be undone and done again after a run of entries, oldest first. A new edit drops what was undone. */
export function historyOf<Item extends Recorded>(entries: readonly Item[]): History<Item> {
  let undo: readonly Item[] = [];
  let redo: readonly Item[] = [];
  for (const entry of entries) {
    if (entry.role === 'do') {
      undo = [...undo, entry];
      redo = [];
    } else if (entry.role === 'undo') {
      const undone = undo.find(({ id }) => id === entry.of);
      undo = undo.filter(({ id }) => id !== entry.of);
      if (undone) redo = [...redo, undone];
    } else {
      const redone = redo.find(({ id }) => id === entry.of);
      redo = redo.filter(({ id }) => id !== entry.of);
      if (redone) undo = [...undo, { ...redone, inverse: entry.inverse }];
    }
  }
  return { undo, redo };
}
