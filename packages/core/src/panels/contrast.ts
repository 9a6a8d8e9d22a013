import type { PanelPicture } from '../devices/index.ts';
import { CAPITALS, LEAST_ARC_MINUTES, leastCapitals } from '../drawing/index.ts';

/** Red, green, blue: 0 to 255. */
export type Rgb = readonly [red: number, green: number, blue: number];

/** What text must reach, and large text (WCAG 2.2, 1.4.3). */
const NEEDED = 4.5;
const NEEDED_LARGE = 3;
/** Bold text counts as large from 14 points on (WCAG 2.2, "large scale"): CSS pixels. */
const LARGE_PX = (14 * 96) / 72;
/** The angle a CSS pixel takes in the eye: degrees (CSS Values and Units 4, 6.2, "reference pixel"). */
const PIXEL_DEGREES = 0.0213;
/** So much of what lies under words may be worse: strokes cross a few lines of a drawing. Common practice, no source. */
const WORST_PART = 0.05;

/** The relative luminance of a colour: 0 for black, 1 for white (WCAG 2.2, "relative luminance"). */
export function relativeLuminance([red, green, blue]: Rgb): number {
  return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
}

function linear(value: number): number {
  const part = value / 255;
  return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
}

/** The contrast of two colours: 1 for the same, 21 for black and white (WCAG 2.2, "contrast ratio"). */
export function contrastRatio(a: Rgb, b: Rgb): number {
  const [darker = 0, lighter = 0] = [relativeLuminance(a), relativeLuminance(b)].toSorted((x, y) => x - y);
  return (lighter + 0.05) / (darker + 0.05);
}

/**
 * The contrast that words reach over a picture: all but the worst twentieth of its pixels have it. 21 over nothing at all.
 *
 * @param pixels red, green, blue and how opaque, one after the other: 0 to 255
 * @param under what shows where the picture lets it
 */
export function contrastOver(pixels: ArrayLike<number>, under: Rgb, words: Rgb): number {
  const reached: number[] = [];
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    const opaque = (pixels[i + 3] ?? 0) / 255;
    const mixed = (at: 0 | 1 | 2) => (pixels[i + at] ?? 0) * opaque + under[at] * (1 - opaque);
    reached.push(contrastRatio([mixed(0), mixed(1), mixed(2)], words));
  }
  reached.sort((a, b) => a - b);
  return reached[Math.floor(reached.length * WORST_PART)] ?? 21;
}

/**
 * What contrast words need that are read from a distance: less where they are large. A panel is read from another distance
 * than a page, so that large goes by the angle in the eye.
 *
 * @param capitals how high they are: millimetres
 * @param distance from the eye: millimetres
 */
export function neededContrast(capitals: number, distance: number): number {
  const minutes = (LEAST_ARC_MINUTES * capitals) / leastCapitals(distance);
  return minutes >= LARGE_PX * PIXEL_DEGREES * 60 * CAPITALS ? NEEDED_LARGE : NEEDED;
}

/** Where something is drawn: millimetres from a panel's top left corner. */
export interface DrawnAt {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/**
 * Where the picture of a page is drawn on a panel, as the browser lays it (CSS Images 3, 5.5 and 5.6; CSS Backgrounds 3,
 * 3.9): once, or as many times as it is tiled.
 *
 * @param panel its size: millimetres
 * @param image its size, in whatever unit
 */
export function drawnPicture(
  panel: Pick<DrawnAt, 'width' | 'height'>,
  image: Pick<DrawnAt, 'width' | 'height'>,
  { fit, zoom, x, y }: PanelPicture,
): readonly DrawnAt[] {
  if (fit === 'tile') {
    const width = panel.width / zoom;
    const height = (width * image.height) / image.width;
    const columns = Math.ceil(panel.width / width);
    const rows = Math.min(MOST_TILES, Math.ceil(panel.height / height));
    return Array.from({ length: columns * rows }, (_, i) => ({
      x: (i % columns) * width,
      y: Math.floor(i / columns) * height,
      width,
      height,
    }));
  }
  const across = panel.width / image.width;
  const down = panel.height / image.height;
  const scale = fit === 'whole' ? Math.min(across, down) : Math.max(across, down);
  const width = image.width * scale * zoom;
  const height = image.height * scale * zoom;
  // What lies at the place stays there, however close one looks.
  const [stayX, stayY] = [panel.width * x, panel.height * y];
  const left = (panel.width - image.width * scale) * x;
  const top = (panel.height - image.height * scale) * y;
  return [{ x: stayX + (left - stayX) * zoom, y: stayY + (top - stayY) * zoom, width, height }];
}

/** More rows of a very flat picture nobody tells apart. */
const MOST_TILES = 400;
