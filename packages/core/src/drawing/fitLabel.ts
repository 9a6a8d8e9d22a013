/**
 * The least height of capitals that can be read without effort, as the angle it takes in the eye: 16 minutes of arc
 * (ISO 9241-303:2011, 5.5.4; 20 to 22 are preferred).
 */
export const LEAST_ARC_MINUTES = 16;

/** How high capitals are of a font's size: Atkinson Hyperlegible Next, from its own tables. */
export const CAPITALS = 0.668;
/** From line to line, of a font's size. */
const LINE = 1.12;
/** No label is set smaller: millimetres. */
const SMALLEST = 1;
/** Steps in which sizes are tried: millimetres. */
const STEP = 0.1;

/** How a label is set in a room, and whether it can be read. */
export interface FittedLabel {
  readonly lines: readonly string[];
  /** The font's size: millimetres. */
  readonly size: number;
  /** Whether its capitals are high enough for the distance. */
  readonly isReadable: boolean;
}

/** How high capitals must be to be read from a distance: both in millimetres. */
export function leastCapitals(distance: number): number {
  const angle = (LEAST_ARC_MINUTES / 60) * (Math.PI / 180);
  return 2 * distance * Math.tan(angle / 2);
}

/**
 * Sets a label as large as it fits, in as many lines as there is room for, broken between words only.
 *
 * @param width of the room: millimetres
 * @param height of the room: millimetres
 * @param distance from the eye: millimetres
 * @param largest the most its font may be: millimetres
 */
export function fitLabel(
  text: string,
  width: number,
  height: number,
  distance: number,
  largest = height / LINE,
): FittedLabel {
  const words = text.trim().split(/\s+/);
  for (let size = Math.min(largest, height / LINE); size > SMALLEST; size -= STEP) {
    const lines = wrapped(words, width / size);
    if (lines && lines.length * size * LINE <= height) return { lines, size, isReadable: isHigh(size) };
  }
  return {
    lines: wrapped(words, Number.POSITIVE_INFINITY) ?? [],
    size: SMALLEST,
    isReadable: isHigh(SMALLEST),
  };

  function isHigh(size: number): boolean {
    return size * CAPITALS >= leastCapitals(distance);
  }
}

/** Words in lines of so many ems at the most; null where one word alone is longer. */
function wrapped(words: readonly string[], most: number): readonly string[] | null {
  const lines: string[] = [];
  for (const word of words) {
    if (emsOf(word) > most) return null;
    const last = lines.at(-1);
    const joined = last === undefined ? word : `${last} ${word}`;
    if (last === undefined || emsOf(joined) > most) lines.push(word);
    else lines[lines.length - 1] = joined;
  }
  return lines;
}

/** Widths of characters by kind, in ems, a little more than they take: rounded up from the font's own tables. */
const WIDTHS: readonly (readonly [characters: RegExp, ems: number])[] = [
  [/[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Emoji_Presentation}]/u, 1],
  [/[mwMW@%—]/u, 0.92],
  [/[iljtfrI.,:;'’!|()[\] ]/u, 0.38],
  [/\p{Lu}/u, 0.7],
];
const USUAL_WIDTH = 0.6;

/** How wide a text is, in ems of its font. */
function emsOf(text: string): number {
  let ems = 0;
  for (const character of text) ems += WIDTHS.find(([kind]) => kind.test(character))?.[1] ?? USUAL_WIDTH;
  return ems;
}
