import { existsSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './places.mjs';
import { quiet, run } from './run.mjs';
import { Stop, say } from './say.mjs';
import { hashOf, isStamped, stamp } from './stamp.mjs';

/**
 * Installs the npm packages of the lock file, unless those are what is installed: with `forTests` those that only tests and
 * checks need, too, which are most of them.
 */
export function ensureNpmPackages({ forTests = false } = {}) {
  const modules = path.join(ROOT, 'node_modules');
  const all = path.join(modules, '.nimble-lever-stamp');
  const some = path.join(modules, '.nimble-lever-stamp-start');
  const hash = hashOf([path.join(ROOT, 'package-lock.json')]);
  if (isStamped(all, hash) || (!forTests && isStamped(some, hash))) return;
  // Where tests were run, they will be again.
  const every = forTests || existsSync(all);
  say(every ? 'Installing npm packages, those for tests too (about a minute)…' : 'Installing npm packages…');
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error', ...(every ? [] : ['--omit=dev'])];
  run('npm', args, { cwd: ROOT, stdio: ['ignore', 'ignore', 'inherit'] });
  stamp(every ? all : some, hash);
}

/** Installs Debian packages whose file, by package, is missing. */
export function ensureDebianPackages(files) {
  const missing = Object.keys(files).filter((name) => !existsSync(files[name]));
  if (missing.length > 0) {
    ensureDebianPackage(missing.join(' '), () => missing.every((name) => existsSync(files[name])));
  }
}

/** Installs a Debian package, or several named in a row, unless `isThere` finds what it brings. */
export function ensureDebianPackage(name, isThere) {
  if (isThere()) return;
  const command = `apt-get install -y --no-install-recommends ${name}`;
  if (!existsSync('/usr/bin/apt-get')) {
    throw new Stop(`${name} is missing, and this is not a Debian system. Install ${name} and start again.`);
  }
  const asRoot = process.getuid?.() === 0;
  if (!asRoot && !mayUseSudo()) {
    throw new Stop(
      `${name} is missing. Install it as an administrator and start again:\n\n  sudo ${command}\n`,
    );
  }
  say(`Installing Debian's ${name}…`);
  const [program, prefix] = asRoot ? ['apt-get', []] : ['sudo', ['apt-get']];
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const install = [...prefix, 'install', '-y', '--no-install-recommends', ...name.split(' ')];
  const updated = quiet(program, [...prefix, 'update'], { env });
  if (!updated.ok)
    say('The list of Debian packages could not be brought up to date; trying with the one that is here.');
  const installed = quiet(program, install, { env });
  if (!installed.ok || !isThere()) {
    throw new Stop(
      `${name} could not be installed. This was tried:\n\n  ${command}\n\n${installed.output.slice(-1500)}`,
    );
  }
}

/** With a terminal sudo may ask for the password; without one it must not need to. */
function mayUseSudo() {
  if (!quiet('sudo', ['-V']).ok) return false;
  return process.stdin.isTTY
    ? quiet('sudo', ['-v'], { stdio: 'inherit' }).ok
    : quiet('sudo', ['-n', 'true']).ok;
}

/** Installs Debian's Chromium where it is missing; gives its path. */
export function ensureChromium() {
  const browser = '/usr/bin/chromium';
  ensureDebianPackage('chromium', () => existsSync(browser));
  return browser;
}
