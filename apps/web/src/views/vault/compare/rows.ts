import type { Setup } from '@nimble-lever/core/setup';
import {
  type Difference,
  type DifferenceWords,
  differencesOf,
  differenceWords,
  unitsOf,
} from '@nimble-lever/core/vault';

/** A difference with its words. */
export interface Told extends DifferenceWords {
  readonly difference: Difference;
}

/** A line of the comparison: a heading, or a difference. */
export type CompareRow =
  | {
      readonly kind: 'section';
      readonly key: string;
      readonly name: string;
      readonly keys: readonly string[];
    }
  | { readonly kind: 'difference'; readonly key: string; readonly told: Told };

/** The differences between two set-ups in words, by heading, in the order in which a set-up is arranged. */
export function tellDifferences(from: Setup, to: Setup): readonly Told[] {
  const compared = { from, to, fromUnits: unitsOf(from), toUnits: unitsOf(to) };
  const told = differencesOf(compared.fromUnits, compared.toUnits).map((difference) => ({
    difference,
    ...differenceWords(compared, difference),
  }));
  const sections = [...new Set(told.map(({ section }) => section))];
  return sections.flatMap((section) =>
    told.filter((each) => each.section === section).sort((a, b) => a.name.localeCompare(b.name, 'en')),
  );
}

/** The lines that a search leaves. */
export function rowsOf(told: readonly Told[], search: string): readonly CompareRow[] {
  const wanted = search.trim().toLowerCase();
  const left = told.filter(({ section, name, lines }) =>
    [section, name, ...lines].some((text) => text.toLowerCase().includes(wanted)),
  );
  const rows: CompareRow[] = [];
  let section: string | null = null;
  for (const each of left) {
    if (each.section !== section) {
      section = each.section;
      const keys = left.filter((other) => other.section === section).map(({ difference }) => difference.key);
      rows.push({ kind: 'section', key: `section ${section}`, name: section, keys });
    }
    rows.push({ kind: 'difference', key: each.difference.key, told: each });
  }
  return rows;
}
