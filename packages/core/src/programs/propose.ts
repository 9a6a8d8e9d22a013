import { foldName } from '../devices/index.ts';
import type { Family } from '../setup/index.ts';
import { FAMILY_WORDS, IDEAS } from './ideas.ts';

/** What a command may be about, by its name: proposed, never taken for certain. */
export interface Proposal {
  readonly intent: string | null;
  readonly family: Family | null;
}

/** What names are taken apart into: words in one case, without the signs between them. */
function wordsOf(text: string): readonly string[] {
  return foldName(text)
    .split(/[^\p{L}\p{N}%]+/u)
    .filter((word) => word !== '' && !FILLERS.has(word));
}

/** Words that change nothing of what a command is. */
const FILLERS: ReadonlySet<string> = new Set(['the', 'a', 'an', 'to', 'of', 'in', 'tool', 'command']);

/** The ideas' names in words, by the first of them: most names begin with none of them. */
const PHRASES = new Map<string, { readonly words: readonly string[]; readonly at: number }[]>();
for (const [at, { words }] of IDEAS.entries()) {
  for (const each of words) {
    const phrase = wordsOf(each);
    const [first = ''] = phrase;
    const known = PHRASES.get(first);
    if (known) known.push({ words: phrase, at });
    else PHRASES.set(first, [{ words: phrase, at }]);
  }
}

/**
 * The idea and family a command's name speaks of: the longest of what is known that stands in it, and of those as long
 * the one nearest to its beginning. Nothing where a single word is only a small part of a long name.
 */
export function proposeFor(name: string): Proposal {
  const words = wordsOf(name);
  let best: { readonly length: number; readonly from: number; readonly at: number } | null = null;
  for (const [from, word] of words.entries()) {
    for (const phrase of PHRASES.get(word) ?? []) {
      const { length } = phrase.words;
      if (!phrase.words.every((each, i) => words[from + i] === each)) continue;
      // “Delete” of “Delete the frame” is its idea, “copy” of “Paste a copy in place of it” is not.
      if (length === 1 && (from > 0 || words.length > MOST_AROUND)) continue;
      if (!best || length > best.length) best = { length, from, at: phrase.at };
    }
  }
  const found = best && IDEAS[best.at];
  return { intent: found?.intent ?? null, family: found?.family ?? null };
}

/** A name of more words than this is about more than its first one. */
const MOST_AROUND = 4;

const FAMILY_BY_WORD: ReadonlyMap<string, Family> = new Map(
  (Object.keys(FAMILY_WORDS) as Family[]).flatMap((family) =>
    FAMILY_WORDS[family].map((word) => [foldName(word), family] as const),
  ),
);

/** The family that a list's category means; null for one that is not known. */
export function familyOf(category: string): Family | null {
  const whole = foldName(category.trim());
  return (
    FAMILY_BY_WORD.get(whole) ??
    wordsOf(category)
      .map((word) => FAMILY_BY_WORD.get(word))
      .find(Boolean) ??
    null
  );
}
