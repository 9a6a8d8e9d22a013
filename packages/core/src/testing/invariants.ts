import fc from 'fast-check';
import {
  type EngineEvent,
  type EngineState,
  type Explanation,
  nextDeadline,
  programFor,
  type Stroke,
} from '../engine/index.ts';
import { FOLDERS_DEEP, type Setup } from '../setup/index.ts';
import { arbitraryHappenings, type Happens } from './arbitraryEvents.ts';
import { arbitrarySetup } from './arbitrarySetup.ts';
import { type RunWithEdits, runAll } from './runAll.ts';
import { SlowEngine } from './slow/slowEngine.ts';
import { SMALL_KEYBOARDS } from './smallLayouts.ts';

/** A set-up and what happens in a run. */
export interface Scenario {
  readonly setup: Setup;
  readonly happenings: readonly Happens[];
}

export const arbitraryScenario: fc.Arbitrary<Scenario> = arbitrarySetup.chain((setup) =>
  arbitraryHappenings(setup).map((happenings) => ({ setup, happenings })),
);

/** Throws where one of the engine's invariants does not hold for a scenario. */
export function checkInvariants({ setup, happenings }: Scenario): void {
  const run = runAll(setup, happenings);
  const end = Math.max(0, run.state.now);
  nothingStuck(setup, happenings, run);
  downsAgree(run.strokes, run.state);
  sameWhenCutUp(setup, happenings, run.strokes);
  inOrderOfTime(run.strokes);
  pagesBelong(setup, happenings);
  const reset = runAll(setup, [...happenings, { kind: 'reset', t: end }]);
  nothingHeld(reset.state, 'after reset');
  for (const explanation of run.explanations) explanationAgrees(explanation);
  sameThroughJson(setup, happenings, run);
}

/** The engine sends what the slow, plain model sends. */
export function checkAgainstSlow({ setup, happenings }: Scenario): void {
  const slow = new SlowEngine(setup, SMALL_KEYBOARDS);
  for (const each of happenings) slow.take(each);
  const fast = runAll(setup, happenings).strokes.map(({ cause: _cause, ...stroke }) => stroke);
  const at = Math.max(fast.length, slow.strokes.length);
  for (let i = 0; i < at; i++) {
    const [a, b] = [fast[i], slow.strokes[i]];
    if (fc.stringify(sorted(a)) !== fc.stringify(sorted(b))) {
      throw new Error(`stroke ${i}: the engine sends ${fc.stringify(a)}, the slow model ${fc.stringify(b)}`);
    }
  }
}

function sorted(value: object | undefined): unknown {
  return value && Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1));
}

function must(holds: boolean, what: string): void {
  if (!holds) throw new Error(what);
}

/** 1: once every control is up, nothing is latched and all timers have run, no key is down. */
function nothingStuck(setup: Setup, happenings: readonly Happens[], run: RunWithEdits): void {
  const { held, waiting, springs, now } = run.state;
  const keys = [...Object.keys(held), ...Object.keys(waiting).filter((key) => waiting[key]?.down)];
  const at = (key: string) => {
    const [device = '', control = ''] = key.split('/');
    return { device, control };
  };
  const letUp: EngineEvent[] = [
    ...keys.map((key): EngineEvent => ({ kind: 'up', t: now, ...at(key) })),
    ...Object.keys(springs).map((key): EngineEvent => ({ kind: 'position', t: now, ...at(key), value: 0 })),
    // Long enough for all runs that wait, each of which may ask for a minute.
    { kind: 'time', t: now + 25 * 60_000 },
  ];
  const all = runAll(setup, [...happenings, ...letUp]);
  const endless = Object.values(all.state.running).some(({ left }) => left === null);
  if (endless) return;
  must(nextDeadline(all.state) === null, '1: something is still to fall due');
  const latched = Object.values(all.state.latched).length;
  const down = downsAgree(all.strokes, all.state);
  must(latched > 0 || down.size === 0, `1: still down: ${[...down].join(', ')}`);
}

/** 2: no key goes down twice, none comes up that is not down; and the state knows what is down. */
function downsAgree(strokes: readonly Stroke[], state: EngineState): ReadonlySet<string> {
  const down = new Set<string>();
  for (const stroke of strokes) {
    const what = 'code' in stroke ? stroke.code : 'button' in stroke ? `button-${stroke.button}` : null;
    if (what === null) continue;
    const here = stroke.program === undefined ? what : `${stroke.program} ${what}`;
    const key = stroke.computer === undefined ? here : `${stroke.computer}: ${here}`;
    const goesDown = stroke.kind === 'key-down' || stroke.kind === 'button-down';
    must(
      down.has(key) !== goesDown,
      `2: ${key} ${goesDown ? 'goes down twice' : 'comes up and was not down'}`,
    );
    if (goesDown) down.add(key);
    else down.delete(key);
  }
  const known = Object.keys(state.down).toSorted().join(', ');
  must([...down].toSorted().join(', ') === known, `2: down by strokes is not ${known}`);
  return down;
}

