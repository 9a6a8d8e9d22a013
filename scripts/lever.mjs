#!/usr/bin/env node
// The command line: rehearse, explain, export, import… Installs the packages first where they are missing.
// First of all: who started this may end while it starts.
import './lib/starters.mjs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureNpmPackages } from './lib/packages.mjs';
import { LEVER_DIST } from './lib/places.mjs';
import { main } from './lib/say.mjs';

ensureNpmPackages();
const [command, file, ...rest] = process.argv.slice(2);
const from = process.env.INIT_CWD ?? process.cwd();
// Backups are of the database itself, which this clone's scripts look after.
const isBackup = (command === 'backup' || command === 'restore') && file && rest.length === 0;
if (isBackup) await main(() => keep(command, path.resolve(from, file)));
else await runCli();

async function keep(what, where) {
  if (what === 'backup') await (await import('./lib/backup.mjs')).backUp(where);
  else await (await import('./lib/restore.mjs')).restore(where);
}

// In this very process: whoever ends it ends all of it.
async function runCli() {
  const { ensureLever } = await import('./lib/build.mjs');
  await ensureLever();
  process.chdir(from);
  await import(pathToFileURL(path.join(LEVER_DIST, 'main.mjs')).href);
}
