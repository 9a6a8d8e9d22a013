import { readFileSync } from 'node:fs';

/**
 * A process's name and when it was started, in ticks since the system was (proc(5)); the two tell it from a later one
 * with the same number. Null where there is no such process, or one that has ended and waits to be cleared away.
 */
function processOf(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const end = stat.lastIndexOf(')');
    const [state, ...rest] = stat.slice(end + 2).split(' ');
    return state === 'Z' ? null : { name: stat.slice(stat.indexOf('(') + 1, end), start: rest[18] ?? null };
  } catch {
    return null;
  }
}

/** When a process was started; null where there is none. */
export function startOf(pid) {
  return processOf(pid)?.start ?? null;
}

/** A process's own name; null where there is none. */
export function nameOf(pid) {
  return processOf(pid)?.name ?? null;
}
