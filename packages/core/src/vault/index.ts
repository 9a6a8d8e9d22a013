export { type About, aboutOf } from './about.ts';
export { SITTING_GAP_MS, type Sitting, sittingsOf } from './sittings.ts';
export { type WayBack, wayBackTo } from './wayBackTo.ts';
