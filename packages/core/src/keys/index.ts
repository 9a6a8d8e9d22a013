export {
  displayShortcut,
  displaySteps,
  joinParts,
  type Legends,
  legendOf,
  placeByLabel,
} from './displayShortcut.ts';
export { type DrawnKey, FUNCTION_ROW, MAIN_ROWS, NUMBER_ROWS, SIDE_ROWS } from './keyboardRows.ts';
export {
  KEY_BY_CODE,
  KEY_BY_USAGE,
  KEY_BY_X_KEYCODE,
  KEY_TABLE,
  type KeyKind,
  type KeyRow,
  type Platform,
} from './keyTable.ts';
export {
  canonicalShortcut,
  canonicalSteps,
  formatSteps,
  MOST_SHORTCUT_STEPS,
  type PointerUse,
  parsePointer,
  parseShortcut,
  parseSteps,
  SHORTCUT_MAX_LENGTH,
  type ShortcutProblem,
} from './parseShortcut.ts';
export {
  EMPTY_RECORDING,
  type KeyReport,
  type Recording,
  type RecordingRules,
  recordKey,
} from './recorder.ts';
export { type Reserved, reservedBy } from './reserved.ts';
export { searchKeys } from './searchKeys.ts';
export {
  BARE,
  canonical,
  compareShortcuts,
  formatShortcut,
  keyByCode,
  MODIFIER_KEYS,
  MODIFIERS,
  type ModifierName,
  modifierCodes,
  modifierOf,
  type Shortcut,
  type ShortcutKey,
  sameShortcut,
  unitedStatesCode,
} from './shortcut.ts';
export { type ForeignWords, NOTATION, type TypedAt } from './tokens.ts';
