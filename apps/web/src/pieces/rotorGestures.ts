import type { Control } from '@nimble-lever/core/devices';

/** A point on the screen, in CSS pixels. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The angle from one point to another round a centre, in degrees from −180 to 180, clockwise positive. */
export function angleBetween(centre: Point, from: Point, to: Point): number {
  const angle = (point: Point) => Math.atan2(point.y - centre.y, point.x - centre.x) * (180 / Math.PI);
  const turned = angle(to) - angle(from);
  return turned > 180 ? turned - 360 : turned < -180 ? turned + 360 : turned;
}

/** The middle of an element on the screen. */
export function centreOf(element: Element): Point {
  const { left, top, width, height } = element.getBoundingClientRect();
  return { x: left + width / 2, y: top + height / 2 };
}

/**
 * Steps for one wheel event. A drawn wheel follows the finger: away from the person is positive. A dial or
 * knob turns clockwise as the wheel comes towards the person.
 */
export function wheelTurn({ deltaY }: { readonly deltaY: number }, away: boolean): number {
  return Math.sign(away ? -deltaY : deltaY) + 0;
}

/** A strip turns so far for each millimetre that a finger moves along it: degrees. Common practice, no source. */
export const STRIP_DEGREES = 3;

/** Whether a control is turned by moving along it. */
export function isStrip({ kind, shape }: Pick<Control, 'kind' | 'shape'>): boolean {
  return kind === 'jog' && shape.kind === 'rect';
}

/** Degrees for a move along a drawn strip, whose longer side is its way: to the right and upwards is positive. */
export function alongStrip(strip: Element, from: Point, to: Point): number {
  const { width, height } = strip.getBoundingClientRect();
  const scale = strip instanceof SVGGraphicsElement ? (strip.getScreenCTM()?.a ?? 1) : 1;
  const moved = width >= height ? to.x - from.x : from.y - to.y;
  return (moved / scale) * STRIP_DEGREES;
}
