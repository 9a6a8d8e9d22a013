#!/usr/bin/env node
// Takes the pictures of docs/screenshots from the demo, on a database made for it and dropped afterwards.
import path from 'node:path';
import { ensureChromium, ensureNpmPackages } from './lib/packages.mjs';
import { binOf, ROOT } from './lib/places.mjs';
import { main, say } from './lib/say.mjs';

await main(async () => {
  ensureNpmPackages({ forTests: true });
  ensureChromium();
  const { openServer } = await import('./lib/database.mjs');
  const { ensureBuilt } = await import('./lib/build.mjs');
  const { runAside } = await import('./lib/run.mjs');
  const database = await openServer('test');
  try {
    await ensureBuilt();
    say('Taking the pictures…');
    const e2e = path.join(ROOT, 'e2e');
    const env = { ...process.env, TEST_DATABASE_URL: database.url, SCREENSHOTS: '1' };
    const args = [binOf('@playwright/test', e2e, 'cli.js'), 'test', '--reporter=list', 'screenshots'];
    process.exitCode = await runAside(process.execPath, args, { cwd: e2e, env });
  } finally {
    database.stop();
  }
});
