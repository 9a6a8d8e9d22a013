import { mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './places.mjs';

/** Where there are unit tests, and into how many groups those of a kind are put: each loads what it tests anew. */
const KINDS = [
  { name: 'core', folders: ['packages/core/src', 'packages/session/src'], groups: 6 },
  { name: 'server', folders: ['apps/server/src', 'apps/cli/src'], groups: 5 },
  { name: 'web', folders: ['apps/web/src'], groups: 3 },
];
/** Within the clone, so that they find its packages. */
const folder = path.join(ROOT, '.local/unit');
const JSDOM = '@jest-environment jsdom';

/**
 * Files that each take some unit tests together, so that what all of them test is loaded once for all and not once for each:
 * a test file that does nothing takes two seconds of processor to load a set-up, one of a group a hundredth. A test that
 * compares with a snapshot stays by itself, as its file says where that is.
 *
 * @returns which files to run, groups and those that stay by themselves
 */
export function makeTestGroups() {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const single = [];
  for (const { name, folders, groups } of KINDS) {
    const all = folders
      .flatMap(testsIn)
      .map((file) => ({ file, text: readFileSync(path.join(ROOT, file), 'utf8') }));
    const grouped = all.filter(({ text }) => !text.includes('toMatchSnapshot'));
    single.push(...all.filter((each) => !grouped.includes(each)).map(({ file }) => file));
    const browser = grouped.filter(({ text }) => text.includes(JSDOM));
    const plain = grouped.filter((each) => !browser.includes(each));
    for (const [i, files] of parted(plain, groups).entries()) write(`${name}-${i + 1}`, files, '');
    if (browser.length > 0) write(`${name}-page`, browser, `/** ${JSDOM} */\n`);
  }
  return [`<rootDir>/.local/unit/*.test.js`, ...single.map((file) => `<rootDir>/${file}`)];
}

function testsIn(folder) {
  return readdirSync(path.join(ROOT, folder), { recursive: true })
    .filter((file) => /\.test\.tsx?$/.test(file))
    .map((file) => path.join(folder, file))
    .sort();
}

/** As equal in size as can be: the largest first, each to the group that has least. */
function parted(files, count) {
  const groups = Array.from({ length: Math.min(count, files.length) }, () => ({ size: 0, files: [] }));
  const bySize = files.map((each) => ({ ...each, size: statSync(path.join(ROOT, each.file)).size }));
  for (const each of bySize.sort((a, b) => b.size - a.size)) {
    const [least] = groups.sort((a, b) => a.size - b.size);
    least.files.push(each);
    least.size += each.size;
  }
  return groups.map((group) => group.files);
}

function write(name, files, head) {
  const lines = files.map(
    ({ file }) =>
      `describe(${JSON.stringify(file)}, () => {\n  keepGlobals();\n  require(${JSON.stringify(path.join(ROOT, file))});\n});\n`,
  );
  const begin = `const { keepGlobals } = require(${JSON.stringify(path.join(ROOT, 'scripts/lib/keepGlobals.cjs'))});\n`;
  // What cleans up after each test does so for all of the group.
  const cleans = head === '' ? '' : "require('@testing-library/react');\n";
  writeFileSync(path.join(folder, `${name}.test.js`), `${head}${cleans}${begin}${lines.join('')}`);
}
