import { applyEdit, type Entry, type LogEntry, type Put } from '@nimble-lever/core/setup';
import type { StoredSetup } from './loadSetup.ts';

/** A put entry as the log keeps it. */
export function logEntry(entry: Entry, { edit, inverse }: Put, revision: number, at: string): LogEntry {
  const { id, author, base, role } = entry;
  const of = entry.role === 'do' ? null : entry.of;
  return { id, author, base, role, of, edit, inverse, revision, at };
}

/** A state with entries applied that others have saved; null where they do not fit it. */
export function catchUp(head: StoredSetup, entries: readonly LogEntry[]): StoredSetup | null {
  let { setup, revision } = head;
  for (const entry of entries) {
    const applied = entry.edit && entry.revision === revision + 1 ? applyEdit(setup, entry.edit) : null;
    if (!applied?.ok) return null;
    setup = applied.value.setup;
    revision = entry.revision;
  }
  return { ...head, setup, revision };
}
