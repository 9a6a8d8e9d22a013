import type { z } from 'zod';
import type { Refusal } from '../setup/index.ts';

/** Why a file was not taken, and where: its line (from 1) where it is read by lines, and the path inside. */
export interface FormatProblem {
  readonly line: number | null;
  readonly path: string;
  readonly what:
    | { readonly kind: 'not-json' }
    | { readonly kind: 'too-large'; readonly limit: number }
    | { readonly kind: 'newer'; readonly version: number; readonly known: number }
    | { readonly kind: 'issue'; readonly issue: z.core.$ZodIssue }
    | { readonly kind: 'refusal'; readonly refusal: Refusal };
}

/** The path of an issue, for instance `setup.programs[2].name`. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, part) => {
    if (typeof part === 'number') return `${text}[${part}]`;
    return text === '' ? String(part) : `${text}.${String(part)}`;
  }, '');
}
