import type { SentOutcome } from '@nimble-lever/core/setup';
import type { Store } from '@reduxjs/toolkit';
import { newUuid } from '../newUuid.ts';
import { WORDS } from '../shell/words.ts';
import { readSetUp, type SendOutcome, sendEntries } from './api.ts';
import { keepAside, readAside } from './asideEntries.ts';
import { readAuthor } from './author.ts';
import { nextBatch } from './batch.ts';
import { keepEntries, takeKeptEntries } from './keptEntries.ts';
import { LiveConnection } from './live.ts';
import { LiveLine } from './liveLine.ts';
import { holdPage, openPages } from './openPages.ts';
import {
  asideChanged,
  authorChanged,
  entriesReceived,
  entryRefused,
  entrySetAside,
  leftBehind,
  outdatedFound,
  savingChanged,
  setupFailed,
  setupLoaded,
} from './setupSlice.ts';
import type { PendingEntry, SetupState } from './setupState.ts';
import { findShown, keepLast } from './shownSetUp.ts';

/** How long to wait before sending again, ever longer; the last for as long as it takes. */
const RETRY_MS = [500, 1000, 2000, 4000, 8000] as const;
/** How often an entry that the server fails at by itself is tried before it is set aside. */
const TRIES = 3;

/**
 * Keeps the store and the server in step: reads the set-up, sends what waits, takes in what others did, and tries
 * again, for as long as it takes, when the server is away. What the server cannot save is set aside, so that nothing
 * blocks what was made after it.
 *
 * @param line is told of the live connection, for whoever else uses it
 */
export function keepInStep(store: Store<{ setup: SetupState }>, line = new LiveLine()): void {
  const page = newUuid();
  const shown = findShown();
  let sending = false;
  let loading = false;
  let failures = 0;
  /** One entry a request, since one of several is in the way of the others. */
  let alone = false;
  let tries = 0;
  let retry: ReturnType<typeof setTimeout> | null = null;
  let keptPending: unknown = null;
  let keptAside: SetupState['aside'] = [];
  const state = () => store.getState().setup;

  const live = new LiveConnection({
    onEdits: (entries) => store.dispatch(entriesReceived(entries)),
    onBehind: () => store.dispatch(leftBehind()),
    onOutdated: () => store.dispatch(outdatedFound()),
    onOpen: (send) => {
      failures = 0;
      line.opened(send);
    },
    onOther: (message) => line.heard(message),
    onLost: () => {
      line.lost();
      later();
    },
  });

  const later = () => {
    if (retry) return;
    const pause = RETRY_MS[Math.min(failures, RETRY_MS.length - 1)] ?? 0;
    failures += 1;
    retry = setTimeout(
      () => {
        retry = null;
        if (!state().savedSetup || state().outOfStep) void load();
        else void flush();
        listen();
      },
      pause * (0.5 + Math.random() / 2),
    );
  };

  const load = async () => {
    if (loading) return;
    loading = true;
    try {
      const stored = await readSetUp(shown, state().me.id);
      if (stored.asItWas) {
        // Nothing is edited there, so that there is nothing to send, to keep or to hear of.
        store.dispatch(setupLoaded({ ...stored, kept: [] }));
        return;
      }
      if (shown.id !== null) keepLast(shown.id);
      const open = await openPages();
      const kept = await takeKeptEntries(stored.id, open, state().me, stored.setup);
      if (state().id === null) {
        keptAside = readAside(stored.id);
        store.dispatch(asideChanged(keptAside));
      }
      store.dispatch(setupLoaded({ ...stored, kept }));
      failures = 0;
      void flush();
      listen();
    } catch (error) {
      store.dispatch(setupFailed(error instanceof Error ? error.message : String(error)));
      later();
    } finally {
      loading = false;
    }
  };

  const flush = async () => {
    const { id, revision, pending, outOfStep, saving } = state();
    if (sending || outOfStep || id === null) return;
    if (pending.length === 0) {
      if (saving !== 'saved') store.dispatch(savingChanged({ saving: 'saved' }));
      return;
    }
    sending = true;
    store.dispatch(savingChanged({ saving: 'saving' }));
    const batch = nextBatch(pending, alone);
    const outcome = await sendEntries(id, revision, batch);
    sending = false;
    if (!take(outcome, batch)) {
      const detail = 'detail' in outcome ? outcome.detail : '';
      store.dispatch(savingChanged({ saving: 'waiting', waitingFor: detail }));
      later();
      return;
    }
    failures = 0;
    void flush();
  };

  /** Acts on what the server said; false where it must be asked again later. */
  const take = (outcome: SendOutcome, batch: readonly PendingEntry[]): boolean => {
    switch (outcome.kind) {
      case 'answered':
        tries = 0;
        alone = false;
        for (const each of outcome.outcomes) takeOutcome(each);
        store.dispatch(outcome.entries ? entriesReceived(outcome.entries) : leftBehind());
        return true;
      case 'away':
        return false;
      case 'too-large':
        return single(batch, WORDS.tooLarge);
      case 'unreadable':
        return single(batch, outcome.detail);
      case 'broken':
        tries += 1;
        return tries < TRIES && batch.length === 1 ? false : single(batch, outcome.detail);
    }
  };

  /** Something in a request cannot be saved: of several each is sent by itself, a single one is set aside. */
  const single = (batch: readonly PendingEntry[], detail: string): true => {
    const [first] = batch;
    tries = 0;
    alone = batch.length > 1;
    if (first && batch.length === 1) putAside(first.id, detail);
    return true;
  };

  const putAside = (id: string, detail: string) =>
    store.dispatch(entrySetAside({ id, detail, at: new Date().toISOString() }));

  const takeOutcome = (outcome: SentOutcome) => {
    switch (outcome.kind) {
      case 'saved':
        return;
      case 'refused': {
        const { id, code, detail } = outcome;
        if (code === 'unreadable') putAside(id, detail);
        else store.dispatch(entryRefused({ id, code, detail }));
        return;
      }
      case 'failed':
        putAside(outcome.id, outcome.detail);
    }
  };

  const listen = () => {
    const { id, revision, asItWas } = state();
    if (id !== null && !asItWas) live.open(id, revision);
  };

  store.dispatch(authorChanged(readAuthor()));
  holdPage(page);
  store.subscribe(() => {
    const { id, pending, aside, outOfStep } = state();
    if (id !== null && aside !== keptAside) {
      keepAside(id, keptAside, aside);
      keptAside = aside;
    }
    if (id !== null && pending !== keptPending) {
      keptPending = pending;
      keepEntries(id, page, pending);
      if (!retry) void flush();
    }
    if (outOfStep && !retry) void load();
  });
  window.addEventListener('online', () => void flush());
  void load();
}
