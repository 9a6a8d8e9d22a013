/** Which set-up a page shows, and as of when. */
export interface ShownSetUp {
  /** What stands before the addresses of the views: empty where the address names no set-up. */
  readonly base: string;
  /** Null: the one that is shown first. */
  readonly id: string | null;
  /** Right after the edit of this number, to look at; null: as it is now. */
  readonly revision: number | null;
}

const KEY = 'nimble-lever:set-up';
const ADDRESS = /^\/set-up\/([a-z0-9][a-z0-9-]*)(?:\/at\/(\d{1,10}))?(?=\/|$)/;

/** What an address says: `/set-up/loft/board`, `/set-up/loft/at/120/board`, or `/board`. */
export function shownIn(path: string): ShownSetUp {
  const [base = '', id = null, revision = null] = ADDRESS.exec(path) ?? [];
  return { base, id, revision: revision === null ? null : Number(revision) };
}

/** The address of a view of a set-up. */
export function addressIn(id: string, revision: number | null, view: string): string {
  return `/set-up/${id}${revision === null ? '' : `/at/${revision}`}${view}`;
}

/**
 * What this page shows. An address without a set-up becomes that of the one this browser had open last, so that a page
 * that is loaded anew shows what it showed, whatever other pages do.
 */
export function findShown(): ShownSetUp {
  const shown = shownIn(location.pathname);
  const last = shown.id === null ? readLast() : null;
  if (last === null) return shown;
  const path = addressIn(last, null, location.pathname);
  history.replaceState(history.state, '', path + location.search + location.hash);
  return shownIn(path);
}

/** Keeps which set-up was opened by its address; with null, none is any more. */
export function keepLast(id: string | null): void {
  try {
    if (id === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, id);
  } catch {
    // Private windows and full stores: the next page shows the first one.
  }
}

function readLast(): string | null {
  try {
    const id = localStorage.getItem(KEY);
    return id !== null && shownIn(`/set-up/${id}`).id === id ? id : null;
  } catch {
    return null;
  }
}
