import { existsSync } from 'node:fs';
import path from 'node:path';
import { binOf, ROOT, WEB_DIST } from './places.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';
import { hashOf, isStamped, stamp } from './stamp.mjs';

/** Builds the page unless what is built came from the sources as they are now. */
export function ensureBuilt() {
  const sources = ['apps/web', 'packages/core', 'package-lock.json'].map((place) => path.join(ROOT, place));
  const hash = hashOf(sources);
  const file = path.join(WEB_DIST, '.stamp');
  if (existsSync(path.join(WEB_DIST, 'index.html')) && isStamped(file, hash)) return;
  say('Building the page…');
  const web = path.join(ROOT, 'apps/web');
  run(process.execPath, [binOf('vite', web, 'bin/vite.js'), 'build', '--logLevel', 'warn'], { cwd: web });
  stamp(file, hash);
}
