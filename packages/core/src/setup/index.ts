export {
  type Action,
  actionSchema,
  type Message,
  messageSchema,
  type Place,
  placeSchema,
} from './action.ts';
export { adaptBinding } from './adaptBinding.ts';
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
  slotIn,
  slotKey,
  slotOf,
  slotSchema,
  type Target,
  USUAL_REPEAT,
} from './binding.ts';
export { checkAction, commandsKnown, type KnowsCommand } from './checkAction.ts';
export { checkSteps } from './checkMacros.ts';
export { checkBinding } from './checkSetup.ts';
export { type CommandPair, commandPairs } from './commandPairs.ts';
export { type Copying, type CopyPlan, type CopyStep, planCopy, type RowPlace } from './copying.ts';
export { demoSetup } from './demo/demoSetup.ts';
export { asItCame, copyDevice } from './deviceEdits.ts';
export { itemAt, parseAddress, slotAt } from './edits/address.ts';
export type { Applied } from './edits/applied.ts';
export { applyEdit } from './edits/applyEdit.ts';
export { bindingChanges, changesOf } from './edits/changes.ts';
export {
  EDIT_FORMAT,
  type Edit,
  editSchema,
  partsOf,
  type SingleEdit,
  together,
} from './edits/edit.ts';
export {
  type Author,
  authorSchema,
  type Entry,
  entrySchema,
  type History,
  historyOf,
  type LogEntry,
  logEntrySchema,
  MOST_REVISION,
  type Recorded,
  revisionSchema,
} from './edits/history.ts';
export { moveTo } from './edits/moveTo.ts';
export { overwrittenBy } from './edits/overlap.ts';
export { type Put, putEntry, type Turned, turnedIn } from './edits/putEntry.ts';
export { sameJson } from './edits/sameJson.ts';
export { unreadableId } from './edits/unreadableId.ts';
export {
  appendAnswerSchema,
  appendSchema,
  historySchema,
  liveMessageSchema,
  MOST_REQUEST_BYTES,
  type NewsEntry,
  newsEntrySchema,
  problemSchema,
  type SentOutcome,
  sentEntrySchema,
  setUpListSchema,
  storedSchema,
  WIRE_VERSION,
} from './edits/wire.ts';
export type { Fault } from './fault.ts';
export { checkSetup, findFaults } from './findFaults.ts';
export type { ItemKind } from './itemKinds.ts';
export { type Macro, type MacroStep, MOST_STEPS, macroSchema, STEPS_DEEP, type StepBody } from './macro.ts';
export { type BareStep, numberItems, numberSteps } from './numbered.ts';
export { compilePattern, fitsGlob, type Pattern } from './patterns/pattern.ts';
export type { RegexProblem } from './patterns/regexSyntax.ts';
export { type Moving, movingEdits, type Placing, placingEdits } from './placing.ts';
export { MOST_ITEMS, type RadialItem, type RadialMenu, radialMenuSchema } from './radialMenu.ts';
export type { Refusal } from './refusal.ts';
export { executableRule, type Rule, ruleSchema } from './rule.ts';
export {
  BASE_LAYER,
  type Command,
  commandOf,
  commandSchema,
  EVERYWHERE,
  FAMILIES,
  type Family,
  type Layer,
  LIMITS,
  layerSchema,
  type Profile,
  type Program,
  profileOf,
  profileSchema,
  profilesByProgram,
  programSchema,
  type Setup,
  setupSchema,
} from './setup.ts';
export { shortcutSchema, stepsSchema } from './shortcutSchema.ts';
export { PART_KINDS, type PartKind, type UnreadablePart } from './unreadable.ts';
