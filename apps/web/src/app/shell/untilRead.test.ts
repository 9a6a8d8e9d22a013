import { untilRead } from './untilRead.ts';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('a part that cannot be read comes once it can, asked for ever more rarely', async () => {
  const asked: number[] = [];
  const begun = Date.now();
  const read = async () => {
    asked.push((Date.now() - begun) / 1000);
    if (asked.length < 9) throw new TypeError('Failed to fetch dynamically imported module');
    return 'part';
  };
  const part = untilRead(read);
  await jest.advanceTimersByTimeAsync(300_000);
  expect(await part).toBe('part');
  expect(asked).toEqual([0, 1, 3, 7, 15, 31, 61, 91, 121]);
});
