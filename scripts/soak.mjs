#!/usr/bin/env node
// Random set-ups and events through the engine for as long as asked: `npm run soak -- --minutes 10`. A failure
// prints a token; `npm run soak -- --replay TOKEN` runs it again.
import path from 'node:path';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';
import { main } from './lib/say.mjs';

await main(async () => {
  ensureNpmPackages();
  const { runAside } = await import('./lib/run.mjs');
  const program = path.join(ROOT, 'bench/src/soak.ts');
  const args = ['--import', 'tsx', program, ...process.argv.slice(2)];
  process.exitCode = await runAside(process.execPath, args, { cwd: ROOT });
});
