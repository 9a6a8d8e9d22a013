#!/usr/bin/env node
// Everything that is tested: types and lint, unit and property tests, faults while pages edit, end-to-end tests in
// Chromium, on a database server of its own. Words after `npm test --` choose parts: check, unit, faults, e2e; the rest is handed
// to the runner (`npm test -- e2e board`).
import { randomInt } from 'node:crypto';
import { mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { alone } from './lib/lock.mjs';
import { ensureChromium, ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { ensureLocal, ROOT } from './lib/places.mjs';
import { main, Stop, say } from './lib/say.mjs';

const PARTS = ['check', 'unit', 'faults', 'e2e'];

/** What the tests are checked against, and the file each brings. */
const REFERENCES = {
  'usb.ids': '/usr/share/misc/usb.ids',
  'linux-libc-dev': '/usr/include/linux/input-event-codes.h',
  'xkb-data': '/usr/share/X11/xkb/keycodes/evdev',
  'libxkbcommon-tools': '/usr/bin/xkbcli',
  'libx11-data': '/usr/share/X11/locale/en_US.UTF-8/Compose',
  // Makes the certificates that tests encrypt with.
  openssl: '/usr/bin/openssl',
};
/** Makes the runner note whether a line ran, not how often: counting takes the tests more than twice as long. */
const COVERED_OR_NOT = path.join(ROOT, 'scripts/lib/coveredOrNot.cjs');
/** All that the tests have, not the share of it that every change waits for: see `npm run check -- --all`. */
const IN_FULL = process.env.IN_FULL === '1';
/** What the end-to-end tests use: a screen without one, keys pressed on it, a certificate of their own. */
const TOOLS = { xvfb: '/usr/bin/Xvfb', xdotool: '/usr/bin/xdotool', openssl: '/usr/bin/openssl' };

await main(async () => {
  // Without a part, all of them.
  const asked = PARTS.filter((part) => process.argv.includes(part));
  const parts = asked.length > 0 ? asked : PARTS;
  const others = process.argv.slice(2).filter((word) => !PARTS.includes(word));
  await alone(() => ensureNpmPackages({ forTests: true }));
  const { Tally } = await import('./lib/tally.mjs');
  const tally = new Tally();
  // Together: the faults mostly wait, for a server that is out and comes back.
  await Promise.all([
    parts.includes('check') && checked(tally),
    parts.includes('faults') && faults().then((holds) => tally.check(holds)),
  ]);
  if (parts.includes('unit') || parts.includes('e2e')) await withDatabase(parts, others, tally);
  console.log(tally.line());
  process.exitCode = tally.ok ? 0 : 1;
});

async function checked(tally) {
  say('Types, lint and who may import whom…');
  const { checks } = await import('./lib/checks.mjs');
  for (const { holds } of await checks()) tally.check(holds);
}

/** A bounded share of `npm run soak -- --faults`: every kind of fault once, none for long. */
async function faults() {
  const { ensureBuilt } = await import('./lib/build.mjs');
  const { runAside } = await import('./lib/run.mjs');
  await alone(ensureBuilt);
  say('Faults while pages edit…');
  const program = path.join(ROOT, 'bench/src/faults/main.ts');
  const share = ['--minutes', '0.1', '--longest', '2', '--pages', '3', '--seed', '20261125'];
  return (await runAside(process.execPath, ['--import', 'tsx', program, ...share], { cwd: ROOT })) === 0;
}

async function withDatabase(parts, others, tally) {
  const { openServer } = await import('./lib/database.mjs');
  const { runAside } = await import('./lib/run.mjs');
  const { countJest, countPlaywright, slowest, timesOfJest, timesOfPlaywright } = await import(
    './lib/tally.mjs'
  );
  const times = [];
  // A server of the tests' own: nothing a person keeps is within their reach.
  const database = await alone(() => openServer('test'));
  const leave = () => {
    database.stop();
    process.exit(130);
  };
  process.on('SIGINT', leave);
  process.on('SIGTERM', leave);
  const reports = path.join(ensureLocal(), 'reports');
  mkdirSync(reports, { recursive: true });
  const env = { ...process.env, TEST_DATABASE_URL: database.url };
  try {
    if (parts.includes('unit')) {
      ensureDebianPackages(REFERENCES);
      say('Unit and property tests…');
      const report = path.join(reports, 'unit.json');
      const args = ['--json', `--outputFile=${report}`, '--testLocationInResults', ...others];
      const all = others.length === 0;
      const seed = Number(process.env.SEED || randomInt(2 ** 31));
      say(`New random runs by SEED=${seed}.`);
      if (IN_FULL) args.push('--coverage');
      const own = IN_FULL
        ? { NODE_OPTIONS: `--require "${COVERED_OR_NOT}"` }
        : { TEST_GROUPS: all ? '1' : '' };
      await runNode('jest', 'bin/jest.js', ROOT, args, {
        stdio: ['ignore', 'ignore', 'inherit'],
        env: { ...env, ...own, SEED: String(seed) },
      });
      tally.add(countJest(readReport(report)));
      if (IN_FULL) sayCoverage(readReport(path.join(reports, 'coverage-summary.json')));
      times.push(...timesOfJest(readReport(report)));
    }
    if (parts.includes('e2e')) {
      const { ensureBuilt } = await import('./lib/build.mjs');
      ensureChromium();
      ensureDebianPackages(TOOLS);
      await alone(ensureBuilt);
      say('End-to-end tests in Chromium…');
      const report = path.join(reports, 'e2e.json');
      env.PLAYWRIGHT_JSON_OUTPUT_NAME = report;
      await runNode('@playwright/test', 'cli.js', path.join(ROOT, 'e2e'), [
        'test',
        '--reporter=list,json',
        ...others,
      ]);
      tally.add(countPlaywright(readReport(report)));
      times.push(...timesOfPlaywright(readReport(report)));
    }
    say(`What took longest:\n${slowest(times)}`);
  } finally {
    database.stop();
  }

  async function runNode(name, program, cwd, args, options = {}) {
    const { binOf } = await import('./lib/places.mjs');
    const { rmSync } = await import('node:fs');
    rmSync(path.join(reports, name === 'jest' ? 'unit.json' : 'e2e.json'), { force: true });
    await runAside(process.execPath, [binOf(name, cwd, program), ...args], { cwd, env, ...options });
  }
}

function sayCoverage({ total: { lines, branches, functions } }) {
  const part = ({ pct }) => `${Math.round(pct)} %`;
  say(
    `Unit tests cover ${part(lines)} of the computation's lines, ${part(branches)} of its branches, ${part(functions)} of its functions.`,
  );
}

function readReport(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    throw new Stop(`The test runner left no report (${path.basename(file)}).\n0 passed, 1 failed`);
  }
}
