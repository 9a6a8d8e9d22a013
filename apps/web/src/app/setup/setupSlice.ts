import type { Author, Entry, NewsEntry } from '@nimble-lever/core/setup';
import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import { type AsideEntry, type Notice, withNotice } from './notices.ts';
import {
  edited,
  type Loaded,
  loaded,
  NO_SETUP,
  type OlderEntries,
  olderRead,
  type RefusedEntry,
  received,
  refused,
  type Saving,
  type SetupState,
  setAside,
} from './setupState.ts';

/** The set-up was read, at first or anew. */
export const setupLoaded = createAction<Loaded>('setup/loaded');
/** The set-up could not be read; the reason in words. */
export const setupFailed = createAction<string>('setup/failed');
/** An edit, undo or redo of this page: shown at once, sent later. */
export const entryMade = createAction<Entry>('setup/entryMade');
/** What was saved since, in the order of the log; entries of this page among them. */
export const entriesReceived = createAction<readonly NewsEntry[]>('setup/entriesReceived');
/** More was missed than is told. */
export const leftBehind = createAction('setup/leftBehind');
/** The server refused an edit: it is taken back here, and the person is told. */
export const entryRefused = createAction<RefusedEntry>('setup/entryRefused');
/** An edit that could not be saved is set aside, so that those after it are. */
export const entrySetAside = createAction<{ id: string; detail: string; at: string }>('setup/entrySetAside');
/** Another page of this browser set something aside, or put it back. */
export const asideChanged = createAction<readonly AsideEntry[]>('setup/asideChanged');
/** Older edits of the person, for undo beyond those at hand. */
export const olderEntriesRead = createAction<OlderEntries>('setup/olderEntriesRead');
/** Saved, saving, or waiting, with the reason. */
export const savingChanged = createAction<{ saving: Saving; waitingFor?: string }>('setup/savingChanged');
/** The person chose another name. */
export const authorChanged = createAction<Author>('setup/authorChanged');
/** The server is of another version: this page must be loaded anew. */
export const outdatedFound = createAction('setup/outdatedFound');
/** Something happened that the person did not do, and should know. */
export const noticed = createAction<Notice>('setup/noticed');
/** The person has read it. */
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
  if (leftBehind.match(action)) return { ...state, outOfStep: true };
  if (entryRefused.match(action)) return refused(state, action.payload);
  if (entrySetAside.match(action)) {
    const { id, detail, at } = action.payload;
    return setAside(state, id, detail, at);
  }
  if (asideChanged.match(action)) return { ...state, aside: action.payload };
  if (olderEntriesRead.match(action)) return olderRead(state, action.payload);
  if (savingChanged.match(action)) {
    const { saving, waitingFor = null } = action.payload;
    return { ...state, saving, waitingFor };
  }
  if (authorChanged.match(action)) return { ...state, me: action.payload };
  if (outdatedFound.match(action)) return { ...state, outdated: true };
  if (noticed.match(action)) return withNotice(state, action.payload);
  if (noticeClosed.match(action)) {
    return { ...state, notices: state.notices.filter(({ id }) => id !== action.payload) };
  }
  return state;
}
