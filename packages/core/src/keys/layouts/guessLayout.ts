import type { LayoutData } from './layout.ts';

/**
 * The layouts that agree best with what a browser says the keys type (the Keyboard Map API: by code, the plain
 * character), best first. Characters are compared without case; keys the browser says nothing of do not count.
 */
export function guessLayouts(
  heard: ReadonlyMap<string, string>,
  layouts: readonly LayoutData[],
): readonly LayoutData[] {
  const score = ({ keys }: LayoutData) =>
    [...heard].filter(([code, character]) => keys[code]?.[0]?.toLowerCase() === character.toLowerCase())
      .length;
  return layouts
    .map((layout, i) => ({ layout, score: score(layout), i }))
    .toSorted((a, b) => b.score - a.score || a.i - b.i)
    .map(({ layout }) => layout);
}
