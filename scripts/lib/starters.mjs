import { closeSync, openSync, readFileSync } from 'node:fs';

/** No chain of parents is so long; one that changes while it is read could go in a circle. */
const MOST = 100;

/** A process's parent, session and start (proc(5)); null where there is none, or one that only waits to be cleared away. */
function lookAt(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const [state, parent, , session, ...rest] = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return state === 'Z' ? null : { pid, parent: Number(parent), session: Number(session), start: rest[15] };
  } catch {
    return null;
  }
}

/** A process and all it comes from, itself first. */
function chainOf(pid) {
  const chain = [];
  for (let at = lookAt(pid); at && chain.length < MOST; at = at.parent > 0 ? lookAt(at.parent) : null)
    chain.push(at);
  return chain;
}

/**
 * Whether who leads a process's session is among those it comes from. When one of them ends, the system gives its children
 * to another process, and the way to the leader is lost: so it is seen, however early it was.
 */
function reachesItsSession(chain) {
  const [own] = chain;
  // Of a session that began outside this container nobody can say.
  return !own || own.session === 0 || chain.some(({ pid }) => pid === own.session);
}

/** The terminal, where there is one: closed, it cannot be opened any more. */
function hasTerminal() {
  try {
    closeSync(openSync('/dev/tty', 'r'));
    return true;
  } catch {
    return false;
  }
}

/**
 * Watches all that started this process, from the moment this file is first read: a script, npm and its shell between
 * them, the terminal. Gives whether they are all still there.
 */
function watchStarters() {
  const chain = chainOf(process.pid);
  const wasWhole = reachesItsSession(chain);
  const hadTerminal = hasTerminal();
  return () =>
    wasWhole &&
    chain.every(({ pid, start }) => lookAt(pid)?.start === start) &&
    reachesItsSession(chainOf(process.pid)) &&
    (!hadTerminal || hasTerminal());
}

/** Whether everything that started this process is still there. */
export const startersAreThere = watchStarters();
