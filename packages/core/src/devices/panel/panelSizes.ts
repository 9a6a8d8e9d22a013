import type { Size } from './cellShape.ts';

/** A screen as it is sold: its diagonal in inches and the ratio of its sides. */
interface Screen {
  readonly diagonal: number;
  readonly ratio: readonly [long: number, short: number];
}

/** Diagonals and ratios that tablets and phones have. Common practice, no source. */
export const SCREENS = {
  'small-phone': { diagonal: 5.4, ratio: [19.5, 9] },
  phone: { diagonal: 6.1, ratio: [19.5, 9] },
  'large-phone': { diagonal: 6.7, ratio: [20, 9] },
  'tablet-7': { diagonal: 7, ratio: [16, 10] },
  'tablet-8': { diagonal: 8.3, ratio: [3, 2] },
  'tablet-10': { diagonal: 10.1, ratio: [16, 10] },
  'tablet-11': { diagonal: 10.9, ratio: [10, 7] },
  'tablet-13': { diagonal: 12.9, ratio: [4, 3] },
  'screen-16': { diagonal: 15.6, ratio: [16, 9] },
} as const satisfies Record<string, Screen>;
/** A screen by its name. */
export type ScreenName = keyof typeof SCREENS;

/** One inch: exactly 25.4 mm (ISO 31-1, the international inch). */
const INCH = 25.4;

/** The size of a screen, the longer side across: whole millimetres. */
export function sizeOfScreen({ diagonal, ratio: [long, short] }: Screen): Size {
  const scale = (diagonal * INCH) / Math.hypot(long, short);
  return { width: Math.round(long * scale), height: Math.round(short * scale) };
}
