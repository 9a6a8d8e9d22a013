export { displayShortcut, legendOf, type Platform } from './displayShortcut.ts';
export { KEY_BY_CODE, KEY_TABLE, type KeyKind, type KeyRow } from './keyTable.ts';
export { keyValue } from './keyValue.ts';
export {
  canonicalShortcut,
  parseShortcut,
  SHORTCUT_MAX_LENGTH,
  type ShortcutProblem,
} from './parseShortcut.ts';
export { EMPTY_RECORDING, type KeyReport, type Recording, recordKey } from './recorder.ts';
export {
  codesOf,
  compareShortcuts,
  formatShortcut,
  MODIFIERS,
  type ModifierName,
  modifierOf,
  type Shortcut,
  sameShortcut,
} from './shortcut.ts';
