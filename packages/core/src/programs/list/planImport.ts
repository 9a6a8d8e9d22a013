import { foldName, freeId } from '../../devices/index.ts';
import { NOTATION, type TypedAt } from '../../keys/index.ts';
import {
  type Command,
  commandAt,
  commandIds,
  type Edit,
  LIMITS,
  newCommand,
  type Setup,
  type SingleEdit,
  sameJson,
  together,
} from '../../setup/index.ts';
import { type Proposal, proposeFor } from '../propose.ts';
import type { Columns } from './columns.ts';
import type { ListLine, ListText } from './listLine.ts';
import { type LineCommand, type LineProblem, readLine } from './readLine.ts';

/** What a line of a list becomes. */
export type LineOutcome =
  | { readonly kind: 'add'; readonly command: Command; readonly proposed: Proposal }
  | {
      /** It is there already, by its name, and is something else. */
      readonly kind: 'change';
      readonly before: Command;
      readonly after: Command;
      readonly fields: readonly (keyof Command)[];
    }
  | { readonly kind: 'same'; readonly command: Command }
  | { readonly kind: 'skip'; readonly why: LineProblem };

/** A line with what it becomes. */
export interface PlannedLine extends ListLine {
  readonly outcome: LineOutcome;
}

/** Where a list goes to, and how it is read. */
export interface Importing {
  /** Null for the commands that mean the same in most programs. */
  readonly program: string | null;
  readonly columns: Columns;
  /** Whether intents and families that names speak of are taken. */
  readonly proposes: boolean;
  readonly at?: TypedAt;
}

/** How many lines are read between two words of how far it is. */
const AT_ONCE = 100;

/**
 * Works out what the lines of a list become, a hundred at a time: what it yields is how many are done, so that whoever
 * shows it can go on or stop. What is there already is known by its name.
 */
export function* planImport(
  setup: Setup,
  { lines }: ListText,
  { program, columns, proposes, at = NOTATION }: Importing,
): Generator<number, readonly PlannedLine[]> {
  const commands = commandsOf(setup, program);
  const known = new Map(commands.map((command) => [foldName(command.name), command]));
  const taken = new Set(commandIds(setup));
  const seen = new Map<string, number>();
  const planned: PlannedLine[] = [];
  let room = LIMITS.commands - commands.length;
  for (const line of columns.headed ? lines.slice(1) : lines) {
    const read = readLine(line, columns.roles, at);
    const key = read.ok ? foldName(read.value.name) : '';
    const twice = seen.get(key);
    let outcome: LineOutcome;
    if (!read.ok) outcome = { kind: 'skip', why: read.problem };
    else if (twice !== undefined) outcome = { kind: 'skip', why: { code: 'twice', line: twice } };
    else {
      const before = known.get(key);
      if (before) outcome = changed(before, read.value);
      else if (room <= 0) outcome = { kind: 'skip', why: { code: 'too-many', limit: LIMITS.commands } };
      else {
        outcome = added(read.value, program, taken, proposes);
        room -= 1;
      }
      seen.set(key, line.line);
    }
    planned.push({ ...line, outcome });
    if (planned.length % AT_ONCE === 0) yield planned.length;
  }
  return planned;
}

/** The whole plan at once. */
export function planWholeImport(setup: Setup, text: ListText, importing: Importing): readonly PlannedLine[] {
  const steps = planImport(setup, text, importing);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** What is written when a plan is agreed to: one edit, to be undone as one; null where nothing would change. */
export function importEdit(
  setup: Setup,
  program: string | null,
  planned: readonly PlannedLine[],
): Edit | null {
  const edits: SingleEdit[] = [];
  const owner = program === null ? null : { id: program };
  let after = commandsOf(setup, program).at(-1)?.id ?? null;
  for (const { outcome } of planned) {
    if (outcome.kind === 'add') {
      const item = outcome.command;
      edits.push({ kind: 'add', at: commandAt(owner, item), item, after });
      after = item.id;
    } else if (outcome.kind === 'change') {
      const fields = Object.fromEntries(outcome.fields.map((field) => [field, outcome.after[field]]));
      edits.push({ kind: 'set', at: commandAt(owner, outcome.before), fields });
    }
  }
  return edits.length > 0 ? together(edits) : null;
}

/** The commands of a program, or the common ones. */
export function commandsOf(setup: Setup, program: string | null): readonly Command[] {
  if (program === null) return setup.commonCommands;
  return setup.programs.find(({ id }) => id === program)?.commands ?? [];
}

function added(
  line: LineCommand,
  program: string | null,
  taken: Set<string>,
  proposes: boolean,
): Extract<LineOutcome, { kind: 'add' }> {
  const proposed = proposes ? proposeFor(line.name) : { intent: null, family: null };
  const id = freeId(program === null ? line.name : `${program}-${line.name}`, taken, 'command');
  taken.add(id);
  const family = line.family ?? proposed.family ?? 'edit';
  const intent = line.intent ?? proposed.intent;
  return { kind: 'add', command: newCommand({ ...line, id, family, intent }), proposed };
}

/** Only what the list says is compared: what it has no column for stays. */
function changed(before: Command, line: LineCommand): LineOutcome {
  const fields = (Object.keys(line) as (keyof LineCommand)[]).filter(
    (field) => !sameJson(before[field], line[field]),
  );
  if (fields.length === 0) return { kind: 'same', command: before };
  return { kind: 'change', before, after: { ...before, ...line }, fields };
}
