import { MOST_REQUEST_BYTES } from '@nimble-lever/core/setup';
import { bare, type PendingEntry } from './setupState.ts';

/** Entries of one request: at most so many, and half of what a request may have, unless one is larger by itself. */
const MOST_ENTRIES = 100;
/**
 * Half of what the server takes: JSON around the entries has room, and a slow line is not kept busy for long.
 */
const MOST_BYTES = MOST_REQUEST_BYTES / 2;

/** Entries do not change, so each is measured once. */
const sizes = new WeakMap<object, number>();

/** How many bytes an entry takes in a request; worked out once an edit. */
function sizeOf(entry: PendingEntry): number {
  const known = sizes.get(entry.edit);
  if (known !== undefined) return known;
  const size = new TextEncoder().encode(JSON.stringify(bare(entry))).length;
  sizes.set(entry.edit, size);
  return size;
}

/** The entries to send next: the first ones that fit into one request; with `alone` only the very first. */
export function nextBatch(pending: readonly PendingEntry[], alone: boolean): readonly PendingEntry[] {
  if (alone) return pending.slice(0, 1);
  let bytes = 0;
  let count = 0;
  for (const entry of pending.slice(0, MOST_ENTRIES)) {
    bytes += sizeOf(entry);
    if (count > 0 && bytes > MOST_BYTES) break;
    count += 1;
  }
  return pending.slice(0, count);
}
