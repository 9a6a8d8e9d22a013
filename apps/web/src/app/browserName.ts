/** What a browser calls its system; for the name a browser has until a person chooses one. */
const SYSTEMS: readonly (readonly [RegExp, string])[] = [
  [/Windows/, 'Windows'],
  [/iPhone|iPad/, 'iOS'],
  [/Macintosh/, 'a Mac'],
  [/Android/, 'Android'],
  [/Linux/, 'Linux'],
];

/** A name from what a browser says of itself: `Browser on Linux`. */
export function browserName(userAgent: string): string {
  const system = SYSTEMS.find(([pattern]) => pattern.test(userAgent))?.[1];
  return system ? `Browser on ${system}` : 'A browser';
}
