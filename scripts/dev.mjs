#!/usr/bin/env node
// For work on the product: the server restarts and the page reloads by themselves when a file changes.
import path from 'node:path';
import { INSTANCE } from './lib/instance.mjs';
import { alone } from './lib/lock.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { binOf, ROOT } from './lib/places.mjs';
import { main, say } from './lib/say.mjs';

await main(async () => {
  // The server is translated while it runs, by what tests bring.
  ensureNpmPackages({ forTests: true });
  const { spawn } = await import('node:child_process');
  const { openAppDatabase } = await import('./lib/appDatabase.mjs');
  const database = await alone(openAppDatabase);
  const port = process.env.PORT ?? '4680';
  const env = {
    ...process.env,
    DATABASE_URL: database.url,
    PORT: port,
    INSTANCE,
    API: `http://127.0.0.1:${port}`,
  };
  const options = { stdio: 'inherit', env, detached: true };
  const web = path.join(ROOT, 'apps/web');
  const children = [
    spawn(process.execPath, ['--watch', '--import', 'tsx', 'apps/server/src/main.ts'], {
      ...options,
      cwd: ROOT,
    }),
    spawn(process.execPath, [binOf('vite', web, 'bin/vite.js')], { ...options, cwd: web }),
  ];
  say('Page with hot reload: http://127.0.0.1:4681   (Ctrl+C stops everything.)');
  await new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, resolve);
    for (const child of children) child.once('exit', resolve);
  });
  const ended = children.map(
    (child) => new Promise((resolve) => (child.exitCode === null ? child.once('exit', resolve) : resolve())),
  );
  for (const child of children) child.kill('SIGTERM');
  await Promise.all(ended);
  database.stop();
});
