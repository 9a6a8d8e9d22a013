export {
  type Carrying,
  type Content,
  type ControlPlace,
  carryingEdits,
  ownContent,
  shownContent,
} from './controlContent.ts';
export { copyPage, type PageCopy } from './copyPage.ts';
export {
  BACK_FACE,
  type FolderPlan,
  type FolderRefusal,
  intoFolder,
  makeFolder,
  openerFace,
  opening,
  opensPage,
  type PagePlace,
  pageAction,
  wayBack,
  wayBackEdit,
} from './folders.ts';
export { movePage, type PageTarget } from './movePage.ts';
export { type Branch, flatTree, newPageName, pageTree } from './pageTree.ts';
export { reachedPages, slotsNaming } from './pageUses.ts';
