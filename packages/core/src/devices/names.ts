import { z } from 'zod';

/**
 * A name that stands in keys and files: lower-case letters, digits and hyphens. Ids are used as keys of
 * plain objects, so the one such word that every object has already is left out.
 */
export const idSchema = z.string().regex(/^(?!constructor$)[a-z0-9][a-z0-9-]{0,63}$/);

/** Text on one line: no control characters, no halves of characters. */
export const LINE_PATTERN = /^[^\p{Cc}\p{Cs}]*$/u;

/** What people call a thing: 1 to 60 characters, no line breaks, no space at the ends. */
export const nameSchema = z.string().trim().min(1).max(60).regex(LINE_PATTERN);
