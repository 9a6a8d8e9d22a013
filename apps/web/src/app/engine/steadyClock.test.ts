import { steadyClock } from './steadyClock.ts';

test.each([
  // How far the monotonic and the wall clock go on, and how far time goes on.
  [100, 100, 100],
  [100, 600, 100],
  [100, 60_100, 60_100],
  [100, -3_600_000, 100],
])('monotonic +%d ms, wall +%d ms: time goes on %d ms', (monotonic, wall, expected) => {
  let [fast, slow] = [50, 1_700_000_000_000];
  const now = steadyClock(
    () => fast,
    () => slow,
  );
  const before = now();
  fast += monotonic;
  slow += wall;
  expect(now() - before).toBe(expected);
  fast += 10;
  slow += 10;
  expect(now() - before).toBe(expected + 10);
});
