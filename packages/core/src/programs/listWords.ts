import type { Command } from '../setup/index.ts';
import { formatProblemWords, shortcutProblemWords } from '../words/index.ts';
import type { ListForm, ListProblem } from './list/listLine.ts';
import type { LineProblem } from './list/readLine.ts';
import type { CellProblem } from './sheet.ts';

/** What a form of list is called. */
export const FORM_WORDS = {
  json: 'a list of this program’s own format',
  html: 'a table or list of a web page',
  markdown: 'Markdown',
  table: 'a table',
  lines: 'lines of text',
} as const satisfies Record<ListForm, string>;

/** Why a list, or a part of it, could not be taken apart; with its line. */
export function listProblemWords(problem: ListProblem): string {
  const line = `Line ${problem.line}: `;
  switch (problem.code) {
    case 'quote-open':
      return `${line}a quote that begins here is not closed. What stands behind it was read as one cell.`;
    case 'list-empty':
      return 'There is nothing in it.';
    case 'list-too-long':
      return 'It is longer than five million characters. Give it in parts.';
    case 'list-format':
      return formatProblemWords(problem.problem).replace(/^line/, 'Line');
  }
}

/** Why a line becomes no command. */
export function lineProblemWords(problem: LineProblem): string {
  switch (problem.code) {
    case 'no-name':
      return 'No name.';
    case 'no-shortcut':
      return 'No keys.';
    case 'bad-name':
      return `“${problem.text}” cannot be a name.`;
    case 'bad-shortcut':
      return shortcutProblemWords(problem.problem);
    case 'pointer':
      return `“${problem.text}” is done with the pointer; a control can be given that on the Board.`;
    case 'twice':
      return `The same name as line ${problem.line}.`;
    case 'too-many':
      return `A program has at most ${problem.limit} commands.`;
  }
}

/** Why a text does not fit a cell. */
export function cellProblemWords(problem: CellProblem): string {
  switch (problem.code) {
    case 'name-missing':
      return 'A command needs a name.';
    case 'name-too-long':
      return 'A name has at most 60 characters, in one line.';
    case 'note-too-long':
      return 'A note has at most 1,000 characters.';
    case 'bad-shortcut':
      return shortcutProblemWords(problem.problem);
    case 'no-family':
      return `“${problem.text}” is no family. There are move, view, edit, tool, time and system.`;
    case 'too-many':
      return `A program has at most ${problem.limit} commands.`;
  }
}

/** What of a command is called how. */
export const COMMAND_FIELD_WORDS = {
  id: 'id',
  name: 'name',
  shortcut: 'keys',
  family: 'family',
  intent: 'intent',
  keysBy: 'how it reads keys',
  onLayout: 'keys on other keyboards',
  risky: 'risky',
  note: 'note',
} as const satisfies Record<keyof Command, string>;
