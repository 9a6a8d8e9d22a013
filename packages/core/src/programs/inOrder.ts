import type { Reference } from '../setup/index.ts';

/** Things in such an order that what names another stands before it. */
export function inOrder<Thing extends { readonly id: string }>(
  things: readonly Thing[],
  namedBy: (thing: Thing) => readonly Reference[],
): readonly Thing[] {
  const left = new Set(things);
  const ordered: Thing[] = [];
  while (left.size > 0) {
    const others = (thing: Thing) => [...left].filter((each) => each !== thing);
    const free = [...left].filter(
      (thing) => !others(thing).some((other) => namedBy(other).some(({ id }) => id === thing.id)),
    );
    // Where two open each other there is no such order; the edit is refused then, and says so.
    for (const thing of free.length > 0 ? free : [...left]) {
      left.delete(thing);
      ordered.push(thing);
    }
  }
  return ordered;
}
