import { z } from 'zod';
import { type Author, authorSchema } from '../setup/index.ts';

/** When an edit was made, and by whom. */
export interface Moment {
  readonly revision: number;
  /** Milliseconds since 1970, UTC; to the second. */
  readonly at: number;
  readonly author: Author;
}

/**
 * When each edit was made and by whom, all of a log at once: little enough for a hundred thousand. Seconds since 1970 for
 * the first, since the one before for each after it; authors by their places in the list.
 */
export const momentsSchema = z.strictObject({
  authors: z.array(authorSchema),
  at: z.array(z.int()),
  by: z.array(z.int().min(0)),
});
/** Moments as they are sent. */
export type SentMoments = z.infer<typeof momentsSchema>;

/** Moments as they are sent. */
export function packMoments(moments: readonly Moment[]): SentMoments {
  const places = new Map<string, number>();
  const authors: Author[] = [];
  let before = 0;
  const at = moments.map((moment) => {
    const seconds = Math.floor(moment.at / 1000);
    const step = seconds - before;
    before = seconds;
    return step;
  });
  const by = moments.map(({ author }) => {
    // Who changed their name is told under each.
    const key = `${author.id} ${author.name}`;
    const known = places.get(key);
    if (known !== undefined) return known;
    places.set(key, authors.length);
    return authors.push(author) - 1;
  });
  return { authors, at, by };
}

/** The moments that were sent, of the edits after a revision. Whose author is not among those sent is left out. */
export function unpackMoments({ authors, at, by }: SentMoments, after: number): readonly Moment[] {
  let seconds = 0;
  return at.flatMap((step, i) => {
    seconds += step;
    const author = authors[by[i] ?? -1];
    return author ? [{ revision: after + i + 1, at: seconds * 1000, author }] : [];
  });
}
