#!/usr/bin/env node
// Random set-ups and events through the engine for as long as asked: `npm run soak -- --minutes 10`. A failure
// prints a token; `npm run soak -- --replay TOKEN` runs it again. With `--faults`: server, database, disk and sockets
// are hurt while pages edit, and nothing that was acknowledged may be lost.
import path from 'node:path';
import { alone } from './lib/lock.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';
import { main } from './lib/say.mjs';

await main(async () => {
  await alone(() => ensureNpmPackages());
  const faults = process.argv.includes('--faults');
  if (faults) {
    const { ensureBuilt } = await import('./lib/build.mjs');
    await alone(ensureBuilt);
  }
  const { runAside } = await import('./lib/run.mjs');
  const program = path.join(ROOT, faults ? 'bench/src/faults/main.ts' : 'bench/src/soak.ts');
  const args = ['--import', 'tsx', program, ...process.argv.slice(2)];
  process.exitCode = await runAside(process.execPath, args, { cwd: ROOT });
});
