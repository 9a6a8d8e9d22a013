import { mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** The root of this clone. */
export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** What belongs to this clone on this computer: never committed. `LOCAL_DIR` puts it elsewhere. */
export const LOCAL = path.resolve(process.env.LOCAL_DIR || path.join(ROOT, '.local'));

/** Where the built page is. */
export const WEB_DIST = path.join(ROOT, 'apps/web/dist');

/** Where the built server is. */
export const SERVER_DIST = path.join(ROOT, 'apps/server/dist');

/** Where the built command line is. */
export const LEVER_DIST = path.join(ROOT, 'apps/cli/dist');

/** Makes the folder of local things. */
export function ensureLocal() {
  mkdirSync(LOCAL, { recursive: true });
  return LOCAL;
}

/** A package's own program, wherever npm put the package that `from` uses. */
export function binOf(name, from, program) {
  const manifest = createRequire(path.join(from, 'package.json')).resolve(`${name}/package.json`);
  return path.join(path.dirname(manifest), program);
}
