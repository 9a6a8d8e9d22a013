import type { Store } from '@reduxjs/toolkit';
import { newsSchema, readFirstSetUp, sendEntries } from './api.ts';
import { keepEntries, takeKeptEntries } from './keptEntries.ts';
import { entriesReceived, entryRefused, savingChanged, setupFailed, setupLoaded } from './setupSlice.ts';
import type { SetupState } from './setupState.ts';

const RETRY_MS = [500, 1000, 2000, 4000, 8000] as const;
const BATCH = 100;

/**
 * Keeps the store and the server in step: reads the set-up, sends what waits, takes in what others did, and
 * tries again, for as long as it takes, when the server is away.
 */
export function keepInStep(store: Store<{ setup: SetupState }>): void {
  const page = crypto.randomUUID();
  let sending = false;
  let loading = false;
  let failures = 0;
  let retry: ReturnType<typeof setTimeout> | null = null;
  let socket: WebSocket | null = null;
  let keptPending: unknown = null;
  const state = () => store.getState().setup;

  const later = () => {
    if (retry) return;
    const pause = RETRY_MS[Math.min(failures, RETRY_MS.length - 1)];
    failures += 1;
    retry = setTimeout(() => {
      retry = null;
      if (!state().savedSetup || state().outOfStep) void load();
      else void flush();
      listen();
    }, pause);
  };

  const load = async () => {
    if (loading) return;
    loading = true;
    try {
      const stored = await readFirstSetUp();
      store.dispatch(setupLoaded({ ...stored, kept: takeKeptEntries(stored.id) }));
      failures = 0;
      listen();
    } catch (error) {
      store.dispatch(setupFailed(error instanceof Error ? error.message : String(error)));
      later();
    } finally {
      loading = false;
    }
  };

  const flush = async () => {
    const { id, revision, pending, outOfStep } = state();
    if (sending || outOfStep || id === null || pending.length === 0) return;
    sending = true;
    store.dispatch(savingChanged('saving'));
    const outcome = await sendEntries(id, revision, pending.slice(0, BATCH));
    sending = false;
    if (outcome.kind === 'away') {
      store.dispatch(savingChanged('waiting'));
      later();
      return;
    }
    failures = 0;
    if (outcome.kind === 'refused') {
      const entry = outcome.entry ?? pending[0]?.id ?? '';
      store.dispatch(entryRefused({ id: entry, detail: outcome.detail }));
    } else {
      store.dispatch(entriesReceived(outcome.entries));
      if (outcome.kind === 'behind' && outcome.entries.length === 0) void load();
    }
    if (state().pending.length === 0) store.dispatch(savingChanged('saved'));
    else void flush();
  };

  const listen = () => {
    const { id, revision } = state();
    if (id === null || (socket && socket.readyState <= WebSocket.OPEN)) return;
    const scheme = location.protocol === 'https:' ? 'wss' : 'ws';
    socket = new WebSocket(`${scheme}://${location.host}/api/live?setUp=${id}&after=${revision}`);
    socket.onopen = () => {
      failures = 0;
    };
    socket.onmessage = ({ data }) => {
      const news = newsSchema.safeParse(JSON.parse(String(data)));
      if (news.success) store.dispatch(entriesReceived(news.data.entries));
    };
    socket.onclose = () => {
      socket = null;
      later();
    };
  };

  store.subscribe(() => {
    const { id, pending, outOfStep } = state();
    if (id !== null && pending !== keptPending) {
      keptPending = pending;
      keepEntries(id, page, pending);
      if (!retry) void flush();
    }
    if (outOfStep) void load();
  });
  window.addEventListener('online', () => void flush());
  void load();
}
