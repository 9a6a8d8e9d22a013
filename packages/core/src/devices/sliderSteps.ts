/**
 * Where one more step of a slider is of most use: the middle of the widest gap, to the hundredth.
 *
 * @param thresholds - places above 0 and below 1, rising
 * @returns a place that is none of them, above 0 and below 1; null where even the widest gap has no hundredth between
 */
export function placeForStep(thresholds: readonly number[]): number | null {
  const ends = [0, ...thresholds, 1];
  const gaps = ends.slice(1).map((end, i) => ({ from: ends[i] ?? 0, wide: end - (ends[i] ?? 0) }));
  const widest = gaps.reduce((best, gap) => (gap.wide > best.wide + 1e-9 ? gap : best));
  const place = Math.round((widest.from + widest.wide / 2) * 100) / 100;
  return place > 0 && place < 1 && !thresholds.includes(place) ? place : null;
}