/** 3: the same events give the same strokes however the time between them is cut up. */
function sameWhenCutUp(setup: Setup, happenings: readonly Happens[], strokes: readonly Stroke[]): void {
  let before = 0;
  const cut = happenings.flatMap((each): Happens[] => {
    const middle = Math.min(before + 60, Math.max(before, each.t));
    before = Math.max(before, each.t);
    return [{ kind: 'time', t: middle }, { kind: 'time', t: each.t }, each];
  });
  const bare = (all: readonly Stroke[]) => JSON.stringify(all.map(({ cause: _cause, ...stroke }) => stroke));
  must(bare(runAll(setup, cut).strokes) === bare(strokes), '3: cut up, the time gives other strokes');
}

/** 4: strokes come out in order of time. */
function inOrderOfTime(strokes: readonly Stroke[]): void {
  must(
    strokes.every(({ t }, i) => t >= (strokes[i - 1]?.t ?? 0)),
    '4: strokes are not in order of time',
  );
}

/** Folders that are open are there, on their device, of the program in front or of none, and not too many. */
function pagesBelong(setup: Setup, happenings: readonly Happens[]): void {
  runAll(setup, happenings, (state, now) => {
    for (const [device, open] of Object.entries(state.folders)) {
      const pages = open.map((id) => now.setup.pages.find((page) => page.id === id));
      const front = programFor(now, state, device);
      const fits = pages.every(
        (page) =>
          page?.kind === 'folder' &&
          page.device === device &&
          (page.program === null || page.program === front),
      );
      must(fits && open.length > 0 && open.length <= FOLDERS_DEEP, `pages: ${open.join()} open on ${device}`);
    }
    return state;
  });
}

/** 5: nothing is held, nothing is pending. */
function nothingHeld(state: EngineState, when: string): void {
  const { down, held, latched, waiting, confirmations, deadlines, turned, sliderValues, running } = state;
  const { layerHolds, once, folders, sets, speedHolds, wheelModeHolds, radial } = state;
  const sounding = Object.fromEntries(Object.entries(state.springs).filter(([, { silent }]) => !silent));
  const left = {
    ...{ down, held, latched, waiting, confirmations, turned, sliderValues, running },
    ...{ layerHolds, folders, sets, speedHolds, wheelModeHolds, sounding },
  };
  for (const [name, record] of Object.entries(left)) {
    must(Object.keys(record).length === 0, `5: ${when} there is still something ${name}`);
  }
  must(deadlines.length + once.length === 0 && radial === null, `5: ${when} something is pending`);
}

/** The state is plain JSON: stored and read at every step, it is the same, and goes on the same. */
function sameThroughJson(setup: Setup, happenings: readonly Happens[], run: RunWithEdits): void {
  const stored = runAll(setup, happenings, (state) => {
    must(isJson(state), 'JSON: a state has something in it that JSON has not');
    return JSON.parse(JSON.stringify(state)) as EngineState;
  });
  must(JSON.stringify(stored.strokes) === JSON.stringify(run.strokes), 'JSON: other strokes');
}

/** Whether a value is the same once it is written as JSON and read again. */
function isJson(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value) && !Object.is(value, -0);
  if (typeof value !== 'object' || value === null)
    return ['string', 'boolean', 'object'].includes(typeof value);
  if (Array.isArray(value)) return value.every(isJson);
  const prototype: unknown = Object.getPrototypeOf(value);
  return (prototype === null || prototype === Object.prototype) && Object.values(value).every(isJson);
}

/** 6: every stroke names the event behind it, and the explanation agrees with what was sent. */
function explanationAgrees({ seq, strokes, outcome, changes, event }: Explanation): void {
  const own = strokes.every(({ cause }) => cause === seq);
  must(own, '6: a stroke names another event');
  const quiet = outcome.kind === 'ignored' || outcome.kind === 'noted' || outcome.kind === 'waiting';
  const asks = outcome.kind === 'guarded' && outcome.asks;
  const noStep = outcome.kind === 'turned' && outcome.steps === 0;
  const nothingEnded = changes.length === 0;
  must(
    !(quiet || asks || noStep) || strokes.length === 0 || !nothingEnded,
    `6: ${outcome.kind} sent something`,
  );
  if (outcome.kind === 'pressed' && event.kind !== 'due' && nothingEnded) {
    const behaviour = outcome.resolution.decided?.binding.behaviour;
    const off = behaviour?.kind === 'off' && behaviour.heardBy.length === 0;
    must(!off || strokes.length === 0, '6: off sent something');
  }
}
