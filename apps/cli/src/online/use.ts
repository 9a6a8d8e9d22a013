import { heardSchema, type Uses, usesSchema } from '@nimble-lever/core/desks';
import { storedSchema } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { WebSocket } from 'ws';
import { startersAreThere } from '../../../../scripts/lib/starters.mjs';
import { NotThere, Refused } from '../files.ts';
import type { Said } from './commands.ts';
import { ownCookie, type Server } from './server.ts';

/** What is asked to be put on. */
interface UseAsked {
  readonly pin: string | null;
  /** `DEVICE/CONTROL=SHORTCUT`. */
  readonly sets: readonly string[];
  readonly untilExit: boolean;
}

/** How often it is looked whether whoever started this is still there: milliseconds. */
const LOOK_MS = 300;
/** Without a desk that takes it, a profile cannot be stayed with: milliseconds. */
const WAIT_MS = 5000;

/**
 * Puts a mapping on at the desk that was used last: a profile that is stayed with, keys for controls. With `untilExit` for
 * as long as this runs, and whoever started it: then it is taken off, however either ends. Without, only the profile, which
 * stays.
 */
export async function useMapping(server: Server, named: string, asked: UseAsked): Promise<Said> {
  const { id } = await server.setUp(named);
  const { setup } = await server.json(storedSchema, 'GET', `/api/set-ups/${id}`);
  const pin = asked.pin === null ? null : profileNamed(setup, asked.pin);
  if (!asked.untilExit && asked.sets.length > 0) {
    throw new Refused(
      'Keys of controls are put on with --until-exit only: else nothing would take them off.',
    );
  }
  if (pin === null && asked.sets.length === 0)
    throw new Refused('Say what is put on: --pin PROFILE, or --set.');
  const sets = asked.sets.map((text) => setOf(setup, text));
  const uses = usesSchema.safeParse({ pin, sets, stays: !asked.untilExit });
  if (!uses.success) throw new Refused('More is put on than can be at once, or keys that are none.');
  const ended = await wear(server, id, uses.data, asked.untilExit);
  if (ended === 'away') throw new NotThere('Nimble Lever ended; what was put on is off.');
  if (ended === 'no-desk') throw new Refused('No desk is open that could take it: open Rehearse.');
  return { text: '', code: 0 };
}

type Setup = Parameters<typeof profileName>[0];

/** A profile by its id or its name. */
function profileNamed(setup: Setup, named: string): string {
  const wanted = named.toLowerCase();
  const ids = Object.keys(setup.profiles);
  const found =
    ids.find((id) => id === named) ?? ids.find((id) => profileName(setup, id).toLowerCase() === wanted);
  if (found) return found;
  throw new Refused(`There is no profile “${named}”. There are: ${ids.join(', ')}.`);
}

/** `twelve-pad/key-10=Ctrl+F7`. */
function setOf(setup: Setup, text: string): unknown {
  const [, device = '', control = '', shortcut = ''] = /^([^/=]+)\/([^/=]+)=(.+)$/.exec(text) ?? [];
  const own = setup.devices.find(({ id }) => id === device);
  if (!own) throw new Refused(`--set ${text}: It is DEVICE/CONTROL=SHORTCUT, and a device that is there.`);
  if (!own.controls.some(({ id, canPress }) => id === control && canPress)) {
    throw new Refused(`--set ${text}: ${own.name} has no control “${control}” that is pressed.`);
  }
  const set = { device, control, shortcut };
  if (usesSchema.safeParse({ pin: null, sets: [set], stays: false }).success) return set;
  throw new Refused(`--set ${text}: “${shortcut}” is no shortcut.`);
}

/** Joins the desk, and stays for as long as it should. */
function wear(
  server: Server,
  setUp: string,
  uses: Uses,
  untilExit: boolean,
): Promise<'done' | 'away' | 'no-desk'> {
  return new Promise((resolve) => {
    const socket = new WebSocket(`${server.address.replace(/^http/, 'ws')}/api/live?setUp=${setUp}`, {
      headers: ownCookie(),
    });
    const end = (how: 'done' | 'away' | 'no-desk') => {
      clearInterval(look);
      clearTimeout(wait);
      socket.terminate();
      resolve(how);
    };
    // Killed, whoever started this can say nothing.
    const look = setInterval(() => untilExit && !startersAreThere() && end('done'), LOOK_MS);
    const wait = setTimeout(() => !untilExit && end('no-desk'), WAIT_MS);
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => end('done'));
    socket.on('open', () => {
      // Ended before anything was put on: nothing is.
      if (untilExit && !startersAreThere()) return end('done');
      socket.send(
        JSON.stringify({ kind: 'join', desk: null, name: 'Terminal', devices: [], watches: 'panel', uses }),
      );
    });
    socket.on('message', (data) => {
      const heard = heardSchema.safeParse(readJson(String(data))).data;
      if (heard?.kind === 'joined') {
        process.stderr.write(`Put on at ${heard.desk.name}.\n`);
        // It is told before this goes.
        if (!untilExit) setTimeout(() => end('done'), LOOK_MS);
      }
      if (heard?.kind === 'gone')
        process.stderr.write('No desk is open; it is put on as soon as there is one.\n');
    });
    socket.on('error', () => end('away'));
    socket.on('close', () => end('away'));
  });
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
