#!/usr/bin/env node
// Measures the engine, bundled as the page is: `npm run bench`, with `--json` for a program to read, `--quick`
// for fewer events in the memory test.
import path from 'node:path';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ensureLocal, ROOT } from './lib/places.mjs';
import { main } from './lib/say.mjs';

await main(async () => {
  ensureNpmPackages();
  const { ensureBuilt } = await import('./lib/build.mjs');
  ensureBuilt();
  const { build } = await import('esbuild');
  const { runAside } = await import('./lib/run.mjs');
  const bundle = path.join(ensureLocal(), 'bench.mjs');
  await build({
    entryPoints: [path.join(ROOT, 'bench/src/main.ts')],
    bundle: true,
    format: 'esm',
    platform: 'node',
    outfile: bundle,
    logLevel: 'error',
    external: ['playwright-core'],
  });
  const args = ['--expose-gc', bundle, ...process.argv.slice(2)];
  process.exitCode = await runAside(process.execPath, args, { cwd: ROOT });
});
