import { spawn, spawnSync } from 'node:child_process';
import { Stop } from './say.mjs';

/** Runs a command to its end with its output shown; throws where it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { stdio: 'inherit', ...options });
  if (done.error) throw done.error;
  if (done.status !== 0)
    throw new Stop(`${command} ${args.join(' ')} ended with ${done.status ?? done.signal}.`);
}

/** Runs a command quietly: whether it succeeded, and what it printed. */
export function quiet(command, args, options = {}) {
  const done = spawnSync(command, args, { encoding: 'utf8', ...options });
  return {
    ok: done.status === 0,
    output: `${done.stdout ?? ''}${done.stderr ?? ''}`.trim(),
    status: done.status,
  };
}

/** Runs a command with its output shown and gives its exit code, without stopping this process meanwhile. */
export function runAside(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: 'inherit', ...options });
    child.on('error', () => resolve(127));
    child.on('close', (code) => resolve(code ?? 1));
  });
}
