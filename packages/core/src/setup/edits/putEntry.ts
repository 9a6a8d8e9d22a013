import { ok, type Result, refuse } from '../../result.ts';
import type { Refusal } from '../refusal.ts';
import type { Setup } from '../setup.ts';
import type { Applied } from './applied.ts';
import { applyEdit } from './applyEdit.ts';
import type { Edit } from './edit.ts';
import type { Entry, Recorded } from './history.ts';
import { undoingEdit } from './undoing.ts';

/** What an undo or redo needs of the entry it is about. */
export interface Turned {
  /** Null where nothing is left to take back. */
  readonly edit: Edit | null;
  /** What takes it back now: that of its last redo, where it was done again. */
  readonly inverse: Edit | null;
  /** Whether the entry counts as undone now. */
  readonly undone: boolean;
}

/** An entry put onto a set-up: the edit that it came to, with its outcome. */
export interface Put extends Applied {
  readonly edit: Edit;
}

/**
 * Puts an entry onto the newest state, whatever state it was made on. `turned` is what an undo or redo is about,
 * null where there is no such entry.
 */
export function putEntry(setup: Setup, entry: Entry, turned: Turned | null): Result<Put, Refusal> {
  const edit = editFor(setup, entry, turned);
  if (!edit.ok) return edit;
  const applied = applyEdit(setup, edit.value);
  return applied.ok ? ok({ ...applied.value, edit: edit.value }) : applied;
}

/** An undo is worked out on the newest state: what others changed since stays. */
function editFor(setup: Setup, entry: Entry, turned: Turned | null): Result<Edit, Refusal> {
  if (entry.role === 'do') return ok(entry.edit);
  if (!turned?.edit || !turned.inverse) return refuse({ code: 'entry-unknown' });
  if (turned.undone !== (entry.role === 'redo')) return refuse({ code: 'turned-already' });
  if (entry.role === 'redo') return ok(turned.edit);
  const back = undoingEdit(setup, turned.edit, turned.inverse);
  return back ? ok(back) : refuse({ code: 'changed-since' });
}

/** What the entries of a log, oldest first, say of one of them. */
export function turnedIn(log: readonly Recorded[], of: string): Turned | null {
  const entry = log.find(({ id }) => id === of);
  if (!entry) return null;
  const last = log.findLast((other) => other.of === of);
  return {
    edit: entry.edit,
    inverse: last?.role === 'redo' ? last.inverse : entry.inverse,
    undone: last?.role === 'undo',
  };
}
