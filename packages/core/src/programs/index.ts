// Lists of commands: read in whatever form they come, taken in line by line, written again.

// Profiles side by side, and taken from one to another.
export {
  type Compared,
  type ComparedCell,
  compareIntents,
  compareProfiles,
  type Difference,
  type IntentDifference,
  putIntent,
  takeAcross,
} from './compare.ts';
export {
  type CarriedAs,
  type CarriedStep,
  emptyProfileEdit,
  type ProfileCopy,
  planProfileCopy,
  profileCopyEdit,
} from './copyProfile.ts';
// A set-up with nothing in it.
export { emptySetupEdit } from './emptySetup.ts';
// Ideas across programs.
export { type IntentUse, intentFrom, intentUses, renameIntent } from './intentEdits.ts';
export { COLUMN_ROLES, type ColumnRole, type Columns, findColumns } from './list/columns.ts';
export type { ListForm, ListLine, ListProblem, ListText } from './list/listLine.ts';
export {
  commandsOf,
  type Importing,
  importEdit,
  type LineOutcome,
  type PlannedLine,
  planImport,
  planWholeImport,
} from './list/planImport.ts';
export type { LineProblem } from './list/readLine.ts';
export { LIST_LIMIT, readList } from './list/readList.ts';
export { LIST_FILES, type ListFile, writeList } from './list/writeList.ts';
export {
  COMMAND_FIELD_WORDS,
  cellProblemWords,
  FORM_WORDS,
  lineProblemWords,
  listProblemWords,
} from './listWords.ts';
// Where a command could go.
export { type Place, type PlaceReason, placeEdit, proposePlaces } from './places.ts';
// What a program is made of, made and taken away.
export {
  addCommand,
  addProfileOf,
  addProgram,
  copyProgram,
  freeProgramName,
  type Made,
} from './programEdits.ts';
export { familyOf, type Proposal, proposeFor } from './propose.ts';
// Which controls reach which commands.
export { columnOf, inReach, type Reach, type ReachOf, reachOf } from './reach.ts';
// What is shipped to begin with.
export {
  CONTROL_SETS,
  planControlSet,
  planStart,
  READY_LISTS,
  type ReadyStep,
  readyEdit,
  STARTING_PROFILES,
} from './readyMade.ts';
// What goes with a program or a command.
export {
  type Removal,
  removeCommands,
  removeDevice,
  removePage,
  removeProfile,
  removeProgram,
} from './removeWith.ts';
// A program's commands as a sheet of cells.
export {
  blockText,
  type CellProblem,
  cellText,
  doubledIn,
  fillDown,
  type LeftCell,
  type PastePlan,
  planPaste,
  readBlock,
  readCell,
  SHEET_COLUMNS,
  type SheetColumn,
} from './sheet.ts';
