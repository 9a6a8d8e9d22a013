import { useEffect, useRef } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import type { BoardColumn } from '../boardModel.ts';
import { selectBoardState } from '../boardSlice.ts';

/** Brings the column of a page's program into sight when the page is shown: what is bound on it stands there. */
export function usePageColumn(columns: readonly BoardColumn[], reveal: (column: number) => void): void {
  const { pages } = useAppSelector(selectSetup);
  const shown = useAppSelector((state) => selectBoardState(state).pages);
  const before = useRef(shown);
  useEffect(() => {
    if (before.current === shown) return;
    const [, page] = Object.entries(shown).find(([device, id]) => before.current[device] !== id) ?? [];
    before.current = shown;
    const program = pages.find(({ id }) => id === page)?.program ?? null;
    if (program !== null) reveal(columns.findIndex(({ profile }) => profile.program === program));
  });
}
