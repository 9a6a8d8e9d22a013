import { z } from 'zod';
import type { FormatProblem } from '../formats/index.ts';
import type { ShortcutProblem } from '../keys/index.ts';
import { type RegexProblem, STEPS_DEEP } from '../setup/index.ts';
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
    case 'newer':
      return `This is version ${what.version}, made by a newer Nimble Lever. This one reads up to version ${what.known}; bring it up to date first.`;
    case 'issue':
      return issueWords(what.issue);
    case 'refusal':
      return refusalWords(what.refusal);
  }
}

/** What is wrong with a value that does not fit its schema. */
export function issueWords(issue: z.core.$ZodIssue): string {
  if (issue.code === 'too_big' && issue.origin === 'string') {
    return `At most ${issue.maximum} characters fit.`;
  }
  if (issue.code !== 'custom') return issue.message;
  const { data } = z.looseObject({ code: z.string() }).safeParse(issue.params);
  if (data?.code.startsWith('shortcut-')) return shortcutProblemWords(issue.params as ShortcutProblem);
  if (data?.code.startsWith('regex-')) return regexProblemWords(issue.params as unknown as RegexProblem);
  if (data?.code === 'name-unseen') return 'A name needs something in it that can be seen.';
  if (data?.code === 'steps-too-deep') return `Steps stand at most ${STEPS_DEEP} deep inside each other.`;
  if (data?.code === 'no-such-field') return 'There is no such field here.';
  return 'This value is not allowed.';
}
