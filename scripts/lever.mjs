#!/usr/bin/env node
// The command line: rehearse, explain, check. Installs the packages first where they are missing.
import path from 'node:path';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';

ensureNpmPackages();
const { spawnSync } = await import('node:child_process');
// The command line is run as written: it starts rarely, and is then as the sources are.
const cli = path.join(ROOT, 'apps/cli/src/main.ts');
const args = ['--import', import.meta.resolve('tsx'), cli, ...process.argv.slice(2)];
const { status } = spawnSync(process.execPath, args, {
  stdio: 'inherit',
  cwd: process.env.INIT_CWD ?? process.cwd(),
});
process.exitCode = status ?? 1;
