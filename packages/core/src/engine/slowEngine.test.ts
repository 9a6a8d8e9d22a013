import { arbitraryScenario, checkAgainstSlow, fuzzRuns, tryOut } from '../testing/index.ts';

test('the engine sends what the slow, plain model sends, on random set-ups, events and edits', () => {
  for (const runs of fuzzRuns(800)) {
    expect(tryOut(arbitraryScenario, checkAgainstSlow, runs).failure).toBeNull();
  }
});
