import type { Row } from './useRows.ts';

/** Which commands are shown. */
export const FILTERS = ['all', 'reached', 'unreached', 'risky', 'doubled', 'untyped'] as const;
export type Filter = (typeof FILTERS)[number];

/** Whether a command is shown by a filter. */
const SHOWS = {
  all: () => true,
  reached: ({ reach }) => reach.length > 0,
  unreached: ({ reach }) => reach.length === 0,
  risky: ({ command }) => command.risky,
  doubled: ({ doubled }) => doubled.length > 0,
  untyped: ({ untyped }) => untyped,
} as const satisfies Record<Filter, (row: Row) => boolean>;

export function shows(filter: Filter, row: Row): boolean {
  return SHOWS[filter](row);
}

/** How many commands each filter shows. */
export function countsOf(rows: readonly Row[]): Readonly<Record<Filter, number>> {
  const counts = { all: 0, reached: 0, unreached: 0, risky: 0, doubled: 0, untyped: 0 };
  for (const row of rows) for (const filter of FILTERS) if (SHOWS[filter](row)) counts[filter] += 1;
  return counts;
}
