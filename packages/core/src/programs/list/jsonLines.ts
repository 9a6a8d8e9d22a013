import { readCommandList } from '../../formats/index.ts';
import { cellsOfCommand } from './columns.ts';
import type { ListText } from './listLine.ts';

/** The commands of our own format, each with the line it stands in. */
export function jsonLines(text: string): ListText {
  const read = readCommandList(text);
  if (!read.ok) {
    const problems = read.problem.map((problem) => {
      return { line: problem.line ?? 1, code: 'list-format' as const, problem };
    });
    return { form: 'json', lines: [], problems };
  }
  const { commands, lines } = read.value;
  return {
    form: 'json',
    lines: commands.map((command, i) => {
      return { line: lines[i] ?? 1, cells: cellsOfCommand(command), given: command };
    }),
    problems: [],
  };
}
