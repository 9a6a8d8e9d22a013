#!/usr/bin/env node
// Measures engine, Board and store, bundled as they run: `npm run bench`, with `--json` for a program to read,
// `--quick` for fewer events in the memory test, `engine` or `store` for one part.
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { alone } from './lib/lock.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ensureLocal, ROOT } from './lib/places.mjs';
import { main } from './lib/say.mjs';

/** The scripts know where they are from their own place, so they are not bundled. */
const scriptsStay = {
  name: 'scripts-stay',
  setup: (build) =>
    build.onResolve({ filter: /\/scripts\/lib\// }, ({ path: asked, resolveDir }) => ({
      path: path.resolve(resolveDir, asked),
      external: true,
    })),
};

await main(async () => {
  await alone(() => ensureNpmPackages({ forTests: true }));
  const { ensureBuilt } = await import('./lib/build.mjs');
  await alone(ensureBuilt);
  const { build } = await import('esbuild');
  const { runAside } = await import('./lib/run.mjs');
  const { openServer } = await import('./lib/database.mjs');
  const bundle = path.join(ensureLocal(), 'bench.mjs');
  // What the server uses is run as it is.
  const server = JSON.parse(readFileSync(path.join(ROOT, 'apps/server/package.json'), 'utf8'));
  const served = Object.keys(server.dependencies).filter((name) => !name.startsWith('@nimble-lever/'));
  await build({
    entryPoints: [path.join(ROOT, 'bench/src/main.ts')],
    bundle: true,
    format: 'esm',
    platform: 'node',
    // As modules where a package has them: what is written for older loaders asks for files as it runs.
    mainFields: ['module', 'main'],
    outfile: bundle,
    logLevel: 'error',
    plugins: [scriptsStay],
    external: ['esbuild', 'playwright-core', ...served],
  });
  const parts = process.argv.slice(2);
  const database = parts.includes('engine') ? null : await alone(() => openServer('bench'));
  try {
    const args = ['--expose-gc', bundle, ...parts];
    const env = { ...process.env, ...(database && { BENCH_DATABASE_URL: database.url }) };
    process.exitCode = await runAside(process.execPath, args, { cwd: ROOT, env });
  } finally {
    database?.stop();
  }
});
