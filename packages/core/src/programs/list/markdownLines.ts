import type { TypedAt } from '../../keys/index.ts';
import type { ListLine } from './listLine.ts';
import { MOST_PARTED, partedLine } from './plainLines.ts';

/** Of a line without the blanks around it: a row of a table of Markdown (GitHub Flavored Markdown, tables), and one that only rules it off. */
const ROW = /^\|.*\|$/;
const RULED = /^\|?\s*:?-+:?\s*(?:\|\s*:?-+:?\s*)*\|?$/;
/** An item of a list (CommonMark, list items). */
const ITEM = /^(?:[-*+]|\d{1,9}[.)])\s+(.*)$/;

/** Whether most lines of a text are rows of a table or items of a list. */
export function isMarkdown(lines: readonly string[]): boolean {
  const given = lines.map((line) => line.trim()).filter((line) => line !== '');
  const rows = given.filter((line) => ROW.test(line) || RULED.test(line) || ITEM.test(line));
  return rows.length > 0 && rows.length * 2 >= given.length;
}

/** Rows and items of Markdown; headings and sentences between them are no commands. */
export function markdownLines(lines: readonly string[], at: TypedAt): readonly ListLine[] {
  return lines.flatMap((given, i): ListLine[] => {
    const line = given.trim();
    if (RULED.test(line)) return [];
    if (ROW.test(line)) return [{ line: i + 1, cells: cellsOf(line) }];
    const item = ITEM.exec(line)?.[1];
    return item === undefined ? [] : [{ line: i + 1, cells: partedLine(plain(item), at).map(plain) }];
  });
}

/** The cells of a row; a bar after a backslash is part of its cell. */
function cellsOf(line: string): readonly string[] {
  return line
    .slice(1, -1)
    .split(/(?<!\\)\|/)
    .map((cell) => plain(cell.trim().replaceAll('\\|', '|')));
}

/** Text without the marks of emphasis and code; what stands in code is kept as it is. */
function plain(text: string): string {
  const bare = text.replace(/<\/?kbd>/gi, '');
  if (bare.length > MOST_PARTED) return bare.trim();
  return bare
    .replace(/(`+)\s?(.+?)\s?\1/g, '$2')
    .replace(/(\*\*|__)(?=\S)(.+?)(?<=\S)\1/g, '$2')
    .trim();
}
