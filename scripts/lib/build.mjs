import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { binOf, ROOT, SERVER_DIST, WEB_DIST } from './places.mjs';
import { runAside } from './run.mjs';
import { Stop, say } from './say.mjs';
import { hashOf, isStamped, stamp } from './stamp.mjs';

// What a build depends on; compared with what it was built from.
const hashOfPlaces = (...places) => hashOf(places.map((place) => path.join(ROOT, place)));

/** Builds page and server, side by side, unless what is built came from the sources as they are now. */
export async function ensureBuilt() {
  const done = await Promise.allSettled([ensurePage(), ensureServer()]);
  for (const { reason } of done) if (reason) throw reason;
}

// The page: a minute's work on a slow machine, so it is built once for all who need it.
async function ensurePage() {
  const hash = hashOfPlaces('apps/web', 'packages/core', 'packages/session', 'package-lock.json');
  const file = path.join(WEB_DIST, '.stamp');
  if (existsSync(path.join(WEB_DIST, 'index.html')) && isStamped(file, hash)) return;
  say('Building the page…');
  const web = path.join(ROOT, 'apps/web');
  // As it is served, whoever asks: tests say another NODE_ENV, by which libraries bring what only development needs.
  const env = { ...process.env, NODE_ENV: 'production' };
  // The page of a panel after the other one, which empties the folder.
  for (const config of ['vite.config.ts', 'vite.panel.config.ts']) {
    const args = ['build', '--config', config, '--logLevel', 'warn'];
    const code = await runAside(process.execPath, [binOf('vite', web, 'bin/vite.js'), ...args], {
      cwd: web,
      env,
    });
    if (code !== 0) throw new Stop(`The page could not be built (${config}); why stands above.`);
  }
  stamp(file, hash);
}

/** The server as a file for each thread and process of it, so that none translates anything when it starts. */
async function ensureServer() {
  const hash = hashOfPlaces('apps/server', 'packages/core', 'package-lock.json', 'scripts/lib/build.mjs');
  const file = path.join(SERVER_DIST, '.stamp');
  if (existsSync(path.join(SERVER_DIST, 'main.mjs')) && isStamped(file, hash)) return;
  say('Building the server…');
  const server = path.join(ROOT, 'apps/server');
  const { dependencies } = JSON.parse(readFileSync(path.join(server, 'package.json'), 'utf8'));
  const { build } = await import('esbuild');
  await build({
    entryPoints: {
      main: path.join(server, 'src/main.ts'),
      storeWorker: path.join(server, 'src/worker/storeWorker.ts'),
      bodyThread: path.join(server, 'src/worker/bodyThread.ts'),
      pictureProcess: path.join(server, 'src/pictures/pictureProcess.ts'),
    },
    outdir: SERVER_DIST,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    sourcemap: true,
    logLevel: 'error',
    external: Object.keys(dependencies).filter((name) => !name.startsWith('@nimble-lever/')),
  });
  stamp(file, hash);
}
