/** Longer than this nothing waits for a page that is never idle: milliseconds. */
const LIMIT_MS = 2000;

/**
 * Does something when the browser has drawn and has nothing else to do (`requestIdleCallback`, W3C); the answer takes it
 * back. Where a browser does not tell, it is done with the next turn.
 */
export function whenIdle(act: () => void): () => void {
  if (typeof requestIdleCallback !== 'function') {
    const timer = setTimeout(act);
    return () => clearTimeout(timer);
  }
  const id = requestIdleCallback(act, { timeout: LIMIT_MS });
  return () => cancelIdleCallback(id);
}

/** Makes something when it is first asked for, and gives the same from then on. */
export function once<Made>(make: () => Made): () => Made {
  let made: { readonly value: Made } | null = null;
  return () => {
    made ??= { value: make() };
    return made.value;
  };
}
