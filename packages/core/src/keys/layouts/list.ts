/** Which layouts there are: apart from what reads them, as a page has one layout and rarely asks for others. */
export { guessLayouts } from './guessLayout.ts';
export { LAYOUT_IDS, LAYOUTS, LAYOUTS_BY_NAME, type LayoutEntry, TELLING_KEYS } from './layoutList.ts';
