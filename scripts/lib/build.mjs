import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { binOf, LEVER_DIST, ROOT, SERVER_DIST, WEB_DIST } from './places.mjs';
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
export async function ensureServer({ quietly = false } = {}) {
  const hash = hashOfPlaces('apps/server', 'packages/core', 'package-lock.json', 'scripts/lib/build.mjs');
  const file = path.join(SERVER_DIST, '.stamp');
  if (existsSync(path.join(SERVER_DIST, 'main.mjs')) && isStamped(file, hash)) return;
  if (!quietly) say('Building the server…');
  const server = path.join(ROOT, 'apps/server');
  const { dependencies } = JSON.parse(readFileSync(path.join(server, 'package.json'), 'utf8'));
  await bundle(SERVER_DIST, {
    entryPoints: {
      main: path.join(server, 'src/main.ts'),
      storeWorker: path.join(server, 'src/worker/storeWorker.ts'),
      bodyThread: path.join(server, 'src/worker/bodyThread.ts'),
      pictureProcess: path.join(server, 'src/pictures/pictureProcess.ts'),
      restored: path.join(server, 'src/store/restored.ts'),
    },
    sourcemap: true,
    external: Object.keys(dependencies).filter((name) => !name.startsWith('@nimble-lever/')),
  });
  stamp(file, hash);
}

/** The command line as one file: it is started often, and by scripts that wait for it. Says nothing: what it prints is read. */
export async function ensureLever() {
  const hash = hashOfPlaces('apps/cli', 'packages', 'package-lock.json', 'scripts/lib/build.mjs');
  const file = path.join(LEVER_DIST, '.stamp');
  if (existsSync(path.join(LEVER_DIST, 'main.mjs')) && isStamped(file, hash)) return;
  await bundle(LEVER_DIST, {
    entryPoints: { main: path.join(ROOT, 'apps/cli/src/main.ts') },
    mainFields: ['module', 'main'],
    // What the scripts know since they began, such as who started them, is theirs alone.
    external: ['ws', path.join(ROOT, 'scripts/lib/*')],
  });
  stamp(file, hash);
}

/** Files that Node runs as they are. Each comes whole, as another command may read the one before just now. */
async function bundle(outdir, options) {
  const { build } = await import('esbuild');
  const { outputFiles } = await build({
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    logLevel: 'error',
    write: false,
    ...options,
  });
  mkdirSync(outdir, { recursive: true });
  for (const { path: file, contents } of outputFiles) {
    writeFileSync(`${file}.${process.pid}`, contents);
    renameSync(`${file}.${process.pid}`, file);
  }
}
