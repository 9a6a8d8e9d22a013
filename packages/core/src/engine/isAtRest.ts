import type { EngineState } from './state.ts';

/** Whether nothing is held, nothing is on for a while and nothing is to fall due: time alone changes nothing then. */
export function isAtRest(state: EngineState): boolean {
  const { held, latched, waiting, confirmations, running, down, layerHolds, springs } = state;
  const { speedHolds, wheelModeHolds } = state;
  const records = [
    held,
    latched,
    waiting,
    confirmations,
    running,
    down,
    layerHolds,
    speedHolds,
    wheelModeHolds,
  ];
  return (
    state.deadlines.length === 0 &&
    state.radial === null &&
    records.every((record) => Object.keys(record).length === 0) &&
    Object.values(springs).every(({ silent }) => silent)
  );
}
