export { checkMacro, type MacroFinding, type MacroSurroundings, mendOf, windowOf } from './check.ts';
export type { Deed, DeedBody, PointerAt } from './deed.ts';
export { estimate, isExact, type MacroEstimate, type Span, stepCount } from './estimate.ts';
export {
  type Recorded,
  type Recording,
  type RepeatOffer,
  recordSteps,
  repeatOffers,
  withRepeat,
} from './record.ts';
export { type LeftOut, placeOf } from './recordAtoms.ts';
export {
  addStep,
  addSteps,
  type BlockBody,
  chosenSteps,
  moveSteps,
  type NewId,
  removeSteps,
  type StepSpot,
  setStep,
  stepAt,
  unwrapStep,
  withNewIds,
  wrapSteps,
} from './stepEdits.ts';
export { stepNumbers } from './stepNumbers.ts';
export {
  brokenFields,
  FIELD_KINDS,
  filledText,
  hasFields,
  type TextFacts,
  USUAL_FIELDS,
} from './textFields.ts';
export { stepsFrom, TRIAL, trialSetup } from './trialSetup.ts';
export { type MacroUses, macroUses } from './uses.ts';
