#!/usr/bin/env node
// Builds the page, prints what the first view weighs.
import { ensureBuilt } from './lib/build.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { main } from './lib/say.mjs';

await main(async () => {
  ensureNpmPackages();
  process.env.SAY_WEIGHT = '1';
  await ensureBuilt();
});
