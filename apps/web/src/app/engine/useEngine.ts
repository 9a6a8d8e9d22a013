import type { EngineState } from '@nimble-lever/core/engine';
import { type RootState, useAppSelector } from '../store.ts';

/** What a slider on its way changes, a hundred times a second and more. */
const OF_SLIDES: ReadonlySet<string> = new Set<keyof EngineState>(['now', 'seq', 'sliderValues']);

/** Whether two states are the same but for where sliders are, and when it is. */
export function sameButForSlides(a: EngineState, b: EngineState): boolean {
  return (
    a === b ||
    (Object.keys(a) as (keyof EngineState)[]).every((name) => OF_SLIDES.has(name) || a[name] === b[name])
  );
}

/** The engine's state, for what does not go by where sliders are: another one only where something else changed. */
export function useEngine(): EngineState {
  return useAppSelector(selectEngine, sameButForSlides);
}

const selectEngine = (state: RootState) => state.engine.engine;
