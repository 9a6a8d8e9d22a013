export { guessLayouts } from './guessLayout.ts';
export {
  deadMark,
  type Layout,
  type LayoutData,
  layoutDataSchema,
  type Press,
  pressFor,
  readLayout,
  type Way,
} from './layout.ts';
export { LAYOUTS, type LayoutEntry, TELLING_KEYS, USUAL_LAYOUT } from './layoutList.ts';
export { type Reached, reachShortcut } from './reach.ts';
export { typeText, type Untypeable } from './typing.ts';
export { byAltGr, hasKey, type WouldDo, wouldDo } from './wouldDo.ts';
