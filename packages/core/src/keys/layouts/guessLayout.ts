import { LAYOUTS, type LayoutEntry, TELLING_KEYS } from './layoutList.ts';

/**
 * The layouts that agree best with what a browser says the keys type (the Keyboard Map API: by code, the plain
 * character), best first. Characters are compared without case; keys the browser says nothing of do not count.
 */
export function guessLayouts(heard: ReadonlyMap<string, string>): readonly LayoutEntry[] {
  const score = ({ plain }: LayoutEntry) => {
    const characters = Array.from(plain);
    return TELLING_KEYS.filter((code, i) => heard.get(code)?.toLowerCase() === characters[i]?.toLowerCase())
      .length;
  };
  return LAYOUTS.map((layout, i) => ({ layout, score: score(layout), i }))
    .toSorted((a, b) => b.score - a.score || a.i - b.i)
    .map(({ layout }) => layout);
}
