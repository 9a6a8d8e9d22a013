import type { z } from 'zod';
import type { Refusal } from '../setup/index.ts';

/** The way into JSON, for instance `['setup', 'programs', 2, 'name']`. */
export type JsonPath = readonly PropertyKey[];

/** What can be wrong with a text that is meant as JSON, by the names its reader has for that. */
export type JsonProblem =
  | 'InvalidSymbol'
  | 'InvalidNumberFormat'
  | 'PropertyNameExpected'
  | 'ValueExpected'
  | 'ColonExpected'
  | 'CommaExpected'
  | 'CloseBraceExpected'
  | 'CloseBracketExpected'
  | 'EndOfFileExpected'
  | 'InvalidCommentToken'
  | 'UnexpectedEndOfComment'
  | 'UnexpectedEndOfString'
  | 'UnexpectedEndOfNumber'
  | 'InvalidUnicode'
  | 'InvalidEscapeCharacter'
  | 'InvalidCharacter';

/** Why a file was not taken, and where: line and column from 1, null where it is about the whole, and the path inside. */
export interface FormatProblem {
  /** From 1; null where it is about the file as a whole. */
  readonly line: number | null;
  readonly column: number | null;
  /** From the top of the document. */
  readonly path: JsonPath;
  readonly what:
    | { readonly kind: 'not-json'; readonly problem: JsonProblem }
    | { readonly kind: 'reserved-name' }
    | { readonly kind: 'too-large'; readonly limit: number }
    | { readonly kind: 'newer'; readonly version: number; readonly known: number }
    | { readonly kind: 'issue'; readonly issue: z.core.$ZodIssue }
    | { readonly kind: 'refusal'; readonly refusal: Refusal };
}

/** A path as people write it, for instance `setup.programs[2].name`. */
export function pathText(path: JsonPath): string {
  return path.reduce<string>((text, part) => {
    if (typeof part === 'number') return `${text}[${part}]`;
    const name = String(part);
    if (!/^[\p{L}_$][\p{L}\p{N}_$-]*$/u.test(name)) return `${text}[${JSON.stringify(name)}]`;
    return text === '' ? name : `${text}.${name}`;
  }, '');
}
