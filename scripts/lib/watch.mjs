import { say } from './say.mjs';

const LOOK_MS = 1000;
const LAST_PAUSE_MS = 30_000;

/**
 * Watches a server of our own and brings it back when it has ended, for as long as it takes; each pause between tries
 * is twice the one before. Gives a way to stop watching.
 */
export function watch({ isRunning, bringBack }, name, look = LOOK_MS) {
  let over = false;
  let timer = null;
  let failures = 0;
  const later = (ms) => {
    if (!over) timer = setTimeout(check, ms);
  };
  const check = async () => {
    if (over || isRunning()) {
      later(look);
      return;
    }
    say(`${name} has ended; starting it again…`);
    try {
      await bringBack();
      failures = 0;
      say(`${name} runs again.`);
      later(look);
    } catch (error) {
      const pause = Math.min(LAST_PAUSE_MS, look * 2 ** failures);
      failures += 1;
      say(`${name} could not be started; trying again in ${Math.ceil(pause / 1000)} s. ${error.message}`);
      later(pause);
    }
  };
  later(look);
  return () => {
    over = true;
    clearTimeout(timer);
  };
}
