export { ASKED_MS, answeredText, MOST_ANSWER, questionsOf } from './ask.ts';
export { type Compiled, compile, controlAt, controlKey } from './compile.ts';
export { sends } from './compileMacro.ts';
export { nextDeadline } from './deadlines.ts';
export { profileAt } from './destination.ts';
export { wheelModeNow } from './deviceModes.ts';
export { type EngineEvent, type EventOf, engineEventSchema } from './event.ts';
export type { DueEvent, Ended, Explanation, Outcome, StateChange } from './explanation.ts';
export { type FaceState, faceState } from './faceState.ts';
export { isAtRest } from './isAtRest.ts';
export { type Keyboards, keyboardOf, US_KEYBOARDS } from './keyboards.ts';
export { resolutionNow } from './lookup.ts';
export { type Asks, asksNow } from './macros.ts';
export { DEAD_ZONE, RIM, sectorAt } from './radial.ts';
export { showing } from './showing.ts';
export { folderOn, pagesOn, programFor, setOn, setsNow, shownPage } from './shownPage.ts';
export { type Simulated, simulate } from './simulate.ts';
export { sliderKey } from './sliderKey.ts';
export {
  type EngineState,
  type Held,
  type Hold,
  INITIAL_STATE,
  type MenuOf,
  type OpenMenu,
} from './state.ts';
export { type Advanced, advance, MOST_DUE, type Stepped, step } from './step.ts';
export { type Stroke, strokeSchema } from './stroke.ts';
