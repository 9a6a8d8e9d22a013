import { watch } from './watch.mjs';

beforeEach(() => {
  jest.useFakeTimers();
  jest.spyOn(console, 'log').mockImplementation(() => undefined);
});
afterEach(() => jest.useRealTimers());

test('a server that ends is brought back, with longer and longer pauses, and only one try at a time', async () => {
  let runs = true;
  const tries = [];
  let failures = 3;
  const bringBack = async () => {
    tries.push(Date.now());
    failures -= 1;
    if (failures >= 0) throw new Error('not yet');
    runs = true;
  };
  const unwatch = watch({ isRunning: () => runs, bringBack }, 'It', 1000);
  await jest.advanceTimersByTimeAsync(10_000);
  expect(tries).toEqual([]);
  runs = false;
  await jest.advanceTimersByTimeAsync(60_000);
  expect(tries.slice(1).map((at, i) => at - tries[i])).toEqual([1000, 2000, 4000]);
  runs = false;
  unwatch();
  await jest.advanceTimersByTimeAsync(60_000);
  expect(tries).toHaveLength(4);
});
