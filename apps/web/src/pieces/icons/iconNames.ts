/** An icon's name as people read it: `flip-horizontal-2` is “Flip horizontal 2”. */
export function iconWords(name: string): string {
  const words = name.replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** An icon that can be found: its name, what it is called, and what it is looked for by besides. */
export interface IconEntry {
  readonly name: string;
  readonly words: string;
  readonly synonyms: string;
}

/**
 * The icons that fit what was typed, the best first: by the beginning of their name, a word of it, a synonym. Every word
 * typed must fit somewhere.
 */
export function findIcons(entries: readonly IconEntry[], typed: string, most: number): readonly IconEntry[] {
  const wanted = typed.trim().toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return entries.slice(0, most);
  return entries
    .map((entry) => ({ entry, rank: Math.max(...wanted.map((word) => rankOf(entry, word))) }))
    .filter(({ rank }) => rank < NONE)
    .toSorted((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ entry }) => entry);
}

/** It does not fit. */
const NONE = 9;

function rankOf({ name, words, synonyms }: IconEntry, wanted: string): number {
  const own = `${words.toLowerCase()} ${name.replaceAll('-', ' ')}`;
  if (own.startsWith(wanted)) return 0;
  if (own.split(' ').some((word) => word.startsWith(wanted))) return 1;
  if (synonyms.split(' ').some((word) => word.startsWith(wanted))) return 2;
  return own.includes(wanted) ? 3 : NONE;
}
