import path from 'node:path';
import { forbiddenImports } from './boundaries.mjs';
import { binOf, ROOT } from './places.mjs';
import { runAside } from './run.mjs';
import { say } from './say.mjs';

// Tests are checked apart from what they test, as they may use more.
const PROJECTS = [
  'packages/core/tsconfig.json',
  'packages/core/tsconfig.test.json',
  'packages/session/tsconfig.json',
  'packages/session/tsconfig.test.json',
  'apps/server/tsconfig.json',
  'apps/cli/tsconfig.json',
  'apps/web/tsconfig.json',
  'e2e/tsconfig.json',
  'bench/tsconfig.json',
];

/** Runs the type checker on every workspace, the linter and the import boundaries; says which of them hold. */
export async function checks() {
  const results = [];
  const tsc = binOf('typescript', ROOT, 'bin/tsc');
  for (const project of PROJECTS) {
    const holds = (await runAside(process.execPath, [tsc, '-p', path.join(ROOT, project)])) === 0;
    results.push({ name: `types of ${path.dirname(project)}`, holds });
  }
  const biome = binOf('@biomejs/biome', ROOT, 'bin/biome');
  const holds =
    (await runAside(process.execPath, [biome, 'ci', '--colors=off', '--reporter=summary', ROOT], {
      cwd: ROOT,
    })) === 0;
  results.push({ name: 'lint', holds });
  const forbidden = await forbiddenImports({ root: ROOT });
  for (const words of forbidden) say(words);
  results.push({ name: 'who may import whom', holds: forbidden.length === 0 });
  for (const { name, holds: ok } of results) say(`${ok ? 'passed' : 'FAILED'}: ${name}`);
  return results;
}
