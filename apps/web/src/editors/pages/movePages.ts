import { movePage } from '@nimble-lever/core/pages';
import { EVERYWHERE, type Page, profileOf, type Setup } from '@nimble-lever/core/setup';
import { makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';

/** The profile that a page is used with. */
export function profileFor(setup: Setup, { program }: Page): string {
  return (program !== null && profileOf(setup, program)?.id) || EVERYWHERE;
}

/** A page one place on among those it stands beside, or back. */
export const stepPage =
  (page: Page, by: 1 | -1): AppThunk =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const { pages } = setup;
    const beside = pages.filter(
      (other) => other.device === page.device && other.within === page.within && other.kind === page.kind,
    );
    const at = beside.findIndex(({ id }) => id === page.id);
    const target = beside[at + by];
    if (target) dispatch(putPage(page, target, by > 0));
  };

/** A page right after another or right before it, in what that one stands in. */
export const putPage =
  (page: Page, target: Page, isAfter: boolean): AppThunk =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const own = setup.pages.filter(({ id, device }) => device === page.device && id !== page.id);
    const at = own.findIndex(({ id }) => id === target.id);
    const after = isAfter ? target.id : (own[at - 1]?.id ?? null);
    const within = page.kind === 'set' ? null : target.within;
    const edits = movePage(setup, page, { within, after });
    if (edits && edits.length > 0) dispatch(makeEdits(edits));
  };
