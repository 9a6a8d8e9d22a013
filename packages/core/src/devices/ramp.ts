import type { SpeedUp } from './control.ts';

/** How far `value` is from `from` to `to`, from 0 to 1; 0 below, 1 above. */
function ramp(value: number, from: number, to: number): number {
  return Math.max(0, Math.min(1, (value - from) / (to - from)));
}

/**
 * How many times a step counts at a speed of turning: `round(1 + (max − 1) · clamp((v − from) / (to − from), 0, 1))`.
 *
 * @param speed degrees per second, not signed
 */
export function turnFactor(speedUp: SpeedUp, speed: number): number {
  return speedUp ? Math.round(1 + (speedUp.max - 1) * ramp(speed, speedUp.from, speedUp.to)) : 1;
}

/** A hand moving faster moves the pointer further: once below `from`, `max` times at `to` and above, in mm per second. */
export interface Acceleration {
  /** The gain at full speed. */
  readonly max: number;
  /** Where it begins to rise, and where it is full: units of speed a second. */
  readonly from: number;
  readonly to: number;
}

/**
 * How far the pointer goes for a movement of the hand: `factor · (1 + (max − 1) · clamp((v − from) / (to − from), 0, 1))`.
 *
 * @param factor the pointer speed that is chosen
 * @param speed millimetres per second, not signed
 */
export function pointerGain(factor: number, acceleration: Acceleration | null, speed: number): number {
  if (!acceleration) return factor;
  return factor * (1 + (acceleration.max - 1) * ramp(speed, acceleration.from, acceleration.to));
}
