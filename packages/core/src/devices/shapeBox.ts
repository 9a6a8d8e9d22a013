import type { Shape } from './shape.ts';

/** The box round a shape, in millimetres. A path is taken by the ends of its lines and arcs, which bulge little. */
export function shapeBox(shape: Shape): {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
} {
  if (shape.kind === 'rect') {
    const { x, y, width, height } = shape;
    return { left: x, top: y, right: x + width, bottom: y + height };
  }
  if (shape.kind === 'circle') {
    const { cx, cy, r } = shape;
    return { left: cx - r, top: cy - r, right: cx + r, bottom: cy + r };
  }
  const xs: number[] = [];
  const ys: number[] = [];
  for (const [, letter = '', numbers = ''] of shape.d.matchAll(/([A-Za-z])([^A-Za-z]*)/g)) {
    const values = numbers
      .trim()
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    const upper = letter.toUpperCase();
    if (upper === 'H') xs.push(...values);
    else if (upper === 'V') ys.push(...values);
    else {
      const ends = upper === 'A' ? values.filter((_value, i) => i % 7 >= 5) : values;
      xs.push(...ends.filter((_value, i) => i % 2 === 0));
      ys.push(...ends.filter((_value, i) => i % 2 === 1));
    }
  }
  const [left = 0, right = 0] = [Math.min(...xs), Math.max(...xs)];
  const [top = 0, bottom = 0] = [Math.min(...ys), Math.max(...ys)];
  return { left, top, right, bottom };
}
