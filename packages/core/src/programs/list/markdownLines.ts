import type { TypedAt } from '../../keys/index.ts';
import type { ListLine } from './listLine.ts';
import { partedLine } from './plainLines.ts';

/** A row of a table of Markdown (GitHub Flavored Markdown, tables), and one that only rules it off. */
const ROW = /^\s*\|.*\|\s*$/;
const RULED = /^\s*\|?\s*:?-+:?\s*(?:\|\s*:?-+:?\s*)*\|?\s*$/;
/** An item of a list (CommonMark, list items). */
const ITEM = /^\s*(?:[-*+]|\d{1,9}[.)])\s+(.*)$/;

/** Whether most lines of a text are rows of a table or items of a list. */
export function isMarkdown(lines: readonly string[]): boolean {
  const given = lines.filter((line) => line.trim() !== '');
  const rows = given.filter((line) => ROW.test(line) || RULED.test(line) || ITEM.test(line));
  return rows.length > 0 && rows.length * 2 >= given.length;
}

/** Rows and items of Markdown; headings and sentences between them are no commands. */
export function markdownLines(lines: readonly string[], at: TypedAt): readonly ListLine[] {
  return lines.flatMap((line, i): ListLine[] => {
    if (RULED.test(line)) return [];
    if (ROW.test(line)) return [{ line: i + 1, cells: cellsOf(line) }];
    const item = ITEM.exec(line)?.[1];
    return item === undefined ? [] : [{ line: i + 1, cells: partedLine(plain(item), at).map(plain) }];
  });
}

/** The cells of a row; a bar after a backslash is part of its cell. */
function cellsOf(line: string): readonly string[] {
  return line
    .trim()
    .slice(1, -1)
    .split(/(?<!\\)\|/)
    .map((cell) => plain(cell.trim().replaceAll('\\|', '|')));
}

/** Text without the marks of emphasis and code; what stands in code is kept as it is. */
function plain(text: string): string {
  return text
    .replace(/<\/?kbd>/gi, '')
    .replace(/(`+)\s?(.+?)\s?\1/g, '$2')
    .replace(/(\*\*|__)(?=\S)(.+?)(?<=\S)\1/g, '$2')
    .trim();
}
