import { useState } from 'react';
import type { ScoreRow } from '../rows.ts';

/** What is selected: where the keys are, and where a range began. */
interface Selected {
  readonly macro: string;
  readonly ids: ReadonlySet<string>;
  readonly at: string | null;
  readonly from: string | null;
}

/** How a step is chosen: alone, with those between, or as one more. */
export type Choosing = 'one' | 'range' | 'more';

/** The steps of a macro that are selected. Steps that are gone are not. */
export function useSelection(macro: string, rows: readonly ScoreRow[]) {
  const [kept, setKept] = useState<Selected>({ macro, ids: new Set(), at: null, from: null });
  const there = new Set(rows.map(({ step }) => step.id));
  const isOurs = kept.macro === macro;
  const ids = new Set(isOurs ? [...kept.ids].filter((id) => there.has(id)) : []);
  const at = isOurs && kept.at !== null && there.has(kept.at) ? kept.at : null;
  const choose = (id: string, how: Choosing) => {
    const from = isOurs && kept.from !== null && there.has(kept.from) ? kept.from : id;
    if (how === 'one') setKept({ macro, ids: new Set([id]), at: id, from: id });
    else if (how === 'more') {
      const next = new Set(ids);
      if (next.has(id)) next.delete(id);
      else next.add(id);
      setKept({ macro, ids: next, at: id, from: id });
    } else {
      const order = rows.map(({ step }) => step.id);
      const [a, b] = [order.indexOf(from), order.indexOf(id)].toSorted((x, y) => x - y);
      setKept({ macro, ids: new Set(order.slice(a, (b ?? 0) + 1)), at: id, from });
    }
  };
  const chooseAll = (all: readonly string[]) =>
    setKept({ macro, ids: new Set(all), at: all.at(-1) ?? null, from: all[0] ?? null });
  return { ids: ids as ReadonlySet<string>, at, choose, chooseAll };
}

/** What `useSelection` gives. */
export type Selection = ReturnType<typeof useSelection>;
