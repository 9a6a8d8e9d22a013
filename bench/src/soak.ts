import { parseArgs } from 'node:util';
import { arbitraryScenario, checkAgainstSlow, checkInvariants, tryOut } from '@nimble-lever/core/testing';

const { values } = parseArgs({
  options: { minutes: { type: 'string', default: '1' }, replay: { type: 'string' } },
});
/** What is run for as long as asked, turn about. */
const CHECKS = [
  ['invariants', checkInvariants],
  ['the slow model', checkAgainstSlow],
] as const;

const minutes = Number(values.minutes);
if (!(minutes > 0)) throw new Error(`--minutes is “${values.minutes}”; it must be a number above 0.`);
const each = (minutes * 60_000) / CHECKS.length;
for (const [name, check] of CHECKS) {
  const asked = values.replay === undefined ? { until: each } : { token: values.replay };
  const { runs, failure } = tryOut(arbitraryScenario, check, asked);
  console.log(`${name}: ${failure === null ? 'held' : 'FAILED'} after ${runs} runs`);
  if (failure === null) continue;
  console.log(failure);
  process.exitCode = 1;
}
