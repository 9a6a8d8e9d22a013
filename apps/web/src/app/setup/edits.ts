import {
  type Edit,
  editSchema,
  MOST_REQUEST_BYTES,
  partsOf,
  type SingleEdit,
  together,
} from '@nimble-lever/core/setup';
import { newUuid } from '../newUuid.ts';
import { WORDS } from '../shell/words.ts';
import type { AppThunk } from '../store.ts';
import { readOlder } from './api.ts';
import { entryMade, noticed, olderEntriesRead } from './setupSlice.ts';
import { historyIn, oldestKnown } from './setupState.ts';

/** What an edit may come to, with room for what is sent around it: bytes. */
const MOST_EDIT_BYTES = MOST_REQUEST_BYTES - 10_000;

/**
 * Makes an edit: shown at once, saved by itself, undoable. One that cannot be saved is refused now, in words; then it gives
 * false.
 */
export const makeEdit =
  (edit: Edit): AppThunk<boolean> =>
  (dispatch, getState) => {
    const id = newUuid();
    const say = (words: string) => {
      dispatch(noticed({ kind: 'said', id, words }));
      return false;
    };
    if (getState().setup.asItWas) return say(WORDS.onlyLookedAt);
    // As the server reads it, so that both come to the same.
    const read = editSchema.safeParse(edit);
    const [issue] = read.error?.issues ?? [];
    if (issue) {
      // Words for what a view hardly ever lets happen: not worth carrying from the start.
      const words = import('@nimble-lever/core/words/issues').then(({ issueWords }) => issueWords(issue));
      void words.catch(() => '').then((why) => say(WORDS.notAllowed(why)));
      return false;
    }
    if (!read.data || partsOf(read.data).length === 0) return false;
    const bytes = new TextEncoder().encode(JSON.stringify(read.data)).length;
    if (bytes > MOST_EDIT_BYTES) return say(WORDS.tooLarge);
    const { me, revision } = getState().setup;
    dispatch(entryMade({ id, edit: read.data, role: 'do', author: me, base: revision }));
    return true;
  };

/** The same for several edits that belong together; none changes nothing. */
export const makeEdits =
  (edits: readonly SingleEdit[]): AppThunk =>
  (dispatch) => {
    if (edits.length > 0) dispatch(makeEdit(together(edits)));
  };

/** Takes back this author's newest edit that can be, however long ago it was. */
export const undo = (): AppThunk<Promise<void>> => async (dispatch) => {
  await dispatch(reachBack('undo'));
  dispatch(turnLast('undo'));
};

/** Brings back the edit that was taken back last. */
export const redo = (): AppThunk<Promise<void>> => async (dispatch) => {
  await dispatch(reachBack('redo'));
  dispatch(turnLast('redo'));
};

/**
 * Takes back the last edit of the person, or does it again, as a new edit: others have edited meanwhile, and
 * theirs stays.
 */
const turnLast =
  (role: 'undo' | 'redo'): AppThunk =>
  (dispatch, getState) => {
    const { setup } = getState();
    const last = historyIn(setup)[role].at(-1);
    if (!last) return;
    const { me, revision } = setup;
    dispatch(entryMade({ id: newUuid(), role, of: last.id, author: me, base: revision }));
  };

/** Reads older edits of this author until there is one to turn, or no more. */
export const reachBack =
  (role: 'undo' | 'redo'): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    for (;;) {
      const { setup } = getState();
      const history = historyIn(setup);
      const enough = history[role].length > 0 && !(role === 'redo' && history.needsOlder);
      const wanted = role === 'undo' || history.needsOlder;
      if (setup.id === null || enough || !wanted || !setup.hasOlder) return;
      const before = oldestKnown(setup);
      try {
        const { entries, more } = await readOlder(setup.id, before, setup.me.id);
        dispatch(olderEntriesRead({ before, entries, more }));
      } catch (error) {
        const why = error instanceof Error ? error.message : '';
        dispatch(noticed({ kind: 'said', id: 'history', words: WORDS.notReached(why) }));
        return;
      }
    }
  };
