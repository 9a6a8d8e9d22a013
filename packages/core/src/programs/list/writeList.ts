import Papa from 'papaparse';
import { writeCommandList } from '../../formats/index.ts';
import type { Command, Program } from '../../setup/index.ts';
import { cellsOfCommand, OWN_COLUMNS } from './columns.ts';

/** In what form a list is written. */
export const LIST_FILES = ['csv', 'markdown', 'json'] as const;
/** One of them. */
export type ListFile = (typeof LIST_FILES)[number];

/** The commands of a program as a file; what is read of it again is the same. */
export function writeList(
  { name: program, keysBy }: Pick<Program, 'name' | 'keysBy'>,
  commands: readonly Command[],
  file: ListFile,
): string {
  switch (file) {
    case 'json':
      return writeCommandList({ program, keysBy, commands });
    case 'csv':
      return `${Papa.unparse(rowsOf(commands).map(unarmed), { newline: '\r\n' })}\r\n`;
    case 'markdown':
      return `# ${program}\n\n${rowsOf(commands).map(markdownRow).join('\n')}\n`;
  }
}

/** Heads, then a row for each command. */
function rowsOf(commands: readonly Command[]): readonly (readonly string[])[] {
  return [OWN_COLUMNS, ...commands.map(cellsOfCommand)];
}

/**
 * What someone wrote in words must not become a formula in a spreadsheet (OWASP, CSV injection); keys may be `=` or `-`.
 * `readLine` takes the sign away again.
 */
function unarmed(cells: readonly string[]): readonly string[] {
  return cells.map((cell, i) => (OWN_COLUMNS[i] !== 'shortcut' && /^[=+\-@]/.test(cell) ? `'${cell}` : cell));
}

/** A row of a table; the heads are ruled off (GitHub Flavored Markdown, tables). */
function markdownRow(cells: readonly string[], i: number): string {
  const row = (each: readonly string[]) => `| ${each.join(' | ')} |`;
  const escaped = cells.map((cell) => cell.replaceAll('|', '\\|').replace(/\s*\n\s*/g, ' '));
  return i === 0 ? `${row(escaped)}\n${row(cells.map(() => '---'))}` : row(escaped);
}
