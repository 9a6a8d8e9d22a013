import {
  advance,
  type Compiled,
  compile,
  type EngineEvent,
  type EngineState,
  type Explanation,
  INITIAL_STATE,
  type Stroke,
  step,
} from '../engine/index.ts';
import { applyEdit, type Setup } from '../setup/index.ts';
import type { Happens } from './arbitraryEvents.ts';
import { SMALL_KEYBOARDS } from './smallLayouts.ts';

/** What came of a run with edits in between. */
export interface RunWithEdits {
  readonly strokes: readonly Stroke[];
  readonly explanations: readonly Explanation[];
  readonly state: EngineState;
  readonly setup: Setup;
}

/**
 * Runs events through the engine, on keyboards that differ from the United States one; an edit that applies is compiled in, and the engine is told.
 *
 * @param between what becomes of the state between two events
 */
export function runAll(
  setup: Setup,
  happenings: readonly Happens[],
  between: (state: EngineState, compiled: Compiled) => EngineState = (state) => state,
): RunWithEdits {
  let current = setup;
  let compiled = compile(setup, null, SMALL_KEYBOARDS);
  let state = INITIAL_STATE;
  const explanations: Explanation[] = [];
  const take = (event: EngineEvent) => {
    const stepped = step(compiled, state, event);
    state = between(stepped.state, compiled);
    explanations.push(...stepped.due, stepped.explanation);
  };
  for (const each of happenings) {
    if (each.kind !== 'edit') {
      take(each);
      continue;
    }
    // What was due before the edit is still done as it was before.
    const advanced = advance(compiled, state, each.t);
    state = advanced.state;
    explanations.push(...advanced.due);
    const applied = applyEdit(current, each.edit);
    if (!applied.ok) continue;
    current = applied.value.setup;
    compiled = compile(current, compiled, SMALL_KEYBOARDS);
    take({ kind: 'edited', t: each.t });
  }
  return { strokes: explanations.flatMap(({ strokes }) => strokes), explanations, state, setup: current };
}
