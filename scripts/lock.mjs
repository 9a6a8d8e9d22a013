#!/usr/bin/env node
// Writes package-lock.json anew so that `npm ci` works from any registry and on any system: download
// addresses are left out, and the packages for other systems, which a registry may not hand out here, are
// named with the system they are for.
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './lib/places.mjs';
import { run } from './lib/run.mjs';

const SYSTEMS = [
  'aix',
  'android',
  'darwin',
  'freebsd',
  'linux',
  'netbsd',
  'openbsd',
  'openharmony',
  'sunos',
  'win32',
];
const CPUS = ['arm64', 'x64', 'arm', 'ia32', 'loong64', 'mips64el', 'ppc64', 'riscv64', 's390x', 'wasm32'];

const file = path.join(ROOT, 'package-lock.json');
run(
  'npm',
  ['install', '--package-lock-only', '--omit-lockfile-registry-resolved=false', '--loglevel=error'],
  { cwd: ROOT },
);
const lock = JSON.parse(readFileSync(file, 'utf8'));
const added = {};
for (const entry of Object.values(lock.packages)) {
  if (entry.resolved?.startsWith('http')) delete entry.resolved;
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const system = systemOf(name);
    if (system && !lock.packages[`node_modules/${name}`]) {
      added[`node_modules/${name}`] = {
        version,
        ...system,
        ...(entry.dev ? { dev: true } : {}),
        optional: true,
      };
    }
  }
}
lock.packages = Object.fromEntries(
  Object.entries({ ...lock.packages, ...added }).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)),
);
rmSync(file);
writeFileSync(file, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${Object.keys(added).length} packages for other systems named.`);

/** The system and processor a package's name says it is for; null where it says none. */
function systemOf(name) {
  const words = name.split(/[/-]/);
  const os = words.filter((word) => SYSTEMS.includes(word));
  const cpu = words.filter((word) => CPUS.includes(word));
  const wasm = cpu.includes('wasm32');
  return os.length === 1 || wasm ? { cpu, ...(wasm ? {} : { os }) } : null;
}
