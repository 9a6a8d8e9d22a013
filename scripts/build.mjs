#!/usr/bin/env node
// Builds the page, prints what the first view weighs.
import { ensureBuilt } from './lib/build.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { main } from './lib/say.mjs';

await main(async () => {
  ensureNpmPackages();
  await ensureBuilt();
});
