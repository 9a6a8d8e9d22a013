export { CAPITALS, type FittedLabel, fitLabel, LEAST_ARC_MINUTES, leastCapitals } from './fitLabel.ts';
export { type LabelledPoint, type LabelPlace, placeLabels } from './labelPlaces.ts';
