#!/usr/bin/env node
// Types and lint of every workspace, and who may import whom; also the first part of the tests. With `--all` everything the
// tests do a share of, in full: random runs, kills, both themes, and how much of the computation the unit tests cover.
import path from 'node:path';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';
import { main } from './lib/say.mjs';

await main(async () => {
  ensureNpmPackages({ forTests: true });
  if (process.argv.includes('--all')) return inFull();
  const { checks } = await import('./lib/checks.mjs');
  // All checks run, so that one look shows everything.
  const failed = [];
  for (const { name, holds } of await checks()) if (!holds) failed.push(name);
  if (failed.length > 0) console.error(`Failed: ${failed.join(', ')}`);
  process.exitCode = failed.length > 0 ? 1 : 0;
});

/** The tests themselves, asked for all of it. */
async function inFull() {
  const { runAside } = await import('./lib/run.mjs');
  const env = { ...process.env, IN_FULL: '1', FUZZ_SHARE: '1' };
  process.exitCode = await runAside(process.execPath, [path.join(ROOT, 'scripts/test.mjs')], {
    cwd: ROOT,
    env,
  });
}
