import { z } from 'zod';

/** What was closed once is not shown again in this browser, until there is another number of them. */
const NAME = 'nimble-lever:typing-seen';
const seenSchema = z.array(z.string().max(200)).max(100);

/** Whether a report was closed before. */
export function isSeen(report: string): boolean {
  return read().includes(report);
}

/** Notes that a report was closed. */
export function keepSeen(report: string): void {
  try {
    localStorage.setItem(NAME, JSON.stringify([...read(), report].slice(-100)));
  } catch {
    // A full or forbidden store: it is shown again with the next page.
  }
}

function read(): readonly string[] {
  try {
    return seenSchema.safeParse(JSON.parse(localStorage.getItem(NAME) ?? '[]')).data ?? [];
  } catch {
    return [];
  }
}
