import type { FormatProblem, JsonProblem } from '../formats/index.ts';
import { pathText } from '../jsonPath.ts';
import { issueWords } from './issues.ts';
import { refusalWords } from './refusals.ts';

/** What the parser found, in our words. */
const JSON_WORDS: Readonly<Record<JsonProblem, string>> = {
  InvalidSymbol: 'this is no JSON value',
  InvalidNumberFormat: 'this is not how JSON writes a number',
  PropertyNameExpected: 'a name in quotation marks is missing',
  ValueExpected: 'a value is missing',
  ColonExpected: 'a colon is missing',
  CommaExpected: 'a comma is missing',
  CloseBraceExpected: 'a closing } is missing',
  CloseBracketExpected: 'a closing ] is missing',
  EndOfFileExpected: 'there is something after the end',
  InvalidCommentToken: 'JSON has no comments',
  UnexpectedEndOfComment: 'a comment does not end, and JSON has none',
  UnexpectedEndOfString: 'a text is not closed by a quotation mark',
  UnexpectedEndOfNumber: 'a number is cut off',
  InvalidUnicode: 'this is not how JSON writes a character by its number',
  InvalidEscapeCharacter: 'JSON has no such character after a backslash',
  InvalidCharacter: 'this character must be written as \\u and its number',
};

/** Why a file was not taken, in a line: `line 3, column 12, amount: …`. */
export function formatProblemWords({ line, column, path, what }: FormatProblem): string {
  const where = [
    line === null ? '' : `line ${line}`,
    column === null ? '' : `column ${column}`,
    pathText(path),
  ];
  const place = where.filter(Boolean).join(', ');
  return `${place ? `${place}: ` : ''}${whatWords(what)}`;
}

/** What is wrong, as a sentence. */
function whatWords(what: FormatProblem['what']): string {
  switch (what.kind) {
    case 'not-json':
      return `This is not JSON: ${JSON_WORDS[what.problem]}.`;
    // Names that JavaScript itself gives objects: kept, they would be read as something else.
    case 'reserved-name':
      return 'Nothing can be called that: every object has something of this name already.';
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
