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

/** npm and the shell that it runs a script in: they only stand between. */
function isBetween({ pid }) {
  try {
    const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0').slice(0, 3).join(' ');
    return (
      process.env.npm_lifecycle_event !== undefined &&
      /(?:^|\W)npm\b|^(?:\S*\/)?(?:da|ba)?sh -c /.test(command)
    );
  } catch {
    return false;
  }
}

/**
 * Whether who started this process had ended before it looked: then the system has given it to another process, outside
 * of its session, though it does not lead the session itself.
 */
function isLeftAlone(chain) {
  const [own] = chain;
  const inside = chain.filter(({ session }) => session === own?.session);
  const top = inside.at(-1);
  // Of a session that began outside this container nobody can say.
  if (!own || !top || own.session === 0 || top.pid === own.session) return false;
  return inside.every((each) => each === own || isBetween(each));
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
  const wasAlone = isLeftAlone(chain);
  const hadTerminal = hasTerminal();
  return () =>
    !wasAlone &&
    chain.every(({ pid, start }) => lookAt(pid)?.start === start) &&
    (!hadTerminal || hasTerminal());
}

/** Whether everything that started this process is still there. */
export const startersAreThere = watchStarters();
