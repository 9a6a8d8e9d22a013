import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const root = path.resolve(__dirname, '../..');
let home;
beforeEach(() => {
  home = mkdtempSync(path.join(tmpdir(), 'rooms-'));
});
afterEach(() => rmSync(home, { recursive: true, force: true }));

function plant(file, text) {
  const at = path.join(home, file);
  mkdirSync(path.dirname(at), { recursive: true });
  writeFileSync(at, text);
}

/** What is forbidden in the planted folders. In a process of its own, as the checker is made of ES modules only. */
function forbidden() {
  const script = `
    const { forbiddenImports } = await import(${JSON.stringify(path.join(root, 'scripts/lib/boundaries.mjs'))});
    process.stdout.write(JSON.stringify(await forbiddenImports({ root: ${JSON.stringify(home)} })));`;
  return JSON.parse(
    execFileSync(process.execPath, ['--input-type=module', '-e', script], { encoding: 'utf8' }),
  );
}

test('what the table allows is allowed; each planted violation is refused by name', () => {
  plant('packages/core/src/result.ts', 'export const ok = 1;\n');
  plant('packages/core/src/keys/keys.ts', "import { ok } from '../result.ts';\nexport const keys = ok;\n");
  plant(
    'packages/core/src/setup/setup.ts',
    "import type { Step } from '../engine/step.ts';\nexport type A = Step;\n",
  );
  plant(
    'packages/core/src/engine/step.ts',
    "import { keys } from '../keys/keys.ts';\nexport type Step = typeof keys;\n",
  );
  plant('packages/core/src/engine/step.test.ts', "import '../words/words.ts';\n");
  plant('packages/core/src/words/words.ts', "import fs from 'node:fs';\nexport const words = fs;\n");
  plant(
    'apps/web/src/app/store.ts',
    "import { Board } from '../views/board/Board.tsx';\nexport const store = Board;\n",
  );
  plant(
    'apps/web/src/views/board/Board.tsx',
    "import { Rig } from '../rig/Rig.tsx';\nexport const Board = () => <Rig />;\n",
  );
  plant(
    'apps/web/src/views/rig/Rig.tsx',
    "import '@nimble-lever/session';\nimport '../../app/store.ts';\nexport const Rig = () => <p />;\n",
  );
  plant('apps/cli/src/main.ts', "import '@nimble-lever/core/engine';\nimport '@nimble-lever/session';\n");
  expect(forbidden().toSorted()).toEqual([
    'apps/web/src/app/store.ts may not import apps/web/src/views/board/Board.tsx',
    'apps/web/src/views/board/Board.tsx may not import apps/web/src/views/rig/Rig.tsx',
    'apps/web/src/views/rig/Rig.tsx may not import @nimble-lever/session',
    'packages/core/src/setup/setup.ts may not import packages/core/src/engine/step.ts',
    'packages/core/src/words/words.ts may not import fs',
  ]);
});
