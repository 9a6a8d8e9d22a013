import { type ControlPlace, ownContent } from '@nimble-lever/core/pages';
import { itemAt, type SingleEdit } from '@nimble-lever/core/setup';
import { makeEdits } from '../../app/setup/edits.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';

/** Takes away all that is set for a control at a place: it does what comes from below. */
export const removedContent =
  (place: ControlPlace): AppThunk =>
  (dispatch, getState) => {
    const own = ownContent(selectSetup(getState()), place);
    if (own.length === 0) return;
    const edits = own.map(
      ({ trigger }): SingleEdit => ({ kind: 'remove', at: itemAt.binding({ ...place, trigger }) }),
    );
    dispatch(makeEdits(edits));
  };
