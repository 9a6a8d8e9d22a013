import type { Setup } from '@nimble-lever/core/setup';
import { differencesOf, differenceWords, unitsOf } from '@nimble-lever/core/vault';
import type { ListedPart } from '../partRows.ts';
import { WORDS } from '../words.ts';

/** The differences between two set-ups in words. */
export function tellDifferences(from: Setup, to: Setup): readonly ListedPart[] {
  const compared = { from, to, fromUnits: unitsOf(from), toUnits: unitsOf(to) };
  return differencesOf(compared.fromUnits, compared.toUnits).map((difference) => ({
    key: difference.key,
    chip: WORDS.changes[difference.change],
    ...differenceWords(compared, difference),
  }));
}
