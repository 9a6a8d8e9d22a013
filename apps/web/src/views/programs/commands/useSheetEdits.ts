import {
  addCommand,
  cellProblemWords,
  commandsOf,
  fillDown,
  type PastePlan,
  planPaste,
  proposeFor,
  readCell,
  removeCommands,
  type SheetColumn,
} from '@nimble-lever/core/programs';
import { type Command, changesOf, commandAt, moveTo, newCommand, together } from '@nimble-lever/core/setup';
import { useContext } from 'react';
import { typedAt } from '../../../app/keyboard/typedShortcut.ts';
import { makeEdit, makeEdits } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { KeyboardContext } from '../../../pieces/keyboard.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';

/** What can be done to a program's commands, each as one edit, with what came of it told. */
export function useSheetEdits(program: string | null) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { platform, legends } = useContext(KeyboardContext);
  const { say, sayWrong, sayNothing } = useSay();
  const at = typedAt(platform, legends);
  const owner = program === null ? null : { id: program };
  const commands = commandsOf(setup, program);
  const change = (command: Command, fields: Partial<Command>) =>
    dispatch(makeEdits(changesOf(commandAt(owner, command), command, { ...command, ...fields })));
  const namesOf = (ids: readonly string[]) => commands.filter(({ id }) => ids.includes(id));
  return {
    change,
    /** Puts a text as it was typed into a cell; false, and told, where it does not fit. */
    set: (command: Command, column: SheetColumn, text: string): boolean => {
      const read = readCell(column, text, at);
      if (!read.ok) {
        sayWrong(cellProblemWords(read.problem));
        return false;
      }
      sayNothing();
      change(command, read.value);
      return true;
    },
    /** Adds a command at the end; null, and told, where name or keys do not do. */
    add: (name: string, keys: string): string | null => {
      const [named, typed] = [readCell('name', name, at), readCell('shortcut', keys, at)];
      const wrong = named.ok ? typed : named;
      if (!wrong.ok) sayWrong(cellProblemWords(wrong.problem));
      if (!named.ok || !typed.ok) return null;
      const given = newCommand({
        ...{ id: 'new', name: '', shortcut: '', family: proposeFor(name).family ?? 'edit' },
        ...named.value,
        ...typed.value,
      });
      const made = addCommand(setup, program, given, commands.at(-1)?.id ?? null);
      dispatch(makeEdit(made.edit));
      say(WORDS.added(given.name));
      return made.id;
    },
    remove: (ids: readonly string[]) => {
      const removal = removeCommands(setup, program, ids);
      if (removal.commands === 0) return;
      dispatch(makeEdit(removal.edit));
      say(WORDS.removedCommands(removal.commands, removal.bindings));
    },
    /** Puts a command so many places further; the lines are those of the list itself. */
    move: (id: string, by: number) => {
      const from = commands.findIndex((command) => command.id === id);
      const to = Math.max(0, Math.min(commands.length - 1, from + by));
      if (from >= 0 && to !== from) dispatch(makeEdit(moveTo(commandAt(owner, { id }), commands, id, to)));
    },
    paste: (
      block: readonly (readonly string[])[],
      place: { readonly order: readonly string[]; readonly row: number; readonly column: SheetColumn },
    ): PastePlan => {
      const plan = planPaste(setup, block, { program, at, ...place });
      if (plan.edits.length > 0) dispatch(makeEdit(together(plan.edits)));
      const [first] = plan.left;
      const left = first
        ? WORDS.left(plan.left.length, first.row, first.column, cellProblemWords(first.problem))
        : '';
      const done = WORDS.pasted(plan.taken, plan.added.length);
      if (left) sayWrong(plan.taken > 0 ? `${done}; ${left}` : left);
      else say(done);
      return plan;
    },
    fill: (ids: readonly string[], columns: readonly SheetColumn[]) => {
      const edits = fillDown(setup, program, ids, columns);
      dispatch(makeEdits(edits));
      say(WORDS.filled(edits.length));
    },
    /** Takes away what need not be there. */
    clear: (ids: readonly string[], columns: readonly SheetColumn[]) => {
      const empty: Partial<Command> = {
        ...(columns.includes('intent') && { intent: null }),
        ...(columns.includes('risky') && { risky: false }),
        ...(columns.includes('note') && { note: null }),
      };
      dispatch(
        makeEdits(
          namesOf(ids).flatMap((command) =>
            changesOf(commandAt(owner, command), command, { ...command, ...empty }),
          ),
        ),
      );
    },
  };
}

/** The edits of a sheet, as its parts are given them. */
export type SheetEdits = ReturnType<typeof useSheetEdits>;
