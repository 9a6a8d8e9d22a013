import type { Control } from '@nimble-lever/core/devices';
import { angleBetween, centreOf, type Point } from './rotorGestures.ts';

/** Degrees of turn from one position of a spring ring to the next, as it is dragged. */
const POSITION_DEGREES = 15;
/** How far one press of an arrow key moves a slider. */
const SLIDER_STEP = 0.05;

/** Whether a control is moved to a place, rather than pressed or turned. */
export function isPlaced({ spring, slider }: Control): boolean {
  return spring !== null || slider !== null;
}

/** Where a pointer puts a control: a slider under the pointer, a ring by how far it was dragged round. */
export function placeAt(control: Control, element: Element, from: Point, to: Point): number {
  if (control.spring) {
    const degrees = angleBetween(centreOf(element), from, to);
    return within(Math.round(degrees / POSITION_DEGREES), control.spring.rates.length);
  }
  const { left, top, width, height } = element.getBoundingClientRect();
  const value = control.across || height >= width ? 1 - (to.y - top) / height : (to.x - left) / width;
  return Math.max(0, Math.min(1, value));
}

/** Where a pointer puts a control that slides two ways, from left to right. */
export function placeAcross(element: Element, { x }: Point): number {
  const { left, width } = element.getBoundingClientRect();
  return Math.max(0, Math.min(1, (x - left) / width));
}

/** Where Left or Right, with Shift, puts it; null for other keys. */
export function acrossByKey(
  at: number,
  { key, shiftKey }: { key: string; shiftKey: boolean },
): number | null {
  const direction = { ArrowRight: 1, ArrowLeft: -1 }[key];
  if (direction === undefined || !shiftKey) return null;
  return Math.max(0, Math.min(1, Math.round((at + direction * SLIDER_STEP) * 100) / 100));
}

/** Where Up or Down puts a control from where it is; null for other keys: Left and Right go to its neighbours. */
export function placeByKey(control: Control, at: number, key: string): number | null {
  const direction = { ArrowUp: 1, ArrowDown: -1 }[key];
  if (direction === undefined) return null;
  if (control.spring) return within(at + direction, control.spring.rates.length);
  return Math.max(0, Math.min(1, Math.round((at + direction * SLIDER_STEP) * 100) / 100));
}

/** A value kept between a negative and a positive end. */
function within(value: number, most: number): number {
  return Math.max(-most, Math.min(most, value));
}
