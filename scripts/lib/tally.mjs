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

/** How long each test file took in a report of Jest's `--json`, whether it ran by itself or in a group: seconds. */
export function timesOfJest(report) {
  return report.testResults.flatMap(({ name, startTime, endTime, assertionResults }) => {
    if (!/[/\\]\.local[/\\]unit[/\\]/.test(name)) return [[name, (endTime - startTime) / 1000]];
    const times = new Map();
    for (const { ancestorTitles, duration } of assertionResults) {
      const [file] = ancestorTitles;
      times.set(file, (times.get(file) ?? 0) + (duration ?? 0) / 1000);
    }
    return [...times];
  });
}

/** The same in a report of Playwright's JSON reporter. */
export function timesOfPlaywright({ suites }) {
  const timeOf = ({ specs = [], suites: inner = [] }) =>
    inner.reduce((sum, suite) => sum + timeOf(suite), 0) +
    specs
      .flatMap(({ tests }) => tests.flatMap(({ results }) => results))
      .reduce((sum, { duration }) => sum + duration / 1000, 0);
  return suites.map((suite) => [`e2e/${suite.file}`, timeOf(suite)]);
}

/** The ten that took longest, a line each. */
export function slowest(times) {
  const longest = [...times].sort(([, a], [, b]) => b - a).slice(0, 10);
  return longest.map(([file, seconds]) => `${seconds.toFixed(1).padStart(7)} s  ${file}`).join('\n');
}

/** The counts in a report of Playwright's JSON reporter; a test that passed only when tried again has failed. */
export function countPlaywright({ stats, errors }) {
  return { passed: stats.expected, failed: stats.unexpected + stats.flaky + errors.length };
}
