import { writeSetupDocument } from '@nimble-lever/core/formats';
import { NOTATION } from '@nimble-lever/core/keys';
import {
  COMMAND_FIELD_WORDS,
  commandsOf,
  findColumns,
  importEdit,
  LIST_FILES,
  type LineOutcome,
  lineProblemWords,
  listProblemWords,
  planWholeImport,
  readList,
  writeList,
} from '@nimble-lever/core/programs';
import { applyEdit, type Program, type Setup } from '@nimble-lever/core/setup';
import { refusalWords } from '@nimble-lever/core/words';
import { Refused, readSetup, readSetupFile, readText } from './files.ts';

/** Whose commands: a program by its id or name, or what means the same in most programs. */
const COMMON = 'everywhere';

/** Takes a list of commands into a set-up: prints the set-up, or, asked to explain, what each line becomes. */
export function importCommands(file: string, list: string, named: string, explains: boolean): string {
  const { setup, pictures } = readSetupFile(file);
  const program = programOf(setup, named);
  const text = readList(readText(list));
  // What could not be taken apart is refused as a whole: half a list is no list.
  if (text.problems.length > 0) {
    throw new Refused(text.problems.map((problem) => `${list}: ${listProblemWords(problem)}`).join('\n'));
  }
  const columns = findColumns(text.lines, NOTATION);
  const planned = planWholeImport(setup, text, { program: program?.id ?? null, columns, proposes: true });
  if (explains) {
    const lines = planned.map(
      ({ line, cells, outcome }) => `${line}\t${cells.join(' | ')}\t${outcomeWords(outcome)}\n`,
    );
    return lines.join('');
  }
  const edit = importEdit(setup, program?.id ?? null, planned);
  if (!edit) return writeSetupDocument(setup, pictures);
  const done = applyEdit(setup, edit);
  if (!done.ok) throw new Refused(refusalWords(done.problem));
  return writeSetupDocument(done.value.setup, pictures);
}

/** Prints a program's commands as a table, as Markdown, or as a list of our own format. */
export function exportCommands(file: string, named: string, form: string): string {
  const setup = readSetup(file);
  const known = LIST_FILES.find((each) => each === form);
  if (!known) throw new Refused(`There is no form “${form}”. There are: ${LIST_FILES.join(', ')}.`);
  const program = programOf(setup, named);
  const { name, keysBy } = program ?? { name: 'Everywhere', keysBy: 'character' as const };
  return writeList({ name, keysBy }, commandsOf(setup, program?.id ?? null), known);
}

/** Null for the commands that mean the same in most programs. */
function programOf({ programs }: Setup, named: string): Program | null {
  if (named === COMMON) return null;
  const found = programs.find(({ id, name }) => id === named || name === named);
  if (found) return found;
  throw new Refused(
    `There is no program “${named}”. There are: ${[COMMON, ...programs.map(({ id }) => id)].join(', ')}.`,
  );
}

function outcomeWords(outcome: LineOutcome): string {
  switch (outcome.kind) {
    case 'add': {
      const { name, shortcut, family, intent } = outcome.command;
      return `new: ${name}, ${shortcut}, ${family}${intent === null ? '' : `, ${intent}`}`;
    }
    case 'change':
      return `changes ${outcome.fields.map((field) => COMMAND_FIELD_WORDS[field]).join(', ')} of ${outcome.before.name}`;
    case 'same':
      return 'is there already';
    case 'skip':
      return `left out: ${lineProblemWords(outcome.why)}`;
  }
}
