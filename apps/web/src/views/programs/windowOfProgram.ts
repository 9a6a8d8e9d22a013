import { type FrontWindow, unfittingFields } from '@nimble-lever/core/resolve';
import type { Program } from '@nimble-lever/core/setup';
import { DESK_WINDOWS } from '../../practice/deskSlice.ts';

/** The practice desk's window that a program's rules fit, by its id; null where there is none. */
export function windowOfProgram({ rules }: Pick<Program, 'rules'>): string | null {
  const fits = (window: FrontWindow) =>
    rules.some((rule) => !rule.negative && unfittingFields(rule, window).length === 0);
  return DESK_WINDOWS.find(fits)?.id ?? null;
}
