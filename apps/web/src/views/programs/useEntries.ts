import { columnOf, inReach } from '@nimble-lever/core/programs';
import type { Program, Setup } from '@nimble-lever/core/setup';
import { useDeferredValue, useMemo } from 'react';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { DESK_WINDOWS, selectDesk } from '../../practice/deskSlice.ts';
import { WORDS } from './words.ts';

/** A line of the list of programs. */
export interface Entry {
  /** Null for the commands that mean the same in most programs. */
  readonly program: Program | null;
  readonly name: string;
  readonly commands: number;
  /** How many of them have a control. */
  readonly reached: number;
  readonly open: boolean;
  readonly inFront: boolean;
}

/** Everywhere and every program, with how much of it is in reach and whether it is open. */
export function useEntries(): readonly Entry[] {
  const setup = useAppSelector(selectSetup);
  const front = useAppSelector((state) => state.engine.engine.profile);
  const order = useAppSelector((state) => selectDesk(state).order);
  // With two hundred programs it takes a while; what was edited shows first.
  const counted = useDeferredValue(setup);
  const rows = useMemo(() => reachRows(counted), [counted]);
  const inFront = setup.profiles[front]?.program ?? null;
  const open = new Set(
    DESK_WINDOWS.filter(({ id }) => order.includes(id)).map(({ executable }) => executable),
  );
  return rows.map((row) => ({
    ...row,
    open: (row.program?.rules ?? []).some(
      ({ executable, negative }) => !negative && executable !== null && open.has(executable.text),
    ),
    inFront: row.program !== null && row.program.id === inFront,
  }));
}

function reachRows(setup: Setup) {
  const row = (program: Program | null) => {
    const commands = program?.commands ?? setup.commonCommands;
    return {
      program,
      name: program?.name ?? WORDS.everywhere,
      commands: commands.length,
      reached: inReach(setup, columnOf(setup, program?.id ?? null), commands),
    };
  };
  return [row(null), ...setup.programs.map(row)];
}
