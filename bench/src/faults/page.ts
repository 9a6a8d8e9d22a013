// A page in a process of its own: the real store and queue of the page, in what little of a browser they need. It edits
// without end and tells what it made and what was acknowledged.
import { readFileSync, writeFileSync } from 'node:fs';
import { bindingChanges, itemAt } from '@nimble-lever/core/setup';
import { configureStore } from '@reduxjs/toolkit';
import { WebSocket as Socket } from 'ws';
import { makeEdit, undo } from '../../../apps/web/src/app/setup/edits.ts';
import { selectSetup } from '../../../apps/web/src/app/setup/selectors.ts';
import { setupReducer } from '../../../apps/web/src/app/setup/setupSlice.ts';
import { keepInStep } from '../../../apps/web/src/app/setup/sync.ts';

/** What a page tells: an edit it made, one it knows to be saved, one that was refused or set aside; how it stands. */
export type PageReport =
  | { readonly kind: 'made' | 'saved' | 'dropped'; readonly id: string }
  | {
      readonly kind: 'state';
      readonly pending: number;
      readonly revision: number;
      readonly note: string | null;
    };

// A page without a browser: the real synchroniser with a store, its storage kept in a file so that it can be killed
// and come back.
const [, , address = '', file = '', number = '0'] = process.argv;
const say = (report: PageReport) => process.send?.(report);

/** What the browser keeps survives the page, as a file. */
const kept = new Map<string, string>(read(file));
// Written at once, as a browser's storage is.
const keep = () => writeFileSync(file, JSON.stringify([...kept]));
const storage = {
  getItem: (name: string) => kept.get(name) ?? null,
  setItem: (name: string, text: string) => {
    kept.set(name, text);
    keep();
  },
  removeItem: (name: string) => {
    kept.delete(name);
    keep();
  },
};
/** In a browser a connection that fails is closed; nothing is thrown. */
class BrowserSocket extends Socket {
  constructor(url: string) {
    super(url);
    this.on('error', () => undefined);
  }
}
process.on('disconnect', () => process.exit());

const realFetch = globalThis.fetch;
const { host } = new URL(address);
Object.assign(globalThis, {
  fetch: (url: string, init?: RequestInit) => realFetch(address + url, init),
  WebSocket: BrowserSocket,
  location: { protocol: 'http:', host },
  window: { addEventListener: () => undefined },
  localStorage: new Proxy(storage, {
    ownKeys: () => [...kept.keys()],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  }),
});
Object.defineProperty(globalThis, 'navigator', {
  value: { userAgent: `page ${number}` },
  configurable: true,
});

const store = configureStore({
  reducer: { setup: setupReducer },
  middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }),
});
// Entries that were waiting are told to the parent, which knows what must not be lost.
let before: readonly { id: string }[] = [];
const report = () => {
  const { pending, log, notices, aside } = store.getState().setup;
  if (pending === before) return;
  const now = new Set(pending.map(({ id }) => id));
  const lost = new Set([...notices.map(({ id }) => id), ...aside.map(({ entry }) => entry.id)]);
  const saved = new Set(log.map(({ id }) => id));
  for (const { id } of pending) if (!before.some((each) => each.id === id)) say({ kind: 'made', id });
  for (const { id } of before) {
    if (now.has(id)) continue;
    if (saved.has(id)) say({ kind: 'saved', id });
    else if (lost.has(id)) say({ kind: 'dropped', id });
  }
  before = pending;
};
// After the page itself, which keeps an edit first: one that is told must outlive a page that is killed then.
keepInStep(store as never);
store.subscribe(report);
report();

/** Each page writes notes of its own, so that what it set last must stand. */
const slot = {
  profile: 'hushbox',
  layer: 'base',
  device: 'twelve-pad',
  control: `key-${Number(number) + 1}`,
  trigger: 'press',
} as const;
let editing = true;
let count = 0;
const dispatch = store.dispatch as (action: unknown) => void;
process.on('message', (message) => {
  if (message === 'stop') editing = false;
});
setInterval(() => {
  const state = store.getState().setup;
  if (!state.setup) return;
  const binding = selectSetup(store.getState() as never).profiles.hushbox?.bindings[keyText()] ?? null;
  if (editing) {
    count += 1;
    if (!binding) {
      const after = { behaviour: { kind: 'native' } as const, face: null, note: `${number}:${count}` };
      for (const edit of bindingChanges(slot, null, after)) dispatch(makeEdit(edit));
    } else if (count % 17 === 0) dispatch(undo());
    else
      dispatch(makeEdit({ kind: 'set', at: itemAt.binding(slot), fields: { note: `${number}:${count}` } }));
  }
  say({
    kind: 'state',
    pending: state.pending.length,
    revision: state.revision,
    note: binding?.note ?? null,
  });
}, 60);

/** The binding it edits, as the parent looks it up. */
function keyText(): string {
  return `${slot.layer}/${slot.device}/${slot.control}/${slot.trigger}`;
}

/** What a page before this one kept; nothing where it was killed while writing. */
function read(path: string): [string, string][] {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return [];
  }
}
