export function watch(
  server: { isRunning(): boolean; bringBack(): Promise<unknown> },
  name: string,
  look?: number,
): () => void;
