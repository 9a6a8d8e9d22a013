import { arbitraryScenario, checkAgainstSlow, tryOut } from '../testing/index.ts';

test('the engine sends what the slow, plain model sends, on random set-ups, events and edits', () => {
  expect(tryOut(arbitraryScenario, checkAgainstSlow, { runs: 400 }).failure).toBeNull();
});
