import { advance, compile, type EngineEvent, INITIAL_STATE, step } from '@nimble-lever/core/engine';
import {
  acting,
  type BareStep,
  demoSetup,
  EVERYWHERE,
  newMacro,
  numberSteps,
  type Setup,
  slotKey,
} from '@nimble-lever/core/setup';
import { timed } from './times.ts';

/** Steps of a run, in lists as long as they may be, and how far apart: an hour in all. */
const LIST = 500;
const LISTS = 20;
const APART_MS = 360;

const DEVICE = 'twelve-pad';
const press = (control: string): EngineEvent => ({ kind: 'down', t: 0, device: DEVICE, control });

/** Key 1 runs the long macro, key 2 sends a shortcut. */
function longSetup(): Setup {
  const demo = demoSetup();
  const steps = Array.from({ length: LIST / 2 }, (_, i): BareStep[] => [
    { kind: 'shortcut', shortcut: i % 2 ? 'Ctrl+Z' : 'ArrowRight' },
    { kind: 'wait', ms: 2 * APART_MS },
  ]).flat();
  const long = newMacro({
    id: 'long',
    name: 'Long',
    steps: numberSteps([{ kind: 'repeat', times: LISTS, steps }]),
  });
  const bind = (action: Parameters<typeof acting>[0]) => ({
    behaviour: acting(action, 'tap'),
    face: null,
    note: null,
  });
  const everywhere = demo.profiles[EVERYWHERE];
  if (!everywhere) throw new Error('no profile Everywhere');
  const bindings = {
    [slotKey('base', DEVICE, 'key-1', 'press')]: bind({ kind: 'macro', macro: 'long' }),
    [slotKey('base', DEVICE, 'key-2', 'press')]: bind({ kind: 'shortcut', shortcut: 'Ctrl+Z' }),
  };
  return {
    ...demo,
    macros: [long],
    profiles: { [EVERYWHERE]: { ...everywhere, bindings } },
    radialMenus: [],
  };
}

/** What a macro of ten thousand steps costs, beside what has to be done anyway; and how far it is off after an hour. */
export function timeMacros(count: number) {
  const setup = longSetup();
  const bare = { ...setup, macros: [] };
  const empty = compile({
    ...bare,
    profiles: { [EVERYWHERE]: { ...setup.profiles[EVERYWHERE], bindings: {} } },
  } as Setup);
  const acts = JSON.stringify(compile(setup).macros.get('long'));
  const compiling = timed(count, () => compile(setup, empty));
  const reading = timed(count, () => JSON.parse(acts));
  const compiled = compile(setup);
  const first = timed(count, () => step(compiled, INITIAL_STATE, press('key-1')));
  const plain = timed(count, () => step(compiled, INITIAL_STATE, press('key-2')));
  // An hour of virtual time, in pieces as a clock would give them.
  let { state } = step(compiled, INITIAL_STATE, press('key-1'));
  let last = 0;
  let sent = 0;
  const hour = LIST * LISTS * APART_MS;
  for (let t = 0; t < hour + 997; t += 997) {
    const advanced = advance(compiled, state, t);
    state = advanced.state;
    for (const { strokes } of advanced.due) {
      sent += strokes.length;
      last = strokes.at(-1)?.t ?? last;
    }
  }
  return {
    compiling: compiling.median,
    ratio: compiling.median / reading.median,
    first: first.median,
    firstRatio: first.median / plain.median,
    drift: last - (hour - 2 * APART_MS),
    sent,
  };
}
