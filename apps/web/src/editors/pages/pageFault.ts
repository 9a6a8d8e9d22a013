import { reachedPages, wayBack } from '@nimble-lever/core/pages';
import type { Page, Setup } from '@nimble-lever/core/setup';
import { createSelector } from '@reduxjs/toolkit';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { RootState } from '../../app/store.ts';
import { profileFor } from './movePages.ts';
import { WORDS } from './words.ts';

/** Pages that something leads to, found once for all tabs. */
const selectReached = createSelector([selectSetup], reachedPages);

/** Why a page cannot be used as it is; null where it can. */
function wrongWith(setup: Setup, reached: ReadonlySet<string>, page: Page): string | null {
  if (!reached.has(page.id)) return WORDS.pageUnreached;
  return page.kind === 'folder' && wayBack(setup, page, profileFor(setup, page)) === null
    ? WORDS.pageNoWayBack
    : null;
}

/** Why a page of the set-up shown cannot be used as it is; null where it can. */
export function pageFault(state: RootState, page: Page): string | null {
  return wrongWith(selectSetup(state), selectReached(state), page);
}
