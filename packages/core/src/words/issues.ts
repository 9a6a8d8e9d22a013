import { z } from 'zod';
import type { ValueProblem } from '../devices/index.ts';
import type { ShortcutProblem } from '../keys/index.ts';
import { type RegexProblem, STEPS_DEEP } from '../setup/index.ts';
import { regexProblemWords, shortcutProblemWords } from './textProblems.ts';

/** Why single values are not taken. */
const VALUE_WORDS: Readonly<Record<ValueProblem, string>> = {
  address: 'This address leads nowhere.',
  descriptor: 'A descriptor is written as hexadecimal numbers, as in 05 01 09 02.',
  'heard-id': 'What a control is heard as begins with mouse/, pen/, key/, gamepad/, midi/ or hid/.',
  id: 'An id is lower-case letters, digits and hyphens, at most 64 of them.',
  'key-code': 'There is no key of that code.',
  line: 'This must be text on one line.',
  'osc-address': 'An OSC address begins with / and has none of # * , ? [ ] { } and no spaces in it.',
  'pin-one': 'To stay with a profile, name exactly one.',
  'page-open': 'To open a folder, name it.',
  'picture-data': 'A picture is a data: URL of a WebP file in Base64.',
  picture: 'A picture is named by its SHA-256, in 64 small hexadecimal digits.',
  'page-named': 'A page is named only to open or choose it, and says itself which device it is of.',
  'range-order': '“from” must be less than “to”.',
  'rule-empty': 'A rule needs an executable, a class or a title to compare.',
  'shape-path': 'This is no SVG path: only its letters, numbers and separators may stand in it.',
  text: 'There are control characters in this text; only line ends and tabs may be in it.',
  'thresholds-order': 'Thresholds must stand in order, each once.',
  'ticks-zero': 'A wheel turns at least one tick, up or down.',
  'too-many-fields': 'That is more fields than one edit sets.',
};

/** What is wrong with a value that does not fit its schema. */
export function issueWords(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `${TYPE_WORDS[issue.expected] ?? 'Another value'} is needed here.`;
    case 'too_big':
      return `At most ${sizeWords(Number(issue.maximum), issue.origin)}.`;
    case 'too_small':
      return `At least ${sizeWords(Number(issue.minimum), issue.origin)}.`;
    case 'invalid_format':
      return VALUE_WORDS[issue.message as ValueProblem] ?? 'This is not written as it must be.';
    case 'not_multiple_of':
      return `This must be a multiple of ${issue.divisor}.`;
    case 'unrecognized_keys':
      return issue.keys.length === 1
        ? 'There is no such field here.'
        : `There are no such fields here: ${issue.keys.join(', ')}.`;
    case 'invalid_union': {
      const first = issue.errors.find((errors) => errors.length > 0)?.[0];
      return first ? issueWords(first) : 'There is no such kind.';
    }
    case 'invalid_value':
      return issue.values.length === 1
        ? `This must be ${JSON.stringify(issue.values[0])}.`
        : `This must be one of: ${issue.values.map(String).join(', ')}.`;
    case 'invalid_key':
      return `This cannot be a name here. ${issue.issues[0] ? issueWords(issue.issues[0]) : ''}`.trim();
    case 'invalid_element':
      return issue.issues[0] ? issueWords(issue.issues[0]) : 'This value is not allowed.';
    case 'custom':
      return customWords(issue);
  }
}

/** Types as a person would call them. */
const TYPE_WORDS: Readonly<Partial<Record<string, string>>> = {
  string: 'Text',
  number: 'A number',
  int: 'A whole number',
  boolean: '“true” or “false”',
  array: 'A list',
  object: 'An object',
  record: 'An object',
  null: '“null”',
};

/** A length, a count or a number, as what it is. */
function sizeWords(size: number, origin: string): string {
  const number = size.toLocaleString('en');
  if (origin === 'string') return `${number} ${size === 1 ? 'character' : 'characters'}`;
  if (origin === 'array' || origin === 'set') return `${number} of them`;
  return number;
}

/** Our own checks say why by a code. */
function customWords(issue: z.core.$ZodIssueCustom): string {
  const { data } = z.looseObject({ code: z.string() }).safeParse(issue.params);
  if (data?.code.startsWith('shortcut-')) return shortcutProblemWords(issue.params as ShortcutProblem);
  if (data?.code.startsWith('regex-')) return regexProblemWords(issue.params as unknown as RegexProblem);
  if (data?.code === 'name-unseen') return 'A name needs something in it that can be seen.';
  if (data?.code === 'steps-too-deep') return `Steps stand at most ${STEPS_DEEP} deep inside each other.`;
  if (data?.code === 'no-such-field') return 'There is no such field here.';
  return VALUE_WORDS[issue.message as ValueProblem] ?? 'This value is not allowed.';
}
