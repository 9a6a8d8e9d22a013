import { z } from 'zod';
import { because } from './valueProblem.ts';

/**
 * A name that stands in keys and files: lower-case letters, digits and hyphens. Ids are used as keys of
 * plain objects, so the one such word that every object has already is left out.
 */
export const ID_PATTERN = /^(?!constructor$)[a-z0-9][a-z0-9-]{0,63}$/;
/** An id; unique among its like. */
export const idSchema = z.string().regex(ID_PATTERN, because('id'));

/** Text on one line: no control characters, no halves of characters. */
export const LINE_PATTERN = /^[^\p{Cc}\p{Cs}]*$/u;

/** Text with something in it that is drawn: zero-width and filling characters alone are no name. */
const VISIBLE_PATTERN = /(?![\p{Default_Ignorable_Code_Point}\u2800])[\p{L}\p{N}\p{P}\p{S}]/u;

/** Text on one line that can be seen, with no space at its ends, of at most so many UTF-16 units. */
export function lineSchema(most: number) {
  return z
    .string()
    .trim()
    .min(1)
    .max(most)
    .regex(LINE_PATTERN, because('line'))
    .check(({ value, issues }) => {
      if (!VISIBLE_PATTERN.test(value)) {
        issues.push({ code: 'custom', input: value, params: { code: 'name-unseen' } });
      }
    });
}

/** Characters as a person counts them, not code units: a name must not end in half a letter. */
const NAME_LENGTH = 60;

/** What people call a thing. */
export const nameSchema = lineSchema(NAME_LENGTH);

/** Splits text where a person would (Unicode Standard Annex 29). */
const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' });

/**
 * The beginning of a text that is no longer than `most` UTF-16 units, cut between what people see as
 * characters (Unicode Standard Annex 29), so that no emoji is cut in two.
 */
export function cutName(text: string, most = NAME_LENGTH): string {
  if (text.length <= most) return text;
  let end = 0;
  for (const { index, segment } of graphemes.segment(text.slice(0, most + 64))) {
    if (index + segment.length > most) break;
    end = index + segment.length;
  }
  return text.slice(0, end).trimEnd();
}

/**
 * The same for names that people take for the same: in every alphabet, large and small letters are one.
 * Going by way of large letters makes the two small Greek sigmas one too.
 */
export function foldName(name: string): string {
  return name.normalize('NFC').toUpperCase().toLowerCase();
}
