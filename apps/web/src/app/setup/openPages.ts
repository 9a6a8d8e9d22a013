/**
 * Each open page holds a lock of this name (Web Locks), which the browser lets go of even when the page
 * crashes.
 */
const PREFIX = 'nimble-lever:page:';

/** Holds a lock of this page's name for as long as the page is open; the browser lets go of it when it is not. */
export function holdPage(page: string): void {
  void navigator.locks?.request(PREFIX + page, () => new Promise(() => undefined));
}

/** The pages that are open now, by the locks they hold. Without locks, none are known. */
export async function openPages(): Promise<ReadonlySet<string>> {
  const held = (await navigator.locks?.query())?.held ?? [];
  const names = held.flatMap(({ name }) => (name?.startsWith(PREFIX) ? [name.slice(PREFIX.length)] : []));
  return new Set(names);
}
