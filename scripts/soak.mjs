#!/usr/bin/env node
// Random set-ups and events through the engine for as long as asked: `npm run soak -- --minutes 10`. A failure
// prints a token; `npm run soak -- --replay TOKEN` runs it again. With `--faults`: server, database, disk and sockets
// are hurt while pages edit, and nothing that was acknowledged may be lost. With `--tests`: the tests' own long random runs in
// full, with a new seed each round.
import { randomInt } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { alone } from './lib/lock.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';
import { main } from './lib/say.mjs';

await main(async () => {
  await alone(() => ensureNpmPackages({ forTests: true }));
  const faults = process.argv.includes('--faults');
  if (faults) {
    const { ensureBuilt } = await import('./lib/build.mjs');
    await alone(ensureBuilt);
  }
  const { runAside } = await import('./lib/run.mjs');
  if (process.argv.includes('--tests')) {
    process.exitCode = await rounds(runAside);
    return;
  }
  const program = path.join(ROOT, faults ? 'bench/src/faults/main.ts' : 'bench/src/soak.ts');
  const args = ['--import', 'tsx', program, ...process.argv.slice(2)];
  process.exitCode = await runAside(process.execPath, args, { cwd: ROOT });
});

/** Runs all tests that have long random runs, again and again until the time is over; ends at the first that fails. */
async function rounds(runAside) {
  const { values } = parseArgs({ options: { minutes: { type: 'string', default: '10' } }, strict: false });
  const until = Date.now() + Number(values.minutes) * 60_000;
  const files = ['packages', 'apps'].flatMap((folder) =>
    readdirSync(path.join(ROOT, folder), { recursive: true })
      .map((file) => path.join(folder, file))
      .filter((file) => !file.includes('node_modules') && /\.test\.tsx?$/.test(file))
      .filter((file) => /\bfuzz(?:Async|Runs)?\(/.test(readFileSync(path.join(ROOT, file), 'utf8'))),
  );
  do {
    const env = { ...process.env, FUZZ_SHARE: '1', SEED: String(randomInt(2 ** 31)) };
    const args = [path.join(ROOT, 'scripts/test.mjs'), 'unit', ...files];
    const code = await runAside(process.execPath, args, { cwd: ROOT, env });
    if (code !== 0) return code;
  } while (Date.now() < until);
  return 0;
}
