import { applyEdit, type Edit, type LogEntry, type Setup } from '@nimble-lever/core/setup';
import type { Queryable } from './database.ts';
import { entriesAfter, entriesBefore } from './editLog.ts';
import type { StoredSetup } from './loadSetup.ts';
import { MARK, type Snapshots } from './snapshots.ts';

/** After so many edits a state is kept, so that no state is further away from one that is. */
export const MARK_EVERY = 200;

/**
 * A set-up as it was right after an edit: from the nearest state that is kept, or from how it is now, edit by edit. Where
 * that is far, as in a log from before states were kept, some on the way are kept for the next time.
 *
 * @param head how it is now
 * @returns null where an edit on the way cannot be read any more
 */
export async function stateAt(
  database: Queryable,
  snapshots: Snapshots,
  head: StoredSetup,
  revision: number,
): Promise<StoredSetup | null> {
  const far = (state: { readonly revision: number }) => Math.abs(state.revision - revision);
  const kept = await snapshots.around(head.id, revision);
  const starts = [...kept.filter((state) => far(state) < far(head)), null, ...kept];
  for (const start of starts) {
    const setup = start ? await snapshots.read(start) : head.setup;
    const from = start ? start.revision : head.revision;
    const found = setup && (await walk(database, snapshots, { ...head, setup, revision: from }, revision));
    if (found) return found;
  }
  return null;
}

/** Goes from one state to another, forth by what was done or back by what takes it back. */
async function walk(
  database: Queryable,
  snapshots: Snapshots,
  from: StoredSetup,
  to: number,
): Promise<StoredSetup | null> {
  const isFar = Math.abs(from.revision - to) > MARK_EVERY;
  const isForth = from.revision < to;
  let at = from;
  while (at.revision !== to) {
    const entries = isForth
      ? (await entriesAfter(database, from.id, at.revision, from.setup)).entries
      : (await entriesBefore(database, from.id, at.revision + 1, null, from.setup)).entries.toReversed();
    if (entries.length === 0) return null;
    for (const entry of entries) {
      if (at.revision === to) break;
      const setup = isForth ? stepForth(at, entry) : stepBack(at, entry);
      if (!setup) return null;
      at = { ...at, setup, revision: at.revision + (isForth ? 1 : -1) };
      if (isFar && at.revision % MARK_EVERY === 0) await snapshots.keep(at, MARK);
    }
  }
  return at;
}

const stepForth = ({ setup, revision }: StoredSetup, entry: LogEntry) =>
  entry.revision === revision + 1 ? applied(setup, entry.edit) : null;

const stepBack = ({ setup, revision }: StoredSetup, entry: LogEntry) =>
  entry.revision === revision ? applied(setup, entry.inverse) : null;

function applied(setup: Setup, edit: Edit | null): Setup | null {
  const done = edit && applyEdit(setup, edit);
  return done?.ok ? done.value.setup : null;
}
