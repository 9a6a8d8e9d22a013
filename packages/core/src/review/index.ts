export { eventsOfUse, TRIED_MS } from './typicalUse.ts';
