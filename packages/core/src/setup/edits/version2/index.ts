export { type OldParts, type PagePlan, pageIdOf, planPages } from './planPages.ts';
export { finderIn, type PageFinder, setupWithPages, withPageActions } from './setupWithPages.ts';
export { edit1WithPages, editWithPages, upcastPair2 } from './upcast.ts';
