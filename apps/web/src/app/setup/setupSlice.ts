import type { Entry, LogEntry } from '@nimble-lever/core/setup';
import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import {
  edited,
  type Loaded,
  loaded,
  NO_SETUP,
  received,
  refused,
  type Saving,
  type SetupState,
} from './setupState.ts';

export const setupLoaded = createAction<Loaded>('setup/loaded');
export const setupFailed = createAction<string>('setup/failed');
export const entryMade = createAction<Entry>('setup/entryMade');
export const entriesReceived = createAction<readonly LogEntry[]>('setup/entriesReceived');
export const entryRefused = createAction<{ id: string; detail: string }>('setup/entryRefused');
export const savingChanged = createAction<Saving>('setup/savingChanged');
export const noticeClosed = createAction<string>('setup/noticeClosed');

/**
 * The set-up in the store. Written without drafts: the state's functions are pure already, and a draft of
 * a large set-up costs more than the edit.
 */
export function setupReducer(state: SetupState = NO_SETUP, action: UnknownAction): SetupState {
  if (setupLoaded.match(action)) return loaded(state, action.payload);
  if (setupFailed.match(action)) return { ...state, failed: action.payload };
  if (entryMade.match(action)) return edited(state, action.payload);
  if (entriesReceived.match(action)) return received(state, action.payload);
  if (entryRefused.match(action)) return refused(state, action.payload.id, action.payload.detail);
  if (savingChanged.match(action)) return { ...state, saving: action.payload };
  if (noticeClosed.match(action)) {
    return { ...state, notices: state.notices.filter(({ id }) => id !== action.payload) };
  }
  return state;
}
