import type { UntimedEvent } from '@nimble-lever/session';
import type { AppThunk } from '../store.ts';

/** Hands an event to the page's engine. */
export const feed =
  (event: UntimedEvent): AppThunk =>
  (_dispatch, _getState, { session }) =>
    session.take(event);
