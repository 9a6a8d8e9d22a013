/** The first set-up, asked for before the page itself was read. */
let asked: Promise<Response> | undefined;

/**
 * Asks for the first set-up at once, while the browser still reads the page: by the time the page wants it, it is there.
 * Nothing is looked at here; the page checks what came.
 */
export function askEarly(): void {
  const author = knownAuthor();
  // Who was never here has no edits of their own to be told.
  asked = fetch(`/api/set-up${author === null ? '' : `?author=${author}`}`);
  // Whatever went wrong is met again, and told, by the page's own request.
  asked.catch(() => undefined);
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
