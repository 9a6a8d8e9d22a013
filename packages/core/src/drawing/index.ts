export { type LabelledPoint, type LabelPlace, placeLabels } from './labelPlaces.ts';
