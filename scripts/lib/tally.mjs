/** Adds up what passed and failed across test runners and prints the closing line. */
export class Tally {
  passed = 0;
  failed = 0;

  add({ passed, failed }) {
    this.passed += passed;
    this.failed += failed;
  }

  /** Counts one check that either holds or does not. */
  check(holds) {
    this.add(holds ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 });
  }

  /** A run that executed nothing has not passed. */
  get ok() {
    return this.failed === 0 && this.passed > 0;
  }

  line() {
    return `${this.passed} passed, ${this.failed} failed`;
  }
}

/** The counts in a report of Jest's `--json`; a suite that could not run counts as a failure. */
export function countJest(report) {
  return { passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites };
}

/** The counts in a report of Playwright's JSON reporter; a test that passed only when tried again has failed. */
export function countPlaywright({ stats, errors }) {
  return { passed: stats.expected, failed: stats.unexpected + stats.flaky + errors.length };
}
