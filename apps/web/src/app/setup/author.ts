import { type Author, authorSchema } from '@nimble-lever/core/setup';
import { browserName } from '../browserName.ts';
import { newUuid } from '../newUuid.ts';
import type { AppThunk } from '../store.ts';
import { authorChanged } from './setupSlice.ts';

/** Where the browser keeps who works here. */
const NAME = 'nimble-lever:author';

/** Who edits in this browser: kept in it, with a name of its own until the person chooses one. */
export function readAuthor(): Author {
  try {
    const kept = authorSchema.safeParse(JSON.parse(localStorage.getItem(NAME) ?? 'null'));
    if (kept.success) return kept.data;
  } catch {
    // Unreadable or forbidden: this visit gets an author of its own.
  }
  const author = { id: newUuid(), name: browserName(navigator.userAgent) };
  keep(author);
  return author;
}

/** Gives this browser's edits another name from now on. */
export const renameAuthor =
  (name: string): AppThunk =>
  (dispatch, getState) => {
    const author = { ...getState().setup.me, name };
    keep(author);
    dispatch(authorChanged(author));
  };

/** Keeps who works here, so that their undo reaches back after the page was closed. */
function keep(author: Author): void {
  try {
    localStorage.setItem(NAME, JSON.stringify(author));
  } catch {
    // A full or forbidden store: the name lasts for this visit.
  }
}
