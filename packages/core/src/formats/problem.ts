import type { z } from 'zod';
import type { JsonPath } from '../jsonPath.ts';
import type { Refusal } from '../setup/index.ts';

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
