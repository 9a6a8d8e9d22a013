import { z } from 'zod';

/** Where the browser keeps what was found last: it belongs to the person at this desk, not to a set-up. */
const PLACE = 'nimble-lever:found';
/** So many are worth being at hand. */
const KEPT = 12;

const recentSchema = z.array(z.string().max(300)).max(100);

/** The keys of what was chosen last, the newest first; none where nothing was, or something else is kept there. */
export function readRecent(storage: Pick<Storage, 'getItem'> = localStorage): readonly string[] {
  try {
    return recentSchema.safeParse(JSON.parse(storage.getItem(PLACE) ?? '[]')).data ?? [];
  } catch {
    // Kept by another hand, or not to be read in this window.
    return [];
  }
}

/** Puts a key in front of those chosen before. */
export function keepRecent(
  key: string,
  storage: Pick<Storage, 'getItem' | 'setItem'> = localStorage,
): readonly string[] {
  const recent = [key, ...readRecent(storage).filter((other) => other !== key)].slice(0, KEPT);
  try {
    storage.setItem(PLACE, JSON.stringify(recent));
  } catch {
    // A browser that keeps nothing finds all the same.
  }
  return recent;
}
