import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { sleep, type World } from './world.ts';

/** A random number from 0 up to 1, the same again for the same seed (mulberry32, public domain). */
export function randomFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A way in which the world goes wrong. */
interface Fault {
  /** What is done, for a length of time it may use: milliseconds. */
  readonly run: (world: World, ms: number, random: () => number) => Promise<void>;
  readonly longest: number;
}

/** Sends a signal to a process that may be gone already. */
const kill = (pid: number, signal: NodeJS.Signals) => {
  try {
    if (pid > 0) process.kill(pid, signal);
  } catch {
    // It is gone already.
  }
};

/** Everything that is done to the world. */
export const FAULTS = {
  'the server is killed': {
    longest: 0,
    run: async ({ server }) => kill(server?.pid ?? 0, 'SIGKILL'),
  },
  'the database is killed': {
    longest: 0,
    run: async (world) => kill(world.postmaster(), 'SIGKILL'),
  },
  'the database is away': {
    longest: 60_000,
    run: async (world, ms) => {
      world.minding = false;
      kill(world.postmaster(), 'SIGQUIT');
      await sleep(ms);
      world.minding = true;
    },
  },
  'the database is frozen': {
    longest: 20_000,
    run: async (world, ms) => {
      // The processes that serve connections too: they are its children.
      const pids = [world.postmaster(), ...childrenOf(world.postmaster())];
      for (const pid of pids) kill(pid, 'SIGSTOP');
      await sleep(ms);
      for (const pid of pids) kill(pid, 'SIGCONT');
    },
  },
  'the server is frozen': {
    longest: 10_000,
    run: async ({ server }, ms) => {
      kill(server?.pid ?? 0, 'SIGSTOP');
      await sleep(ms);
      kill(server?.pid ?? 0, 'SIGCONT');
    },
  },
  'all sockets are reset': {
    longest: 3000,
    run: async (world, ms) => {
      for (let i = 0; i < 5; i++) {
        world.tearSockets();
        await sleep(ms / 5);
      }
    },
  },
  'the clock jumps': {
    longest: 0,
    run: async (world, _ms, random) => world.moveClock(Math.round((random() - 0.5) * 172_800_000)),
  },
  'a page is closed and opened again': {
    longest: 2000,
    run: async (world, ms, random) => {
      const number = Math.floor(random() * world.pages.length);
      world.pages[number]?.child.kill('SIGKILL');
      await sleep(ms);
      world.startPage(number);
    },
  },
  'the disk is full': {
    longest: 15_000,
    run: async (world, ms) => {
      if (!world.hasSmallDisk) return;
      const file = path.join(world.folder, 'postgres-faults/filler');
      const block = Buffer.alloc(1_000_000);
      try {
        for (;;) writeFileSync(file, block, { flag: 'a' });
      } catch {
        // Now it is full.
      }
      await sleep(ms);
      rmSync(file, { force: true });
    },
  },
} as const satisfies Record<string, Fault>;

/** The faults by name, as the command line takes them. */
export type FaultName = keyof typeof FAULTS;

/** The processes a process has started, from `/proc` (proc(5), field `PPid`). */
function childrenOf(pid: number): number[] {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((name) => {
      try {
        const stat = readFileSync(`/proc/${name}/stat`, 'utf8');
        return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1]) === pid;
      } catch {
        return false;
      }
    })
    .map(Number);
}
