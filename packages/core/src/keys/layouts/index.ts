export { type Chords, chordsOf } from './chords.ts';
export { byPlace, hasKey } from './instead.ts';
export { keyValue } from './keyValue.ts';
export {
  deadMark,
  type Layout,
  type LayoutData,
  layoutDataSchema,
  type Press,
  readLayout,
} from './layout.ts';
export { type KeyPressed, meaningOf, shortcutOf } from './meaning.ts';
export {
  type KeysBy,
  type KeysToPress,
  type NoKey,
  type Resolved,
  type ResolvedWay,
  resolveShortcut,
} from './resolve.ts';
export { typeText, type Untypeable } from './typing.ts';
export { US_LAYOUT } from './usLayout.ts';
export { type Way, type Ways, waysOf } from './ways.ts';
