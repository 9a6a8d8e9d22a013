// Where cells can be: free places, what lies between two corners, several of them moved, grown and aligned.
export {
  type Alignment,
  alignedAreas,
  areaBetween,
  changedAreas,
  firstFree,
  isFree,
  type PanelPage,
  panelPage,
  takenAreas,
} from './areas.ts';
// What can be done with the cells of a page, as edits.
export {
  addCell,
  type CellCopies,
  cellAs,
  cellToPage,
  changeGrid,
  copyCells,
  type GridChange,
  placeCells,
} from './cellEdits.ts';
// Whether a page can be used and read where the panel hangs.
export {
  type CellProblem,
  type CheckedCell,
  checkPanelPage,
  isUsed,
  LEAST_TARGET,
  readableFrom,
  targetOf,
} from './checkPanel.ts';
export { contrastOver, contrastRatio, drawnPicture, neededContrast, type Rgb } from './contrast.ts';
export { type CellFolder, folderOfCells } from './folderOfCells.ts';
export { gridForPanel } from './gridFor.ts';
export { newPanel, panelBody } from './newPanel.ts';
export { templateSvg } from './template.ts';
