import type { Page } from '../setup/index.ts';
import type { Compiled } from './compile.ts';
import { computerOf, programAt } from './destination.ts';
import type { EngineState } from './state.ts';

/** The program that is in front for a device: at the computer it talks to. Null where none is. */
export function programFor(compiled: Compiled, state: EngineState, device: string): string | null {
  return programAt(state, computerOf(compiled, state, device));
}

/** The folder on top of a device; null where none is open. */
export function folderOn({ folders }: EngineState, device: string): string | null {
  return folders[device]?.at(-1) ?? null;
}

/**
 * The set a device has now, null for the device's own: the one chosen last with the program in front, else that
 * program's first that follows it.
 */
export function setOn(compiled: Compiled, state: EngineState, device: string): string | null {
  const sets = compiled.pages.sets.get(device);
  if (!sets) return null;
  const program = programFor(compiled, state, device);
  const chosen = state.sets[device]?.[program ?? NO_PROGRAM];
  if (chosen === null) return null;
  const page = chosen === undefined ? undefined : compiled.pages.byId.get(chosen);
  // It may have been edited since: given to another program, or taken away.
  const isThere = page?.kind === 'set' && page.device === device;
  if (isThere && (page.program === null || page.program === program)) return page.id;
  return program === null ? null : (sets.following.get(program) ?? null);
}

/** The sets of a device that take each other's place now: its own (null), those of the program in front, those of none. */
export function setsNow(compiled: Compiled, state: EngineState, device: string): readonly (string | null)[] {
  const program = programFor(compiled, state, device);
  const sets = compiled.pages.sets.get(device)?.all ?? [];
  const own = program === null ? [] : sets.filter((set) => set.program === program);
  return [null, ...[...own, ...sets.filter((set) => set.program === null)].map(({ id }) => id)];
}

/** The page that shows on a device: the folder on top, else its set; null for the device's own. */
export function shownPage(compiled: Compiled, state: EngineState, device: string): string | null {
  return folderOn(state, device) ?? setOn(compiled, state, device);
}

/** Whether a page has the cells of another, since it is based on it. */
export function isOnBase({ pages }: Compiled, page: string | null, base: string | null): boolean {
  return page !== null && base !== null && (pages.bases.get(page)?.includes(base) ?? false);
}

/** What a choice is remembered under while no program is in front; no program has it as its id. */
export const NO_PROGRAM = '';

/** The pages that are on, on a device: the set first, then the folders as they were opened; none on its own page. */
export function pagesOn(compiled: Compiled, state: EngineState, device: string): readonly Page[] {
  const set = setOn(compiled, state, device);
  const ids = [...(set === null ? [] : [set]), ...(state.folders[device] ?? [])];
  return ids.flatMap((id) => compiled.pages.byId.get(id) ?? []);
}
