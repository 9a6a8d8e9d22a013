export { type Compiled, compile, controlKey } from './compile.ts';
export { type EngineEvent, type EventOf, engineEventSchema } from './event.ts';
export type { DueEvent, Ended, Explanation, Outcome } from './explanation.ts';
export { type Simulated, simulate } from './simulate.ts';
export { type EngineState, type Held, INITIAL_STATE } from './state.ts';
export { type Stepped, step } from './step.ts';
export type { StateChange, Stroke } from './stroke.ts';
export { nextDeadline } from './timers.ts';
export { DOUBLE_MS, HOLD_MS } from './times.ts';
