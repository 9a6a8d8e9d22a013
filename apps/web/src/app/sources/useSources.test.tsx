/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { InputSource, OnHeard } from './source.ts';
import { useSources } from './useSources.ts';

/** A source that begins to listen when it is let; tells what became of it. */
function source(asks: boolean, isThere = true) {
  const log: string[] = [];
  let begin: () => void = () => undefined;
  let fail: (error: Error) => void = () => undefined;
  let hear: OnHeard = () => false;
  const made: InputSource = {
    id: 'midi',
    name: 'MIDI',
    isThere: () => isThere,
    asks,
    listen: (onHeard) =>
      new Promise((resolve, reject) => {
        log.push('asked');
        hear = onHeard;
        begin = () => resolve(() => log.push('stopped'));
        fail = reject;
      }),
  };
  return {
    made,
    log,
    begin: () => act(async () => begin()),
    fail: (why: string) => act(async () => fail(new Error(why))),
    hear: () => hear({ id: 'midi/1/note/60', name: 'Note', change: { kind: 'down' } }),
  };
}

const used = (sources: readonly InputSource[], onHeard: OnHeard = () => true) =>
  renderHook(({ on, heard }) => useSources(sources, on, heard), {
    initialProps: { on: true, heard: onHeard },
  });

test('what asks nothing listens at once, to the newest listener, and stops when it is turned off', async () => {
  const midi = source(false);
  const heard: string[] = [];
  const { result, rerender } = used([midi.made], () => heard.push('first') > 0);
  await midi.begin();
  expect(result.current[0]?.state).toBe('listening');
  midi.hear();
  rerender({ on: true, heard: () => heard.push('second') > 0 });
  midi.hear();
  expect(heard).toEqual(['first', 'second']);
  rerender({ on: false, heard: () => false });
  expect(midi.log).toEqual(['asked', 'stopped']);
});

test('one that begins only after it was turned off is stopped at once', async () => {
  const midi = source(false);
  const { unmount } = used([midi.made]);
  unmount();
  await midi.begin();
  expect(midi.log).toEqual(['asked', 'stopped']);
});

test('what asks first waits for the person; started twice, the first is stopped', async () => {
  const midi = source(true);
  const { result } = used([midi.made]);
  expect([midi.log, result.current[0]?.state]).toEqual([[], 'asks']);
  act(() => result.current[0]?.start());
  await midi.begin();
  act(() => result.current[0]?.start());
  await midi.begin();
  expect([midi.log, result.current[0]?.state]).toEqual([['asked', 'asked', 'stopped'], 'listening']);
});

test('what fails says why, and can be started again', async () => {
  const midi = source(true);
  const { result } = used([midi.made]);
  act(() => result.current[0]?.start());
  await midi.fail('The cable is loose.');
  expect(result.current[0]).toMatchObject({
    state: 'failed',
    says: expect.stringContaining('The cable is loose.'),
  });
  act(() => result.current[0]?.start());
  await midi.begin();
  expect(result.current[0]).toMatchObject({ state: 'listening', says: null });
});

test('what the browser lacks is never asked', () => {
  const midi = source(false, false);
  const { result } = used([midi.made]);
  expect([midi.log, result.current[0]?.state]).toEqual([[], 'missing']);
  expect(result.current[0]?.says).not.toBeNull();
});
