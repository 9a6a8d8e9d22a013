export { displayShortcut, displaySteps, joinParts, type Legends, legendOf } from './displayShortcut.ts';
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
export { keyValue } from './keyValue.ts';
export {
  canonicalShortcut,
  canonicalSteps,
  MOST_SHORTCUT_STEPS,
  parseShortcut,
  parseSteps,
  SHORTCUT_MAX_LENGTH,
  type ShortcutProblem,
} from './parseShortcut.ts';
export { EMPTY_RECORDING, type KeyReport, type Recording, recordKey } from './recorder.ts';
export { type Reserved, reservedBy } from './reserved.ts';
export { searchKeys } from './searchKeys.ts';
export {
  BARE,
  codesOf,
  compareShortcuts,
  formatShortcut,
  MODIFIER_KEYS,
  MODIFIERS,
  type ModifierName,
  modifierOf,
  type Shortcut,
  sameShortcut,
} from './shortcut.ts';
