import { NOTATION, type TypedAt } from '../../keys/index.ts';
import { htmlLines } from './htmlLines.ts';
import { jsonLines } from './jsonLines.ts';
import type { ListText } from './listLine.ts';
import { isMarkdown, markdownLines } from './markdownLines.ts';
import { partedLine, plainLines } from './plainLines.ts';
import { delimiterOf, tableLines } from './tableLines.ts';

/** The longest text taken, in characters: a help page of a program with thousands of commands is a tenth of it. */
export const LIST_LIMIT = 5_000_000;

/**
 * Reads a list of commands in whatever form it comes: our own JSON, a table with quotes (RFC 4180; commas, semicolons
 * or tabs), Markdown, HTML, or lines of text. Nothing of it is run, and markup is only taken apart.
 *
 * @param at how keys are written; without it, in our notation
 */
export function readList(text: string, at: TypedAt = NOTATION): ListText {
  const bare = text.replace(/^\ufeff/, '');
  if (bare.length > LIST_LIMIT) return refused('list-too-long');
  if (bare.trim() === '') return refused('list-empty');
  if (/^\s*[[{]/.test(bare)) return jsonLines(bare);
  if (/<(?:table|tr|td|dl|dt|ul|ol|li)\b/i.test(bare)) {
    const lines = htmlLines(bare).map((line) => {
      const [only = ''] = line.cells;
      return line.cells.length === 1 ? { ...line, cells: partedLine(only, at) } : line;
    });
    return { form: 'html', lines, problems: [] };
  }
  const lines = bare.split(/\r\n|\r|\n/);
  if (isMarkdown(lines)) return { form: 'markdown', lines: markdownLines(lines, at), problems: [] };
  const delimiter = delimiterOf(lines);
  if (delimiter !== null) return { form: 'table', ...tableLines(bare, delimiter) };
  return { form: 'lines', lines: plainLines(bare, at), problems: [] };
}

function refused(code: 'list-empty' | 'list-too-long'): ListText {
  return { form: 'lines', lines: [], problems: [{ line: 1, code }] };
}
