/** CSS pixels for one wheel tick, as browsers commonly report a notch. */
export const WHEEL_PX = 100;
