import { type Compiled, compile } from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';
import { createSelector } from '@reduxjs/toolkit';
import { selectKeyboards } from '../keyboard/keyboardSlice.ts';
import type { RootState } from '../store.ts';
import { historyIn } from './setupState.ts';

/** The set-up shown. Views are drawn only once there is one. */
export function selectSetup(state: RootState): Setup {
  if (!state.setup.setup) throw new Error('The set-up is not read yet.');
  return state.setup.setup;
}

/** What can be undone and done again. */
export const selectHistory = createSelector([(state: RootState) => state.setup], historyIn);

// Compiling from the one before takes a fraction of compiling anew, as most of a set-up stays the same.
let previous: Compiled | null = null;

/** The set-up the engine works by: the one shown, with what scripts have put on. */
export function selectWorn(state: RootState): Setup {
  const { worn } = state.engine;
  const setup = selectSetup(state);
  return worn?.of === setup ? worn.setup : setup;
}

/** The set-up made ready for the engine; after an edit only what it touched is made anew. */
export const selectCompiled = createSelector([selectWorn, selectKeyboards], (setup, keyboards) => {
  previous = compile(setup, previous, keyboards);
  return previous;
});
