import type { ShortcutProblem } from '../keys/index.ts';
import type { RegexProblem } from '../setup/index.ts';

/** What is wrong with a text meant as a shortcut. */
export function shortcutProblemWords(problem: ShortcutProblem): string {
  switch (problem.code) {
    case 'shortcut-empty':
      return 'Type or record a shortcut first.';
    case 'shortcut-too-long':
      return `That is ${problem.length} characters long; a shortcut is one key with modifiers.`;
    case 'shortcut-too-many-steps':
      return `A shortcut has at most four steps, this one has ${problem.steps}. Use a macro.`;
    case 'shortcut-pointer':
      return `“${problem.token}” is done with the pointer, not with a key. Use a click or a macro.`;
    case 'shortcut-gap':
      return 'A key is missing beside a “+”. Write it as in Ctrl+Shift+Z.';
    case 'shortcut-unknown-key':
      return `“${problem.token}” is not a key. Write it as in Ctrl+Shift+Z, ], ArrowRight or F5.`;
    case 'shortcut-two-keys':
      return `A shortcut has one key besides its modifiers; “${problem.first}” and “${problem.token}” are two.`;
    case 'shortcut-modifier-twice':
      return `“${problem.token}” stands twice.`;
  }
}

/** What is wrong with a text meant as a regular expression. */
export function regexProblemWords({ code, at, text }: RegexProblem): string {
  const place = text === '' ? 'at the end' : `at “${text}” (character ${at + 1})`;
  switch (code) {
    case 'regex-unclosed':
      return `Something is opened ${place} and not closed.`;
    case 'regex-nothing-to-repeat':
      return `There is nothing to repeat ${place}.`;
    case 'regex-not-supported':
      return `This is not supported ${place}: looking around and back-references could take time without end.`;
    case 'regex-bad-range':
      return `The range is the wrong way round ${place}.`;
    case 'regex-stray':
      return `This does not belong ${place}. Put a \\ before it to mean the character itself.`;
    case 'regex-too-large':
      return `It repeats too much ${place}.`;
  }
}
