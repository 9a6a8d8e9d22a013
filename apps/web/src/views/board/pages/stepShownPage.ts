import { flatTree, pageTree } from '@nimble-lever/core/pages';
import { selectSetup } from '../../../app/setup/selectors.ts';
import type { AppThunk } from '../../../app/store.ts';
import { pageShown, selectBoardState } from '../boardSlice.ts';

/** Shows the next page of a device, or the previous one, its home among them. */
export const stepShownPage =
  (device: string, by: 1 | -1): AppThunk =>
  (dispatch, getState) => {
    const pages = [null, ...flatTree(pageTree(selectSetup(getState()), device)).map(({ page }) => page.id)];
    const at = pages.indexOf(selectBoardState(getState()).pages[device] ?? null);
    dispatch(pageShown({ device, page: pages.at((Math.max(0, at) + by) % pages.length) ?? null }));
  };
