import { findShown, type ShownSetUp } from './shownSetUp.ts';

/** The set-up, asked for before the page itself was read. */
let asked: Promise<Response> | undefined;

/**
 * Asks for the set-up at once, while the browser still reads the page: by the time the page wants it, it is there.
 * Nothing is looked at here; the page checks what came.
 */
export function askEarly(): void {
  const author = knownAuthor();
  // Who was never here has no edits of their own to be told.
  asked = fetch(addressOf(findShown(), author));
  // Whatever went wrong is met again, and told, by the page's own request.
  asked.catch(() => undefined);
}

/** Where a set-up is read, with the newest edits of an author; one as it was comes without edits. */
export function addressOf({ id, revision }: ShownSetUp, author: string | null): string {
  if (id !== null && revision !== null) return `/api/set-ups/${id}/states/${revision}`;
  const query = author === null ? '' : `?author=${author}`;
  return id === null ? `/api/set-up${query}` : `/api/set-ups/${id}${query}`;
}

/** The early answer, once; undefined where it was not asked for, or is taken. */
export function takeEarly(): Promise<Response> | undefined {
  const found = asked;
  asked = undefined;
  return found;
}

function knownAuthor(): string | null {
  try {
    const { id } = JSON.parse(localStorage.getItem('nimble-lever:author') ?? '{}') as { id?: unknown };
    return typeof id === 'string' ? encodeURIComponent(id) : null;
  } catch {
    return null;
  }
}
