import fc from 'fast-check';
import { applyEdit, type Setup } from '../setup/index.ts';
import { arbitraryEdit, arbitraryEvents, arbitrarySetup } from '../testing/index.ts';
import { type Compiled, compile } from './compile.ts';
import type { EngineEvent } from './event.ts';
import { type Simulated, simulate } from './simulate.ts';
import { INITIAL_STATE } from './state.ts';
import { step } from './step.ts';
import type { Stroke } from './stroke.ts';

const scenario = arbitrarySetup.chain((setup) => fc.tuple(fc.constant(setup), arbitraryEvents(setup)));

function check(property: (setup: Setup, events: EngineEvent[]) => void): void {
  fc.assert(
    fc.property(scenario, ([setup, events]) => property(setup, events)),
    { numRuns: 300 },
  );
}

const releaseAll = (run: Simulated): EngineEvent[] =>
  [...Object.values(run.state.held), ...Object.values(run.state.waiting)].map(({ device, control }) => ({
    kind: 'up',
    t: run.state.now,
    device,
    control,
  }));

/** Replays strokes and gives what is down at the end; a key down twice or up while up fails. */
function downAfter(strokes: readonly Stroke[]): ReadonlySet<string> {
  const down = new Set<string>();
  for (const stroke of strokes) {
    if (stroke.kind === 'wheel') continue;
    const key = 'code' in stroke ? stroke.code : `button ${stroke.button}`;
    const goesDown = stroke.kind === 'key-down' || stroke.kind === 'button-down';
    expect({ key, wasDown: down.has(key) }).toEqual({ key, wasDown: !goesDown });
    if (goesDown) down.add(key);
    else down.delete(key);
  }
  return down;
}

test('1: once every control is up and all timers have run, only what is latched is down', () => {
  check((setup, events) => {
    const run = simulate(setup, events);
    const all = simulate(setup, [...events, ...releaseAll(run), { kind: 'time', t: run.state.now + 1e6 }]);
    const { keys, buttons, held, waiting, timers, latched } = all.state;
    expect({ held, waiting, timers }).toEqual({ held: {}, waiting: {}, timers: [] });
    const kept = Object.values(latched);
    expect(Object.keys(keys).toSorted()).toEqual([...new Set(kept.flatMap(({ codes }) => codes))].toSorted());
    expect(Object.keys(buttons)).toEqual([...new Set(kept.flatMap((each) => each.buttons.map(String)))]);
    expect(downAfter(all.strokes).size).toBe(Object.keys(keys).length + Object.keys(buttons).length);
  });
});

test('2: no key goes down twice, none comes up that is not down', () => {
  check((setup, events) => {
    const run = simulate(setup, events);
    const down = [
      ...Object.keys(run.state.keys),
      ...Object.keys(run.state.buttons).map((button) => `button ${button}`),
    ];
    expect([...downAfter(run.strokes)].toSorted()).toEqual(down.toSorted());
  });
});

test('3: the same events give the same strokes however the time between them is cut up', () => {
  check((setup, events) => {
    const cut = events.flatMap((event, i): EngineEvent[] => {
      const before = Math.max(0, ...events.slice(0, i).map(({ t }) => t));
      const middle = Math.min(before + 60, Math.max(before, event.t));
      return [{ kind: 'time', t: middle }, { kind: 'time', t: event.t }, event];
    });
    const bare = (run: Simulated) => run.strokes.map(({ cause: _cause, ...stroke }) => stroke);
    expect(bare(simulate(setup, cut))).toEqual(bare(simulate(setup, events)));
  });
});

test('4: strokes come out in order of time', () => {
  check((setup, events) => {
    const times = simulate(setup, events).strokes.map(({ t }) => t);
    expect(times).toEqual(times.toSorted((a, b) => a - b));
  });
});

test('5: after reset nothing is held and nothing is pending', () => {
  check((setup, events) => {
    const run = simulate(setup, [...events, { kind: 'reset', t: 30_000 }]);
    expect([...downAfter(run.strokes)]).toEqual([]);
    expect(run.state).toMatchObject({
      keys: {},
      buttons: {},
      held: {},
      latched: {},
      waiting: {},
      timers: [],
      turned: {},
    });
  });
});

test('6: every stroke names the event behind it, and the explanation agrees with what was sent', () => {
  check((setup, events) => {
    for (const { seq, strokes, outcome } of simulate(setup, events).explanations) {
      expect(strokes.every(({ cause }) => cause === seq)).toBe(true);
      if (outcome.kind === 'ignored' || outcome.kind === 'noted') expect(strokes).toEqual([]);
      if (outcome.kind === 'turned' && outcome.steps === 0) expect(strokes).toEqual([]);
      if (outcome.kind === 'pressed' && outcome.resolution.decided?.binding.behaviour.kind === 'off') {
        expect(strokes).toEqual([]);
      }
    }
  });
});

test('a step leaves the state it was given as it was', () => {
  check((setup, events) => {
    const compiled = compile(setup);
    let state = INITIAL_STATE;
    for (const event of events) {
      const before = structuredClone(state);
      const stepped = step(compiled, state, event);
      expect(state).toEqual(before);
      state = stepped.state;
    }
  });
});

test('compiling after an edit from what was compiled before does what compiling anew does', () => {
  const run = (compiled: Compiled, events: readonly EngineEvent[]) => {
    let state = INITIAL_STATE;
    return events.map((event) => {
      const stepped = step(compiled, state, event);
      state = stepped.state;
      return stepped.explanation;
    });
  };
  const edits = arbitrarySetup.chain((setup) =>
    fc.tuple(fc.constant(setup), arbitraryEdit(setup), arbitraryEvents(setup, 20)),
  );
  fc.assert(
    fc.property(edits, ([setup, edit, events]) => {
      const applied = applyEdit(setup, edit);
      if (!applied.ok) return;
      const anew = compile(applied.value.setup);
      expect(run(compile(applied.value.setup, compile(setup)), events)).toEqual(run(anew, events));
    }),
  );
});
