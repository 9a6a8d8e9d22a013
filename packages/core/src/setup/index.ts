export {
  type Action,
  actionSchema,
  CORNERS,
  type Corner,
  type Message,
  messageSchema,
  PAGE_CHANGES,
  type PageChange,
  type Place,
  placeSchema,
} from './action.ts';
// What stands between two bindings: taken to another program, written in its words.
export { adaptBinding } from './adaptBinding.ts';
export { isBeginning } from './beginning.ts';
export {
  acting,
  type Behaviour,
  type Binding,
  behaviourSchema,
  bindingSchema,
  FACE_COLOURS,
  FACE_PARTS,
  type Face,
  faceSchema,
  type Guard,
  keyOf,
  NO_FACE,
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
// What can be wrong with a set-up, found before it is kept. Every refusal is data; `words` says it.
export { checkAction, commandsKnown, type KnowsCommand } from './checkAction.ts';
export { gridOf } from './checkCells.ts';
export { checkSteps } from './checkMacros.ts';
export { checkPage, pagesAbove, pagesBelow } from './checkPages.ts';
export { checkBinding } from './checkSetup.ts';
// What is proposed rather than stored: pairs of commands, copies, the demo, a device as it came.
export { type CommandPair, commandPairs } from './commandPairs.ts';
export {
  type Copying,
  type CopyPlan,
  type CopyStep,
  counterpartsOf,
  layerOnDevice,
  planCopy,
  type RowPlace,
} from './copying.ts';
export { demoSetup } from './demo/demoSetup.ts';
export { addedPages, asItCame, copyDevice } from './deviceEdits.ts';
// Edits: the only way a set-up changes. Each names an item by its address, and has an inverse; who applies the log of
// them from the beginning gets the set-up again.
export { itemAt, parseAddress, slotAt } from './edits/address.ts';
export type { Applied } from './edits/applied.ts';
export { applyEdit } from './edits/applyEdit.ts';
export { bindingChanges, changesOf } from './edits/changes.ts';
export {
  EDIT_FORMAT,
  type Edit,
  editSchema,
  MOST_TOGETHER,
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
// Edits as they are made, put onto what others did meanwhile, and sent.
export { moveTo } from './edits/moveTo.ts';
export { overwrittenBy } from './edits/overlap.ts';
export { type Put, putEntry, type Turned, turnedIn } from './edits/putEntry.ts';
export { sameJson } from './edits/sameJson.ts';
export { BIN_DAYS, type SetUpHead, setUpListSchema } from './edits/setUpList.ts';
export { unreadableId } from './edits/unreadableId.ts';
export {
  appendAnswerSchema,
  appendSchema,
  historySchema,
  liveMessageSchema,
  MOST_IMPORT_BYTES,
  MOST_REQUEST_BYTES,
  type NewsEntry,
  newsEntrySchema,
  problemSchema,
  type SentOutcome,
  sentEntrySchema,
  stateSchema,
  storedSchema,
  WIRE_VERSION,
} from './edits/wire.ts';
// The whole of a set-up looked at, as a file or a database gives it.
export type { Fault } from './fault.ts';
export { checkSetup, findFaults } from './findFaults.ts';
export { commandOfIntent, intentsIn } from './intents.ts';
export type { ItemKind } from './itemKinds.ts';
export { layerOfCell } from './layerOfCell.ts';
// The parts of a set-up, with their limits.
export {
  type BlockStep,
  everyStep,
  isBlock,
  type Macro,
  type MacroStep,
  MOST_STEPS,
  macroSchema,
  STEPS_DEEP,
  type StepBody,
  USUAL_WAIT_MS,
} from './macro.ts';
export { menuOwnerChanges } from './menuOwner.ts';
export { newCommand, newMacro, newProfile, newProgram } from './newParts.ts';
export { type BareStep, numberItems, numberSteps, wholeStep } from './numbered.ts';
// Windows are recognised by patterns, in time that grows with the title and not with the pattern's cunning.
export { FOLDERS_DEEP, newPage, PAGE_KINDS, type Page, type PageKind, pageSchema } from './page.ts';
export { basesOf, controlsOnPage, deviceOnPage } from './pageBases.ts';
export { aboutCopies, type PageCopies, pageCopies } from './pageCopies.ts';
export { compilePattern, fitsGlob, type Pattern } from './patterns/pattern.ts';
export type { RegexProblem } from './patterns/regexSyntax.ts';
export { picturesIn } from './picturesIn.ts';
export { type Moving, movingEdits, type Placing, placingEdits } from './placing.ts';
export { MOST_ITEMS, type RadialItem, type RadialMenu, radialMenuSchema } from './radialMenu.ts';
export { type NamedKind, namedByAction, namedByBinding, namedByMacro, type Reference } from './references.ts';
export type { Refusal } from './refusal.ts';
export { type Renames, renamed, renamedBinding } from './renaming.ts';
export { executableRule, type Rule, ruleSchema, type WindowAsked } from './rule.ts';
export { settled } from './settledCells.ts';
export {
  BASE_LAYER,
  type Command,
  commandIds,
  commandOf,
  commandSchema,
  EVERYWHERE,
  FAMILIES,
  type Family,
  keysByOf,
  keysBySchema,
  type Layer,
  LIMITS,
  layerSchema,
  menuOwner,
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
export { commandAt, everyShortcut, type ShortcutPlace } from './shortcuts/everyShortcut.ts';
export { PART_KINDS, type PartKind, type UnreadablePart } from './unreadable.ts';
