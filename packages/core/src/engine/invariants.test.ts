import fc from 'fast-check';
import { applyEdit } from '../setup/index.ts';
import {
  arbitraryEdit,
  arbitraryEvents,
  arbitraryScenario,
  arbitrarySetup,
  Counted,
  checkInvariants,
  fuzz,
  fuzzRuns,
  runAll,
  type Scenario,
  tryOut,
} from '../testing/index.ts';
import { type Compiled, compile } from './compile.ts';
import type { EngineEvent } from './event.ts';
import { INITIAL_STATE } from './state.ts';
import { step } from './step.ts';

test('the six invariants hold on random set-ups, events and edits in between', () => {
  for (const runs of fuzzRuns(400)) {
    expect(tryOut(arbitraryScenario, checkInvariants, runs).failure).toBeNull();
  }
});

test('the random runs meet every kind of outcome, change and stroke', () => {
  const met = new Set<string>();
  // Always the same runs: whether a rare kind is met is then a fact of how they are made, not of chance.
  for (const { setup, happenings } of fc.sample(arbitraryScenario, { numRuns: 200, seed: 3 })) {
    for (const { outcome, changes, strokes } of runAll(setup, happenings).explanations) {
      met.add(outcome.kind);
      for (const { kind } of [...changes, ...strokes]) met.add(kind);
    }
  }
  expect([...met].toSorted()).toEqual([
    'answered',
    'ask',
    'button-down',
    'button-up',
    'computer',
    'focus',
    'guard',
    'guarded',
    'ignored',
    'key-down',
    'key-up',
    'layer',
    'let-go',
    'macro',
    'menu',
    'menu-item',
    'menu-turned',
    'message',
    'moved',
    'no-intent',
    'no-key',
    'no-page',
    'noted',
    'page',
    'pointer-back',
    'pointer-move',
    'pointer-remember',
    'pressed',
    'profile',
    'profile-decided',
    'radial-closed',
    'radial-highlight',
    'radial-open',
    'released',
    'repeated',
    'show',
    'slid',
    'speed',
    'spring',
    'text',
    'turned',
    'until',
    'waiting',
    'wheel',
    'wheel-mode',
  ]);
});

test('a failing run prints a token that replays it', () => {
  const fails = ({ happenings }: Scenario) => {
    if (happenings.some(({ kind }) => kind === 'detach')) throw new Error('detached');
  };
  const { failure } = tryOut(arbitraryScenario, fails, { runs: 2000 });
  const token = /--replay (\S+)/.exec(failure ?? '')?.[1] ?? '';
  expect(tryOut(arbitraryScenario, fails, { token })).toMatchObject({
    runs: 1,
    failure: expect.stringContaining('detached'),
  });
});

test('a step leaves the state it was given as it was', () => {
  fuzz(
    fc.property(
      arbitrarySetup.chain((setup) => fc.tuple(fc.constant(setup), arbitraryEvents(setup))),
      ([setup, events]) => {
        const compiled = compile(setup);
        let state = INITIAL_STATE;
        for (const event of events) {
          const before = structuredClone(state);
          const stepped = step(compiled, state, event);
          expect(state).toEqual(before);
          state = stepped.state;
        }
      },
    ),
    200,
  );
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
  const counted = new Counted();
  fuzz(
    fc.property(edits, ([setup, edit, events]) => {
      const applied = applyEdit(setup, edit);
      if (!applied.ok) return counted.leftOut();
      counted.tried();
      const anew = compile(applied.value.setup);
      expect(run(compile(applied.value.setup, compile(setup)), events)).toEqual(run(anew, events));
    }),
    120,
  );
  counted.atLeast(0.5);
});
