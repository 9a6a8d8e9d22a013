import { demoSetup, type Edit, itemAt } from '@nimble-lever/core/setup';
import { configureStore } from '@reduxjs/toolkit';
import { makeEdit } from './edits.ts';
import { setupLoaded, setupReducer } from './setupSlice.ts';

function start() {
  const store = configureStore({
    reducer: { setup: setupReducer },
    middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }),
  });
  const history = { entries: [], more: false };
  store.dispatch(
    setupLoaded({
      id: 'one',
      revision: 3,
      setup: demoSetup(),
      history,
      kept: [],
      asItWas: null,
      binnedAt: null,
    }),
  );
  const make = (edit: Edit) => store.dispatch(makeEdit(edit) as never);
  return { make, state: () => store.getState().setup };
}
const rename = (name: string): Edit => ({ kind: 'set', at: itemAt.program('tallow'), fields: { name } });

test('an edit waits to be saved as the server will read it, with what its author had seen', () => {
  const { make, state } = start();
  make(rename('  Wick '));
  expect(state().pending).toMatchObject([{ role: 'do', base: 3, edit: rename('Wick') }]);
  expect(state().setup?.programs.find(({ id }) => id === 'tallow')?.name).toBe('Wick');
});

test.each<[string, Edit, string]>([
  ['a name that cannot be seen', rename('\u200b'), 'something in it that can be seen'],
  ['a name that is too long', rename('x'.repeat(61)), 'At most 60 characters'],
  [
    'more than is saved as one edit',
    {
      kind: 'together',
      edits: Array.from({ length: 20_000 }, (_, i) => rename(`Wick ${i}`.padEnd(60, 'x'))) as never,
    },
    'more than can be saved as one edit',
  ],
])('%s is refused when it is made, in words, and changes nothing', async (_name, edit, words) => {
  const { make, state } = start();
  const before = state().setup;
  make(edit);
  expect(state().pending).toEqual([]);
  expect(state().setup).toBe(before);
  // The words are asked for by then, and come at once when they are there.
  await import('@nimble-lever/core/words/issues');
  await new Promise(setImmediate);
  expect(state().notices).toMatchObject([{ kind: 'said', words: expect.stringContaining(words) }]);
});

test('an edit that changes nothing is none', () => {
  const { make, state } = start();
  make({ kind: 'together', edits: [] });
  expect([state().pending, state().notices]).toEqual([[], []]);
});
