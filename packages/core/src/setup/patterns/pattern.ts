import { ok, type Result } from '../../result.ts';
import { compileRegex } from './linearRegex.ts';
import type { RegexProblem } from './regexSyntax.ts';

/** How a pattern's text is compared with a window's: the same; with `*` and `?`; a regular expression. */
export interface Pattern {
  readonly match: 'exact' | 'glob' | 'regex';
  readonly text: string;
}

/** Compiles a pattern to a test. Only a regular expression can be refused. */
export function compilePattern({ match, text }: Pattern): Result<(value: string) => boolean, RegexProblem> {
  if (match === 'exact') return ok((value) => value === text);
  if (match === 'regex') return compileRegex(text);
  const pieces = text.split(/[*?]/);
  const needed = pieces.reduce((longest, piece) => (piece.length > longest.length ? piece : longest), '');
  return ok((value) => value.includes(needed) && fitsGlob(text, value));
}

/**
 * Whether a text fits a glob as a whole: `*` is any run of characters, `?` is one. Goes back to the last `*`
 * only, so the time is at most the product of both lengths.
 */
export function fitsGlob(glob: string, text: string): boolean {
  let [g, t, star, mark] = [0, 0, -1, 0];
  while (t < text.length) {
    if (glob[g] === '*') {
      star = g;
      mark = t;
      g += 1;
    } else if (glob[g] === '?' || glob[g] === text[t]) {
      g += 1;
      t += 1;
    } else if (star >= 0) {
      g = star + 1;
      mark += 1;
      t = mark;
    } else return false;
  }
  while (glob[g] === '*') g += 1;
  return g === glob.length;
}
