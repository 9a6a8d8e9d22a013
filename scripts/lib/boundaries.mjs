import { createRequire } from 'node:module';
import { ROOMS } from './rooms.mjs';

/** How the packages of this repository are imported, and where they are. */
const OWN = [
  ['@nimble-lever/core/', 'packages/core/src/'],
  ['@nimble-lever/session', 'packages/session/src'],
];

/**
 * The imports that the table of rooms does not allow, each in words.
 *
 * @param {{ root: string, folders?: readonly string[], rooms?: typeof ROOMS }} asked
 * @returns {Promise<readonly string[]>}
 */
export async function forbiddenImports({ root, folders = ['packages', 'apps'], rooms = ROOMS }) {
  readTsxToo();
  const { cruise } = await import('dependency-cruiser');
  const { output } = await cruise(folders, {
    baseDir: root,
    parser: 'swc',
    tsPreCompilationDeps: true,
    exclude: '(^|/)(node_modules|dist)/|\\.test\\.tsx?$',
    validate: true,
    ruleSet: { forbidden: rulesOf(rooms) },
  });
  return output.summary.violations.map(({ from, to }) => `${from} may not import ${to}`);
}

/** A rule a room: whatever it imports that is not in its row is forbidden. */
function rulesOf(rooms) {
  return rooms.map(([room, allowed, packages], i) => {
    const above = rooms.slice(0, i).map(([other]) => pattern(other));
    const own = [room, ...allowed];
    const imported = own.flatMap((path) =>
      OWN.flatMap(([name, folder]) => (path.startsWith(folder) ? [path.replace(folder, name)] : [])),
    );
    return {
      name: room,
      severity: 'error',
      from: { path: pattern(room), ...(above.length > 0 ? { pathNot: above } : {}) },
      to: { pathNot: [...own.map(pattern), ...imported.map(importPattern), ...packages.map(packagePattern)] },
    };
  });
}

// Paths of rooms as patterns: the whole name, and not another that begins alike.
const pattern = (path) => `^${path}(/|$)`;
const importPattern = (path) => `^${path.replace('[a-zA-Z]+\\.ts', '(result|distributiveOmit)')}(/|$)`;

/** A package by its name, or all of a scope; `node:` is Node.js itself, whose modules come with that off. */
function packagePattern(name) {
  return name === 'node:'
    ? '^(fs|http|https|net|os|path|crypto|stream|tls|util|worker_threads)$'
    : `(^|/node_modules/)${name}(/|$)`;
}

/**
 * The checker reads TypeScript through swc, but not JSX in it: told here by the file's ending, until it does by itself.
 * TypeScript 7 has no parser that it could use instead.
 */
function readTsxToo() {
  const swc = createRequire(import.meta.url)('@swc/core');
  if (swc.parseFileSync.readsTsx) return;
  const parse = swc.parseFileSync;
  swc.parseFileSync = Object.assign((file, options) => parse(file, { ...options, tsx: file.endsWith('x') }), {
    readsTsx: true,
  });
}
