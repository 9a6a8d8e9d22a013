/** A press as it was felt: when it went down and came up, and how far the pointer went meanwhile; milliseconds, pixels. */
export interface FeltPress {
  /** Milliseconds, both of the same clock. */
  readonly down: number;
  readonly up: number;
  /** The farthest from where it began: pixels. */
  readonly distance: number;
}

/** Thresholds that suit a hand; null where there were too few presses to tell. */
export interface Suggestion {
  /** Milliseconds; null where the presses tell nothing about it. */
  readonly holdMs: number | null;
  readonly doubleMs: number | null;
  /** Pixels. */
  readonly nudgeDistance: number | null;
}

/** Fewer presses say nothing about a hand. */
const LEAST_PRESSES = 3;
/** A pause longer than this parts two presses that were not meant as one double press: milliseconds. */
const PAIR_MS = 700;
/** A press longer than this was meant as a hold, and one that moved further as a nudge. */
const SHORT_MS = 450;
/** Pixels: a press that moved farther was a drag. */
const STILL_PX = 40;

/**
 * Suggests thresholds from presses: a hold begins half as long again as the longest short press, a double press may
 * take a third more than the longest pause within a pair, a nudge begins at twice what a still press moved. Rounded
 * to 10 ms and 2 px. Common practice, no source.
 */
export function suggestTimes(presses: readonly FeltPress[]): Suggestion {
  const lengths = presses.map(({ down, up }) => up - down).filter((length) => length <= SHORT_MS);
  const pauses = presses
    .slice(1)
    .map(({ down }, i) => down - (presses[i]?.up ?? 0))
    .filter((pause) => pause >= 0 && pause <= PAIR_MS);
  const moved = presses.map(({ distance }) => distance).filter((distance) => distance <= STILL_PX);
  const times = (values: readonly number[], factor: number, step: number, least: number) =>
    values.length < LEAST_PRESSES
      ? null
      : Math.max(least, Math.round((Math.max(...values) * factor) / step) * step);
  return {
    holdMs: times(lengths, 1.5, 10, 120),
    doubleMs: pauses.length === 0 ? null : Math.max(150, Math.round((Math.max(...pauses) * 4) / 3 / 10) * 10),
    nudgeDistance: times(moved, 2, 2, 8),
  };
}
