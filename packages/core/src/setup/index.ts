export {
  type Action,
  actionSchema,
  type Message,
  messageSchema,
  type Place,
  placeSchema,
} from './action.ts';
export { adaptBinding } from './adaptBinding.ts';
export type { Applied } from './applied.ts';
export { applyEdit } from './applyEdit.ts';
export {
  acting,
  type Behaviour,
  type Binding,
  behaviourSchema,
  bindingSchema,
  FACE_COLOURS,
  type Face,
  faceSchema,
  type Guard,
  keyOf,
  noteSchema,
  OFF,
  PRESS_STYLES,
  type PressStyle,
  type Repeat,
  type Slot,
  slotKey,
  slotOf,
  slotSchema,
  type Target,
  USUAL_REPEAT,
} from './binding.ts';
export { checkBinding, checkSetup } from './checkSetup.ts';
export { type Copying, type CopyPlan, type CopyStep, planCopy, type RowPlace } from './copying.ts';
export { demoSetup } from './demo/demoSetup.ts';
export { asItCame, changeDevice, copyDevice, removeDevice } from './deviceEdits.ts';
export { type Edit, editSchema, type SingleEdit } from './edit.ts';
export {
  type Entry,
  entrySchema,
  type History,
  historyOf,
  type LogEntry,
  logEntrySchema,
} from './history.ts';
export { type Macro, type MacroStep, MOST_STEPS, macroSchema } from './macro.ts';
export { compilePattern, fitsGlob, type Pattern } from './patterns/pattern.ts';
export type { RegexProblem } from './patterns/regexSyntax.ts';
export { type RadialItem, type RadialMenu, radialMenuSchema } from './radialMenu.ts';
export type { Refusal } from './refusal.ts';
export { removeLayer } from './removeLayer.ts';
export { executableRule, type Rule, ruleSchema } from './rule.ts';
export {
  BASE_LAYER,
  type Command,
  commandOf,
  EVERYWHERE,
  FAMILIES,
  type Family,
  type Layer,
  LIMITS,
  type Profile,
  type Program,
  profileOf,
  profilesByProgram,
  type Setup,
  setupSchema,
} from './setup.ts';
export { shortcutSchema, stepsSchema } from './shortcutSchema.ts';
