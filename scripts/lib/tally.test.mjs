import { countJest, countPlaywright, Tally } from './tally.mjs';

test('counts of both runners add up, and nothing run is not a pass', () => {
  const tally = new Tally();
  expect(tally.ok).toBe(false);
  tally.add(countJest({ numPassedTests: 3, numFailedTests: 0, numRuntimeErrorTestSuites: 0 }));
  tally.check(true);
  expect([tally.ok, tally.line()]).toEqual([true, '4 passed, 0 failed']);
  tally.add(countPlaywright({ stats: { expected: 2, unexpected: 0, flaky: 1 }, errors: [] }));
  expect([tally.ok, tally.line()]).toEqual([false, '6 passed, 1 failed']);
});

test('suites and runs that could not start count as failures', () => {
  expect(countJest({ numPassedTests: 1, numFailedTests: 0, numRuntimeErrorTestSuites: 2 }).failed).toBe(2);
  expect(countPlaywright({ stats: { expected: 0, unexpected: 0, flaky: 0 }, errors: [{}] }).failed).toBe(1);
});
