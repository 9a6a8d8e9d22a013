import type { KeyboardEvent } from 'react';

/** What keys do on a tab: to the one beside it, move it, rename it, open its menu. */
interface TabActs {
  /** Shows the tab beside it, to the right or left. */
  readonly show: (by: 1 | -1) => void;
  readonly move?: (by: 1 | -1) => void;
  readonly rename?: () => void;
  readonly menu?: (at: HTMLElement) => void;
}

/** Arrows go from tab to tab, with Alt the tab itself goes; F2 renames it; the menu key opens its menu. */
export function onTabKey(event: KeyboardEvent<HTMLElement>, { show, move, rename, menu }: TabActs): void {
  const { key, altKey, shiftKey, currentTarget } = event;
  if (key === 'F2' && rename) rename();
  else if ((key === 'ContextMenu' || (key === 'F10' && shiftKey)) && menu) menu(currentTarget);
  else if (key === 'ArrowRight' || key === 'ArrowLeft') {
    const by = key === 'ArrowRight' ? 1 : -1;
    if (altKey) move?.(by);
    else {
      const beside = by > 0 ? currentTarget.nextElementSibling : currentTarget.previousElementSibling;
      if (!(beside instanceof HTMLElement)) return;
      show(by);
      // The tab that is shown takes the keys, so that the next arrow goes on from there.
      beside.focus();
    }
  } else return;
  event.preventDefault();
}
