#!/usr/bin/env node
// Types and lint of every workspace. Also the first part of the tests.
import { checks } from './lib/checks.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';

ensureNpmPackages();
// All checks run, so that one look shows everything.
const failed = [];
for (const { name, holds } of await checks()) if (!holds) failed.push(name);
if (failed.length > 0) console.error(`Failed: ${failed.join(', ')}`);
process.exitCode = failed.length > 0 ? 1 : 0;
