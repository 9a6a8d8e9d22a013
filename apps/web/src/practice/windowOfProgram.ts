import { type FrontWindow, unfittingFields } from '@nimble-lever/core/resolve';
import type { Program } from '@nimble-lever/core/setup';
import type { RootState } from '../app/store.ts';
import { DESK_WINDOWS } from './deskSlice.ts';

/** The practice desk's window that a program's rules fit, by its id; null where there is none. */
export function windowOfProgram({ rules }: Pick<Program, 'rules'>): string | null {
  const fits = (window: FrontWindow) =>
    rules.some((rule) => !rule.negative && unfittingFields(rule, window).length === 0);
  return DESK_WINDOWS.find(fits)?.id ?? null;
}

/** The window of a program that is named by its id: by its rules, as people may call a program what they like. */
export function windowFor({ setup }: RootState, program: string): string {
  const found = setup.setup?.programs.find(({ id }) => id === program);
  return (found && windowOfProgram(found)) ?? program;
}

/** The program of the set-up that a window of the practice desk belongs to; null where none knows it. */
export function programOfWindow({ setup }: RootState, window: string): string | null {
  const found = DESK_WINDOWS.find(({ id }) => id === window);
  const owner = setup.setup?.programs.find(({ rules }) =>
    rules.some((rule) => found && !rule.negative && unfittingFields(rule, found).length === 0),
  );
  return owner?.id ?? null;
}
