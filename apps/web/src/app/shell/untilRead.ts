const FIRST_PAUSE_MS = 1000;
const LAST_PAUSE_MS = 30_000;

/**
 * Reads a part of the page that is not there from the start; while the server is away again and again, with growing pauses.
 * What waits for it comes later then, instead of taking the whole page with it.
 */
export async function untilRead<Part>(read: () => Promise<Part>): Promise<Part> {
  for (let pause = FIRST_PAUSE_MS; ; pause = Math.min(LAST_PAUSE_MS, pause * 2)) {
    try {
      return await read();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, pause));
    }
  }
}
