import Papa from 'papaparse';
import type { ListLine, ListProblem } from './listLine.ts';

/** What parts columns, the surest first. */
const DELIMITERS = ['\t', ';', ','] as const;

/** The delimiter of a table: the same number of it, at least one, in nearly every line; null for a text that is none. */
export function delimiterOf(lines: readonly string[]): string | null {
  const given = lines.filter((line) => line.trim() !== '').slice(0, 200);
  if (given.length === 0) return null;
  return (
    DELIMITERS.find((delimiter) => {
      const counts = given.map((line) => unquoted(line).split(delimiter).length - 1);
      const [first = 0] = counts;
      const wanted = delimiter === '\t' ? 1 : first;
      const alike = counts.filter((count) => (delimiter === '\t' ? count >= wanted : count === first));
      // A comma may stand in any line of a text; a table has it in all of them.
      return first > 0 && alike.length >= given.length * (delimiter === ',' ? 0.95 : 0.8);
    }) ?? null
  );
}

/** A line without what stands in quotes. */
function unquoted(line: string): string {
  return line.replace(/"(?:[^"]|"")*"/g, '');
}

/** The rows of a table with quotes (RFC 4180), each with the line it begins in. */
export function tableLines(
  text: string,
  delimiter: string,
): { readonly lines: readonly ListLine[]; readonly problems: readonly ListProblem[] } {
  const lines: ListLine[] = [];
  const problems: ListProblem[] = [];
  let line = 1;
  let from = 0;
  Papa.parse<string[]>(text, {
    delimiter,
    step: ({ data, errors, meta }) => {
      const own = line;
      for (; from < meta.cursor; from++) if (text.charCodeAt(from) === 10) line += 1;
      if (errors.some(({ type }) => type === 'Quotes')) {
        problems.push({ line: own, code: 'quote-open' });
      } else if (data.some((cell) => cell.trim() !== '')) {
        lines.push({ line: own, cells: data.map((cell) => cell.trim()) });
      }
    },
  });
  return { lines, problems };
}
