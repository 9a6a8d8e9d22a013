/** A file that was let go on the page, until somebody takes it. */
let dropped: File | null = null;
const listeners = new Set<() => void>();

/** A file was let go where nothing else takes it. */
export function dropFile(file: File): void {
  dropped = file;
  for (const listener of listeners) listener();
}

/** The file, once; null where there is none. */
export function takeDropped(): File | null {
  const file = dropped;
  dropped = null;
  return file;
}

/** Tells when a file is let go; gives what ends that. */
export function onDropped(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
