import { typingReport } from '@nimble-lever/core/setup/shortcuts';
import { createSelector } from '@reduxjs/toolkit';
import { selectSetup } from '../setup/selectors.ts';
import { selectLayout } from './keyboardSlice.ts';

/** Which shortcuts of the set-up this computer's keyboard cannot type. */
export const selectTypingReport = createSelector([selectSetup, selectLayout], typingReport);
