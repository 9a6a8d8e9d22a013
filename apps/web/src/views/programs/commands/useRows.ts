import { columnOf, commandsOf, doubledIn, type Reach, reachOf } from '@nimble-lever/core/programs';
import type { Command, Setup } from '@nimble-lever/core/setup';
import { isUntypeable } from '@nimble-lever/core/setup/shortcuts';
import { controlUseWords } from '@nimble-lever/core/words';
import { useMemo } from 'react';
import { selectLayout } from '../../../app/keyboard/keyboardSlice.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { WORDS } from '../words.ts';

/** A line of the sheet: a command, and what is found out about it. */
export interface Row {
  readonly id: string;
  readonly command: Command;
  readonly reach: readonly Reach[];
  /** The first control that reaches it, in words; empty where none does. */
  readonly where: string;
  /** The names of other commands of the list with the same keys. */
  readonly doubled: readonly string[];
  readonly untyped: boolean;
}

/** The same empty list each time, so that a row stays the same row. */
const NOTHING: readonly never[] = [];

/** The commands of a program, or the common ones, as lines. */
export function useRows(program: string | null): readonly Row[] {
  const setup = useAppSelector(selectSetup);
  const layout = useAppSelector(selectLayout);
  return useMemo(() => {
    const commands = commandsOf(setup, program);
    const reach = reachOf(setup, columnOf(setup, program));
    const doubled = doubledIn(commands);
    const keysBy = setup.programs.find(({ id }) => id === program)?.keysBy ?? 'character';
    return commands.map((command): Row => {
      const reached = reach.get(command.id) ?? NOTHING;
      return {
        id: command.id,
        command,
        reach: reached,
        where: reached[0] ? whereWords(setup, reached[0]) : '',
        doubled: doubled.get(command.id) ?? NOTHING,
        untyped: isUntypeable(command, keysBy, layout),
      };
    });
  }, [setup, program, layout]);
}

/** Where something is reached, and by what besides a binding of its own. */
export function whereWords(setup: Setup, { slot, through }: Reach): string {
  const place = controlUseWords(setup, slot);
  return through ? `${place}, ${throughWords(setup, through)}` : place;
}

function throughWords(setup: Setup, { kind, id }: NonNullable<Reach['through']>): string {
  switch (kind) {
    case 'intent':
      return WORDS.through.intent(id.replaceAll('-', ' '));
    case 'macro':
      return WORDS.through.macro(setup.macros.find((macro) => macro.id === id)?.name ?? id);
    case 'menu':
      return WORDS.through.menu(setup.radialMenus.find((menu) => menu.id === id)?.name ?? id);
  }
}
