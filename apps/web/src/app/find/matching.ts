import Fuse from 'fuse.js';
import type { Found } from './findSource.ts';

/** How many are shown at once. */
const SHOWN = 40;

/**
 * Items in whose words everything typed occurs; what was chosen last comes first, then those that begin with it. Where there are none, a slip is
 * forgiven: those that are most like what was typed (Fuse.js, by the letters that differ).
 */
export function matching(items: readonly Found[], typed: string, recent: readonly string[] = []): Found[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const textOf = ({ name, owner, shortcut, also = '' }: Found) =>
    `${name} ${owner} ${shortcut ?? ''} ${also}`.toLowerCase();
  const found = items.filter((item) => {
    const text = textOf(item);
    return words.every((word) => text.includes(word));
  });
  if (found.length === 0 && words.length > 0) return alike(items, typed);
  const first = words[0] ?? '';
  const begins = (item: Found) => (item.name.toLowerCase().startsWith(first) ? 0 : 1);
  const place = new Map(recent.map((key, i) => [key, i]));
  const lastUse = ({ key }: Found) => place.get(key) ?? recent.length;
  return found.toSorted((a, b) => lastUse(a) - lastUse(b) || begins(a) - begins(b)).slice(0, SHOWN);
}

/** Made once for the same items: they are read over and over while one types. */
let index: { readonly items: readonly Found[]; readonly fuse: Fuse<Found> } | null = null;

function alike(items: readonly Found[], typed: string): Found[] {
  if (index?.items !== items) {
    const keys = [{ name: 'name', weight: 3 }, 'owner', 'also'];
    index = { items, fuse: new Fuse(items, { keys, threshold: 0.4, ignoreLocation: true }) };
  }
  return index.fuse.search(typed, { limit: SHOWN }).map(({ item }) => item);
}
