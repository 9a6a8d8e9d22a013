import type { Setup } from '../setup/index.ts';
import { sameUnit, type UnitPlace, type Units, unitPlace, unitsOf } from './units.ts';

/** One part in which two set-ups differ. */
export interface Difference extends UnitPlace {
  readonly key: string;
  /** As seen from the first: the second has it too, or not. */
  readonly change: 'added' | 'removed' | 'changed';
}

/** The parts in which another set-up differs from one: what it has more, what it lacks, and what is otherwise there. */
export function differencesBetween(from: Setup, to: Setup): readonly Difference[] {
  return differencesOf(unitsOf(from), unitsOf(to));
}

/** The same of set-ups that were taken apart. */
export function differencesOf(from: Units, to: Units): readonly Difference[] {
  const found: Difference[] = [];
  for (const key of new Set([...from.keys(), ...to.keys()])) {
    const [a, b] = [from.get(key), to.get(key)];
    const place = unitPlace(key);
    // The order of what comes or goes as a whole is no difference of its own.
    if (place.kind === 'order' && (a === undefined || b === undefined)) continue;
    if (sameUnit(key, a, b)) continue;
    const change = a === undefined ? 'added' : b === undefined ? 'removed' : 'changed';
    found.push({ ...place, key, change });
  }
  return found;
}
