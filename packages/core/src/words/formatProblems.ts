import { z } from 'zod';
import type { FormatProblem } from '../formats/index.ts';
import type { ShortcutProblem } from '../keys/index.ts';
import type { RegexProblem } from '../setup/index.ts';
import { refusalWords, regexProblemWords, shortcutProblemWords } from './refusals.ts';

/** Why a file was not taken, in a line: `line 3, amount: …`. */
export function formatProblemWords({ line, path, what }: FormatProblem): string {
  const where = [line === null ? '' : `line ${line}`, path].filter(Boolean).join(', ');
  return `${where ? `${where}: ` : ''}${whatWords(what)}`;
}

function whatWords(what: FormatProblem['what']): string {
  switch (what.kind) {
    case 'not-json':
      return 'This is not JSON.';
    case 'too-large':
      return `It is larger than ${what.limit.toLocaleString('en')} characters.`;
    case 'issue':
      return issueWords(what.issue);
    case 'refusal':
      return refusalWords(what.refusal);
  }
}

/** What is wrong with a value that does not fit its schema. */
export function issueWords(issue: z.core.$ZodIssue): string {
  if (issue.code !== 'custom') return issue.message;
  const { data } = z.looseObject({ code: z.string() }).safeParse(issue.params);
  if (data?.code.startsWith('shortcut-')) return shortcutProblemWords(issue.params as ShortcutProblem);
  if (data?.code.startsWith('regex-')) return regexProblemWords(issue.params as unknown as RegexProblem);
  return 'This value is not allowed.';
}
