#!/usr/bin/env node
// The command line: rehearse, explain, export, import… Installs the packages first where they are missing.
import path from 'node:path';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/places.mjs';
import { main } from './lib/say.mjs';

ensureNpmPackages();
const [command, file, ...rest] = process.argv.slice(2);
const from = process.env.INIT_CWD ?? process.cwd();
// Backups are of the database itself, which this clone's scripts look after.
const isBackup = (command === 'backup' || command === 'restore') && file && rest.length === 0;
if (isBackup) await main(() => keep(command, path.resolve(from, file)));
else await runCli();

async function keep(what, where) {
  const { backUp, restore } = await import('./lib/backup.mjs');
  await (what === 'backup' ? backUp(where) : restore(where));
}

async function runCli() {
  const { spawnSync } = await import('node:child_process');
  // The command line is run as written: it starts rarely, and is then as the sources are.
  const cli = path.join(ROOT, 'apps/cli/src/main.ts');
  const args = ['--import', import.meta.resolve('tsx'), cli, ...process.argv.slice(2)];
  const { status } = spawnSync(process.execPath, args, { stdio: 'inherit', cwd: from });
  process.exitCode = status ?? 1;
}
